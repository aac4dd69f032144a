import { spawnSync } from 'node:child_process';

/** Writes RGB pictures of one size as one PNG, four beside each other, each brought to `toWidth` pixels. Ends the process with ffmpeg's own code. */
export const writeTiled = (
  pictures: readonly Uint8ClampedArray[],
  size: { readonly width: number; readonly height: number },
  toWidth: number,
  out: string,
): void => {
  const raw = ['-f', 'rawvideo', '-pix_fmt', 'rgb24', '-s', `${size.width}x${size.height}`, '-i', 'pipe:0'];
  const tile = ['-vf', `scale=${toWidth}:-1,tile=4x${Math.ceil(pictures.length / 4)}`, '-frames:v', '1', out];
  const made = spawnSync('ffmpeg', ['-nostdin', '-loglevel', 'error', '-y', ...raw, ...tile], {
    input: Buffer.concat(pictures.map((p) => Buffer.from(p))),
    stdio: ['pipe', 'inherit', 'inherit'],
  });
  process.exitCode = made.status ?? 1;
};
