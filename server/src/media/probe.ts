import { timeTable, type TimeTable } from '@odograph/core';
import { containerOf, inputGuard, type Container } from './container.js';
import { runTool } from './tool.js';

/** What was found in a file that can be taken in. */
export type Probed = {
  readonly mime: string;
  readonly codec: string;
  /** A browser shows it as it is. */
  readonly playable: boolean;
  readonly hasSound: boolean;
  /** As it is shown: turned as the camera was held, with square pixels. */
  readonly width: number;
  readonly height: number;
  readonly seconds: number;
  /** The file ends before its pictures do; what is there is used. */
  readonly cutOff: boolean;
  readonly times: TimeTable;
};

export type ProbeResult = { readonly ok: true; readonly probed: Probed } | { readonly ok: false; readonly why: string };

type Stream = {
  readonly index: number;
  readonly codec_type: string;
  readonly codec_name?: string;
  readonly codec_tag_string?: string;
  readonly pix_fmt?: string;
  readonly width?: number;
  readonly height?: number;
  readonly sample_aspect_ratio?: string;
  readonly time_base: string;
  readonly duration?: string;
  readonly disposition?: { readonly attached_pic?: number };
  readonly side_data_list?: readonly { readonly rotation?: number; readonly side_data_type?: string }[];
};
type Info = { readonly streams?: readonly Stream[]; readonly format?: { readonly duration?: string } };

const LIMIT_S = 120;
/** Three hours at 60 frames a second, and then some. */
const MOST_FRAMES = 1_500_000;
const MOST_HOURS = 6;

const PLAYABLE: Readonly<Record<string, readonly string[]>> = {
  'video/mp4': ['h264', 'vp9', 'av1'],
  'video/webm': ['h264', 'vp8', 'vp9', 'av1'],
};
const PLAYABLE_PIXELS = ['yuv420p', 'yuvj420p'];

const DAMAGED = 'The file is damaged and cannot be read as video.';
const KINDS_WITH_PICTURES = 'A file with a video track can be taken in.';
const refused = (why: string): ProbeResult => ({ ok: false, why });

/** Reads lines that arrive in pieces. */
const lines = (onLine: (line: string) => void): ((chunk: Buffer) => void) => {
  let rest = '';
  return (chunk) => {
    const parts = (rest + chunk.toString('latin1')).split('\n');
    rest = parts.pop()!;
    for (const line of parts) onLine(line);
  };
};

const infoOf = async (
  path: string,
  { demuxer }: Container,
): Promise<{ readonly info: Info; readonly said: string } | undefined> => {
  const chunks: Buffer[] = [];
  const end = await runTool(
    'ffprobe',
    ['-v', 'error', ...inputGuard(demuxer), '-show_streams', '-show_format', '-of', 'json', `file:${path}`],
    { seconds: LIMIT_S, memoryBytes: 2 * 2 ** 30, onOutput: (chunk) => chunks.push(chunk) },
  );
  if (!end.ok) return undefined;
  return { info: JSON.parse(Buffer.concat(chunks).toString()) as Info, said: end.said };
};

/** Presentation times of the packets of a stream that are shown, unsorted; undefined where some carry none. */
const packetTimes = async (
  path: string,
  { demuxer }: Container,
  stream: number,
): Promise<{ readonly ticks: readonly number[]; readonly said: string } | undefined> => {
  const ticks: number[] = [];
  let isWhole = true;
  const end = await runTool(
    'ffprobe',
    [
      '-v',
      'error',
      ...inputGuard(demuxer),
      '-select_streams',
      String(stream),
      '-show_entries',
      'packet=pts,flags',
      '-of',
      'csv=p=0',
      `file:${path}`,
    ],
    {
      seconds: LIMIT_S,
      memoryBytes: 2 * 2 ** 30,
      onOutput: lines((line) => {
        const [pts, flags] = line.split(',');
        if (flags === undefined || flags.includes('D')) return;
        if (pts === 'N/A') isWhole = false;
        else ticks.push(Number(pts));
      }),
    },
  );
  return end.ok && isWhole ? { ticks, said: end.said } : undefined;
};

/** Presentation times frame by frame, as the decoder gives them: slow (some nine times real time), right for every container. Throws nothing; empty where nothing can be decoded. */
export const frameTimes = async (
  path: string,
  demuxer: Container['demuxer'],
  seconds: number,
  signal?: AbortSignal,
): Promise<readonly number[]> => {
  const ticks: number[] = [];
  await runTool(
    'ffprobe',
    [
      '-v',
      'error',
      ...inputGuard(demuxer),
      '-select_streams',
      'V:0',
      '-show_entries',
      'frame=best_effort_timestamp',
      '-of',
      'csv=p=0',
      `file:${path}`,
    ],
    {
      seconds,
      signal,
      onOutput: lines((line) => {
        const pts = Number(line.split(',')[0]);
        if (line.trim() !== '' && Number.isFinite(pts)) ticks.push(pts);
      }),
    },
  );
  return ticks;
};

/** When a container says that it begins, in seconds; 0 where it does not say. */
const startOf = async (path: string, demuxer: Container['demuxer']): Promise<number> => {
  let said = '';
  await runTool(
    'ffprobe',
    ['-v', 'error', ...inputGuard(demuxer), '-show_entries', 'format=start_time', '-of', 'csv=p=0', `file:${path}`],
    { seconds: LIMIT_S, onOutput: (chunk) => (said += chunk.toString()) },
  );
  return Number.parseFloat(said) || 0;
};

/** Before the wanted time by less than any frame lasts, so that rounding never passes it over. */
const EARLY_S = 0.002;

/** What ffmpeg gets to begin at the frame that starts at `atS` (seconds of the file). It seeks from the start of the container, which may not be that of its pictures. */
export const fromTime = async (
  path: string,
  demuxer: Container['demuxer'],
  atS: number,
): Promise<readonly string[]> => [
  '-ss',
  String(Math.max(0, atS - (await startOf(path, demuxer)) - EARLY_S)),
  '-i',
  `file:${path}`,
];

const isTurned = (stream: Stream): boolean =>
  Math.abs(stream.side_data_list?.find((d) => d.rotation !== undefined)?.rotation ?? 0) % 180 === 90;

/** Width and height as shown: square pixels, turned. */
const shownSize = (stream: Stream): { readonly width: number; readonly height: number } => {
  const [num, den] = (stream.sample_aspect_ratio ?? '1:1').split(':').map(Number);
  const wide = num && den ? Math.round((stream.width! * num) / den) : stream.width!;
  return isTurned(stream) ? { width: stream.height!, height: wide } : { width: wide, height: stream.height! };
};

const isLocked = (stream: Stream): boolean =>
  /^(encv|enca|drmi|drms)$/.test(stream.codec_tag_string ?? '') ||
  (stream.side_data_list ?? []).some((d) => /encryption/i.test(d.side_data_type ?? ''));

const distinctSorted = (ticks: readonly number[]): readonly number[] => [...new Set(ticks)].sort((a, b) => a - b);

/** Reads what is needed to show exact frames, whatever ffmpeg can read as video; otherwise says what the file is and what would work. */
export const probe = async (path: string): Promise<ProbeResult> => {
  const read = await containerOf(path);
  if (!read.ok) return read;
  const { container } = read;
  const found = await infoOf(path, container);
  if (!found)
    return refused(
      container.demuxer === 'mov'
        ? 'The file is damaged, or was cut off before its index, which stands at its end; without it nothing of it can be read. Copy it from the camera once more.'
        : DAMAGED,
    );
  const streams = found.info.streams ?? [];
  if (streams.some(isLocked))
    return refused('The file is locked by its publisher (DRM). Only video without such a lock can be taken in.');
  const stream = streams.find((s) => s.codec_type === 'video' && !s.disposition?.attached_pic);
  if (!stream)
    return refused(
      `The file holds no picture, only ${streams.some((s) => s.codec_type === 'audio') ? 'sound' : 'data'}. ${KINDS_WITH_PICTURES}`,
    );
  if (!stream.codec_name || !stream.width || !stream.height)
    return refused(
      `Its pictures are coded in a way that ffmpeg here does not read (${stream.codec_name ?? stream.codec_tag_string ?? 'unknown'}).`,
    );
  const seconds = Number(stream.duration ?? found.info.format?.duration ?? 0) || 0;
  if (seconds > MOST_HOURS * 3600)
    return refused(`The file runs for more than ${MOST_HOURS} hours; take it in in parts.`);
  const packets = await packetTimes(path, container, stream.index);
  const ticks = distinctSorted(packets?.ticks ?? (await frameTimes(path, container.demuxer, 600)));
  if (ticks.length < 2) return refused(ticks.length ? 'The file holds fewer than two pictures.' : DAMAGED);
  if (ticks.length > MOST_FRAMES) return refused('The file holds more than 1,500,000 pictures; take it in in parts.');
  const [timeBaseNum, timeBaseDen] = stream.time_base.split('/').map(Number) as [number, number];
  const times = timeTable(ticks, timeBaseNum, timeBaseDen);
  const lasts = ((ticks.at(-1)! - ticks[0]!) * timeBaseNum) / timeBaseDen;
  return {
    ok: true,
    probed: {
      mime: container.mime,
      codec: stream.codec_name,
      playable:
        (PLAYABLE[container.mime] ?? []).includes(stream.codec_name) && PLAYABLE_PIXELS.includes(stream.pix_fmt ?? ''),
      hasSound: streams.some((s) => s.codec_type === 'audio'),
      ...shownSize(stream),
      seconds: lasts,
      cutOff:
        /partial file|truncat|File ended prematurely|stream \d+, offset .*: partial/i.test(
          `${found.said}${packets?.said ?? ''}`,
        ) ||
        (seconds > 0 && lasts < seconds * 0.9 - 2),
      times,
    },
  };
};
