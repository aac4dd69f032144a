import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'odograph-journey-video-'));
const DEMO = join(import.meta.dirname, '../../../demo/footage');

/** A video made of one of the demo's, by its name, or of another file by ffmpeg; gives its path. */
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
    piece.includes('/') ? piece : join(DEMO, `${piece}.mp4`),
    ...args,
    '-metadata',
    `title=${name}`,
    path,
  ]);
  return path;
};

/** The number in the strip of every picture of a video. */
export const numbersIn = (video: Buffer): readonly number[] => {
  const path = join(folder, 'numbers');
  writeFileSync(path, video);
  const [width, height] = [320, 180];
  const grey = execFileSync(
    'ffmpeg',
    [
      ...['-nostdin', '-v', 'fatal', '-i', path, '-vf', `scale=${width}:${height},format=gray`],
      ...['-fps_mode', 'passthrough', '-f', 'rawvideo', 'pipe:1'],
    ],
    { maxBuffer: 2 ** 30 },
  );
  const size = width * height;
  const isLight = (at: number): number => (grey[at]! > 128 ? 1 : 0);
  return Array.from({ length: grey.length / size }, (_, n) =>
    Array.from({ length: 20 }, (__, i) => isLight(n * size + 4 * width + (i + 1) * 8 + 4)).reduce(
      (sum, bit) => sum * 2 + bit,
      0,
    ),
  );
};
