import { execFile } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);
const folder = mkdtempSync(join(tmpdir(), 'odograph-video-'));

/** Runs ffmpeg; gives the path of what it made. */
export const made = async (name: string, ...args: readonly string[]): Promise<string> => {
  const path = join(folder, name);
  await run('ffmpeg', ['-nostdin', '-v', 'error', '-y', ...args, path]);
  return path;
};

/** Width of the strip's blocks in a picture of 320: 24 of them from the first on hold the number of the frame and its check. */
const BLOCK = 8;
const READ_WIDTH = 320;

/** The number that is written into the pictures of a video, one for each picture that a decoder gives. */
export const numbersIn = async (path: string, ...before: readonly string[]): Promise<readonly number[]> => {
  const { stdout: grey } = await run(
    'ffmpeg',
    [
      '-nostdin',
      '-v',
      'error',
      ...before,
      '-i',
      path,
      '-vf',
      `scale=${READ_WIDTH}:180,format=gray`,
      '-fps_mode',
      'passthrough',
      '-f',
      'rawvideo',
      'pipe:1',
    ],
    { maxBuffer: 2 ** 30, encoding: 'buffer' },
  );
  const size = READ_WIDTH * 180;
  return Array.from({ length: grey.length / size }, (_, n) => {
    const bits = Array.from({ length: 20 }, (__, i): number =>
      grey[n * size + 4 * READ_WIDTH + (i + 1) * BLOCK + 4]! > 128 ? 1 : 0,
    );
    return bits.reduce((sum, bit) => sum * 2 + bit, 0);
  });
};
