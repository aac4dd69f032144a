import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'odograph-journey-video-'));
const DEMO = join(import.meta.dirname, '../../../demo/footage');

/** A video made of one of the demo's by ffmpeg; gives its path. */
export const madeOf = (
  piece: string,
  name: string,
  args: readonly string[] = ['-c', 'copy'],
  before: readonly string[] = [],
): string => {
  const path = join(folder, name);
  // a title of its own makes it another file, whatever else is the same
  execFileSync('ffmpeg', [
    '-nostdin',
    '-v',
    'error',
    '-y',
    ...before,
    '-i',
    join(DEMO, `${piece}.mp4`),
    ...args,
    '-metadata',
    `title=${name}`,
    path,
  ]);
  return path;
};
