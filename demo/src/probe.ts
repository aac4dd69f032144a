import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** What ffprobe says of a video: its presentation times, sorted, and what a media file is known by. */
export const frameTicks = (path: string) => {
  const run = (...args: string[]): unknown =>
    JSON.parse(
      execFileSync('ffprobe', ['-v', 'error', '-of', 'json', ...args, path], {
        encoding: 'utf8',
        maxBuffer: 2 ** 28,
      }),
    );
  const { streams } = run('-show_entries', 'stream=codec_type,codec_name,width,height,time_base') as {
    streams: readonly { codec_type: string; codec_name: string; width: number; height: number; time_base: string }[];
  };
  const { packets } = run('-select_streams', 'v:0', '-show_entries', 'packet=pts') as {
    packets: readonly { pts: number }[];
  };
  const { width, height, time_base: base, codec_name: codec } = streams.find((s) => s.codec_type === 'video')!;
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
    codec,
    playable: true,
    hasSound: streams.some((s) => s.codec_type === 'audio'),
    seconds: ((ticks.at(-1)! - ticks[0]!) * timeBaseNum) / timeBaseDen,
    cutOff: false,
    tracks: [{ language: '', title: '', channels: 1, codec: 'aac' }],
    track: 0,
  };
};
