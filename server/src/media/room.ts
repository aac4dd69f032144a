import { statfs } from 'node:fs/promises';

/** How much room the disk with the media has left, in bytes. */
export type Room = () => Promise<number>;
export const ROOM = Symbol('room');

export const roomOf =
  (folder: string): Room =>
  async () => {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  };
