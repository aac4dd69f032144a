import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** What ffprobe says of a video: its presentation times, sorted, and what a media file is known by. */
export const frameTicks = (path: string) => {
  const run = (...args: string[]): unknown =>
    JSON.parse(
      execFileSync('ffprobe', ['-v', 'error', '-of', 'json', '-select_streams', 'v:0', ...args, path], {
        encoding: 'utf8',
        maxBuffer: 2 ** 28,
      }),
    );
  const { streams } = run('-show_entries', 'stream=width,height,time_base') as {
    streams: readonly { width: number; height: number; time_base: string }[];
  };
  const { packets } = run('-show_entries', 'packet=pts') as { packets: readonly { pts: number }[] };
  const { width, height, time_base: base } = streams[0]!;
  const [timeBaseNum, timeBaseDen] = base.split('/').map(Number) as [number, number];
  const ticks = packets.map((p) => p.pts).sort((a, b) => a - b);
  const bytes = readFileSync(path);
  return {
    ticks,
    mime: 'video/mp4',
    sizeBytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
    frames: ticks.length,
    width,
    height,
    timeBaseNum,
    timeBaseDen,
  };
};
