import type { Attempt, Clip, Footage, Library, MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { demoVideo, type Client } from './testApp.js';

export const libraryOf = async (client: Client): Promise<Library> =>
  (await client.ask('GET', '/api/library')).body as Library;

/** Puts a file that is here on the shelf. */
export const newFootageOf = async (
  client: Client,
  fileId: string,
  title: string,
): Promise<{ footage: Footage; angleId: string }> => {
  const angleId = newId();
  const { body } = await client.ask('POST', '/api/footage', {
    editId: newId(),
    id: newId(),
    angleId,
    fileId,
    athleteA: { id: newId(), name: 'Orla Venn' },
    athleteB: { id: newId(), name: 'Sten Abara' },
    title,
    setting: 'training',
    gi: true,
  });
  return { footage: (body as { footage: Footage[] }).footage[0]!, angleId };
};

/** Takes a demo video in and puts it on the shelf. */
export const newPiece = async (client: Client): Promise<{ file: MediaFile; footage: Footage; angleId: string }> => {
  const file = (await client.put(`/api/files/${newId()}?name=round.mp4`, await demoVideo())).body as MediaFile;
  return { file, ...(await newFootageOf(client, file.id, 'A round')) };
};

export const clipRequest = (angleId: string, more: { attempt?: object; clip?: object } = {}) => ({
  editId: newId(),
  attempt: { id: newId(), subject: 'a', ...more.attempt },
  clip: { id: newId(), angleId, inFrame: 10, outFrame: 40, ...more.clip },
});

export const newClip = async (
  client: Client,
  angleId: string,
  more: { attempt?: object; clip?: object } = {},
): Promise<{ attempt: Attempt; clip: Clip }> => {
  const { body } = await client.ask('POST', '/api/clips', clipRequest(angleId, more));
  const { attempts, clips } = body as { attempts: Attempt[]; clips: Clip[] };
  return { attempt: attempts[0]!, clip: clips[0]! };
};
