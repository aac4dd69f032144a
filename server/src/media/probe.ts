import { open } from 'node:fs/promises';
import { timeTable, type FileFault, type SoundTrack, type TimeTable } from '@odograph/core';
import { MOST_PIXELS, containerOf, demuxerOf, inputGuard, type Container } from './container.js';
import { repairTimes } from './repairTimes.js';
import { runTool, type ToolEnd } from './tool.js';

/** What was found in a file that can be taken in. */
export type Probed = {
  readonly mime: string;
  readonly codec: string;
  /** A browser shows it as it is. */
  readonly playable: boolean;
  readonly hasSound: boolean;
  readonly tracks: readonly SoundTrack[];
  /** As it is shown: turned as the camera was held, with square pixels. */
  readonly width: number;
  readonly height: number;
  readonly seconds: number;
  /** The file ends before its pictures do; what is there is used. */
  readonly cutOff: boolean;
  readonly times: TimeTable;
  /** The container tells them rightly; otherwise they are the decoder's, from the first picture on. */
  readonly areTimesRight: boolean;
};

export type ProbeResult =
  { readonly ok: true; readonly probed: Probed } | { readonly ok: false; readonly fault: FileFault };

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
  readonly nb_frames?: string;
  readonly channels?: number;
  readonly tags?: { readonly language?: string; readonly title?: string; readonly handler_name?: string };
  readonly disposition?: { readonly attached_pic?: number };
  readonly side_data_list?: readonly { readonly rotation?: number; readonly side_data_type?: string }[];
};
type Info = { readonly streams?: readonly Stream[]; readonly format?: { readonly duration?: string } };

const LIMIT_S = 120;
/** Three hours at 60 frames a second, and then some. */
const MOST_FRAMES = 1_500_000;
const MOST_HOURS = 6;
/** Packets in which it is looked for whether anything can be decoded. */
const TRIED_PACKETS = 40;
/** A container that says more than this beyond its last picture was cut off, in seconds. */
const CUT_OFF_S = 1;

const PLAYABLE: Readonly<Record<string, readonly string[]>> = {
  'video/mp4': ['h264', 'vp9', 'av1'],
  'video/webm': ['h264', 'vp8', 'vp9', 'av1'],
};
/** Codings whose B-pictures are shown before what they were coded after. */
const REORDERING = ['h264', 'mpeg4', 'mpeg2video'];
const PLAYABLE_PIXELS = ['yuv420p', 'yuvj420p'];

type NotTaken = Extract<ProbeResult, { ok: false }>;
const refused = (fault: FileFault): NotTaken => ({ ok: false, fault });

/** Reads lines that arrive in pieces. */
const lines = (onLine: (line: string) => void): ((chunk: Buffer) => void) => {
  let rest = '';
  return (chunk) => {
    const parts = (rest + chunk.toString('latin1')).split('\n');
    rest = parts.pop()!;
    for (const line of parts) onLine(line);
  };
};

type Reading = {
  readonly demuxer: Container['demuxer'];
  /** Which stream, as ffprobe selects them, and what of it. */
  readonly of: string;
  readonly entries: string;
  readonly seconds?: number;
  readonly memoryBytes?: number;
  readonly signal?: AbortSignal | undefined;
};

/** Has ffprobe tell some entries of a stream, a line each, their values with commas between. */
const tellEach = (
  path: string,
  { demuxer, of, entries, seconds = LIMIT_S, ...limits }: Reading,
  onLine: (line: string) => void,
): Promise<ToolEnd> =>
  runTool(
    'ffprobe',
    [
      ...['-v', 'error', ...inputGuard(demuxer), '-select_streams', of],
      ...['-show_entries', entries, '-of', 'csv=p=0', `file:${path}`],
    ],
    { seconds, ...limits, onOutput: lines(onLine) },
  );

const infoOf = async (
  path: string,
  { demuxer }: Container,
): Promise<{ readonly info: Info | undefined; readonly said: string }> => {
  const chunks: Buffer[] = [];
  const end = await runTool(
    'ffprobe',
    ['-v', 'error', ...inputGuard(demuxer), '-show_streams', '-show_format', '-of', 'json', `file:${path}`],
    { seconds: LIMIT_S, memoryBytes: 2 * 2 ** 30, onOutput: (chunk) => chunks.push(chunk) },
  );
  return { info: end.ok ? (JSON.parse(Buffer.concat(chunks).toString()) as Info) : undefined, said: end.said };
};

type Packets = {
  /** Presentation times of the packets that are shown, unsorted. */
  readonly ticks: readonly number[];
  /** Each has a time, no two the same, and they never jump back further than pictures are put in order. */
  readonly isWhole: boolean;
  /** Each is shown after the one before it in the file. */
  readonly isRising: boolean;
  /** Packets of all kinds, those that are not shown too. */
  readonly count: number;
  readonly said: string;
};

/** So far may the times of packets go back where pictures are coded in another order than they are shown, in seconds. */
const REORDER_S = 2;

const packetsOf = async (path: string, { demuxer }: Container, { index, time_base }: Stream): Promise<Packets> => {
  const ticks: number[] = [];
  let [isWhole, isRising, latest, count] = [true, true, Number.NEGATIVE_INFINITY, 0];
  const [num, den] = time_base.split('/').map(Number) as [number, number];
  const asked = { demuxer, of: String(index), entries: 'packet=pts,flags', memoryBytes: 2 * 2 ** 30 };
  const end = await tellEach(path, asked, (line) => {
    const [pts, flags] = line.split(',');
    if (flags === undefined) return;
    count++;
    if (flags.includes('D')) return;
    const at = Number(pts);
    ticks.push(at);
    if (at <= latest) isRising = false;
    if (Number.isNaN(at) || ((latest - at) * num) / den > REORDER_S) isWhole = false;
    latest = Math.max(latest, at);
  });
  return { ticks, isWhole: end.ok && isWhole && new Set(ticks).size === ticks.length, isRising, count, said: end.said };
};

/**
 * Presentation times of all frames in the order in which a decoder gives them, in ticks, repaired where it gives none or they jump: slow (some nine times real
 * time), right for every container. Throws nothing; empty where nothing can be decoded.
 */
export const frameTimes = async (
  path: string,
  demuxer: Container['demuxer'],
  seconds: number,
  signal?: AbortSignal,
): Promise<readonly number[]> => {
  const ticks: number[] = [];
  await tellEach(path, { demuxer, of: 'V:0', entries: 'frame=best_effort_timestamp', seconds, signal }, (line) => {
    if (line.trim() !== '') ticks.push(Number(line.split(',')[0]));
  });
  return repairTimes(ticks);
};

/** Presentation times of the key frames of the pictures, in ticks. */
export const keyTimes = async (path: string, demuxer: Container['demuxer']): Promise<readonly number[]> => {
  const ticks: number[] = [];
  await tellEach(path, { demuxer, of: 'V:0', entries: 'packet=pts,flags' }, (line) => {
    const [pts, flags] = line.split(',');
    if (flags?.includes('K') && pts !== 'N/A') ticks.push(Number(pts));
  });
  return ticks;
};

/** When the sound of a file ends, in seconds; 0 where it has none. */
export const soundEndS = async (path: string, mime: string): Promise<number> => {
  let endS = 0;
  await tellEach(path, { demuxer: demuxerOf(mime), of: 'a:0', entries: 'packet=pts_time,duration_time' }, (line) => {
    const [at, lasts] = line.split(',').map(Number);
    if (at !== undefined && Number.isFinite(at))
      endS = Math.max(endS, at + (lasts && Number.isFinite(lasts) ? lasts : 0));
  });
  return endS;
};

/** What can be decoded of the first pictures, and whether they are encrypted. */
const firstPictures = async (
  path: string,
  { demuxer }: Container,
): Promise<{ readonly frames: number; readonly isLocked: boolean; readonly isReordered: boolean }> => {
  let [frames, isLocked, isReordered] = [0, false, false];
  await runTool(
    'ffprobe',
    [
      ...['-v', 'error', ...inputGuard(demuxer), '-select_streams', 'V:0', '-read_intervals', `%+#${TRIED_PACKETS}`],
      ...[
        '-show_entries',
        'packet_side_data=side_data_type:frame=pict_type',
        '-show_packets',
        '-show_frames',
        '-of',
        'default',
        `file:${path}`,
      ],
    ],
    {
      seconds: LIMIT_S,
      onOutput: lines((line) => {
        if (line.startsWith('pict_type=')) frames++;
        if (line === 'pict_type=B') isReordered = true;
        if (/^side_data_type=.*[Ee]ncryption/.test(line)) isLocked = true;
      }),
    },
  );
  return { frames, isLocked, isReordered };
};

/** Marks of encryption in the index of an MP4: what protects it, and with what. */
const LOCKS = ['sinf', 'schm', 'tenc', 'pssh'];
const hasLocks = async (path: string): Promise<boolean> => {
  const file = await open(path, 'r');
  try {
    const { size } = await file.stat();
    const part = 2 ** 20;
    for (const at of [0, Math.max(0, size - part)]) {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(part), 0, part, at);
      const text = buffer.subarray(0, bytesRead).toString('latin1');
      if (LOCKS.filter((lock) => text.includes(lock)).length >= 2) return true;
    }
    return false;
  } finally {
    await file.close();
  }
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

const tracksOf = (streams: readonly Stream[]): readonly SoundTrack[] =>
  streams
    .filter((s) => s.codec_type === 'audio')
    .map(({ tags, channels, codec_name }) => ({
      language: tags?.language === undefined || tags.language === 'und' ? '' : tags.language.slice(0, 20),
      title: (tags?.title ?? '').slice(0, 80),
      channels: channels ?? 1,
      codec: codec_name ?? '',
    }));

const tooLarge = (width: number, height: number): NotTaken =>
  refused({ code: 'picture-too-large', facts: { width, height, mostPixels: MOST_PIXELS } });

type Found = Awaited<ReturnType<typeof infoOf>>;
type Video = {
  readonly ok: true;
  readonly stream: Stream;
  readonly streams: readonly Stream[];
  readonly codec: string;
  readonly codecName: string;
  readonly seconds: number;
};

/** The stream of pictures, if what the file says of itself allows it to be taken in. */
const videoOf = ({ said, info }: Found, { demuxer }: Container): Video | NotTaken => {
  const size = /Picture size (\d+)x(\d+)/.exec(said);
  if (size && Number(size[1]) * Number(size[2]) > MOST_PIXELS) return tooLarge(Number(size[1]), Number(size[2]));
  if (!info) return refused({ code: demuxer === 'mov' ? 'index-missing' : 'damaged' });
  const streams = info.streams ?? [];
  if (streams.some(isLocked)) return refused({ code: 'locked' });
  const stream = streams.find((s) => s.codec_type === 'video' && !s.disposition?.attached_pic);
  if (!stream) {
    const has = streams.some((s) => s.codec_type === 'audio') ? 'sound' : 'data';
    return refused({ code: 'no-picture', facts: { has } });
  }
  const [width, height] = [stream.width ?? 0, stream.height ?? 0];
  if (width * height > MOST_PIXELS) return tooLarge(width, height);
  const codec = stream.codec_name ?? stream.codec_tag_string ?? 'unknown';
  if (!stream.codec_name || !width || !height) return refused({ code: 'unread-codec', facts: { codec } });
  const seconds = Number(stream.duration ?? info.format?.duration ?? 0) || 0;
  if (seconds > MOST_HOURS * 3600) return refused({ code: 'too-long', facts: { mostHours: MOST_HOURS } });
  return { ok: true, stream, streams, codec, codecName: stream.codec_name, seconds };
};

/** Whether less is there than the file says: an index that counts its pictures, of which some are not there; a length that the pictures do not reach; or so the reader says. */
const isCutOff = (
  { stream, seconds }: Video,
  packets: Awaited<ReturnType<typeof packetsOf>>,
  lasts: number,
  said: string,
): boolean =>
  Number(stream.nb_frames ?? 0) > packets.count + 1 ||
  (seconds > 0 && lasts < seconds - Math.max(CUT_OFF_S, seconds * 0.02)) ||
  /partial file|truncat|File ended prematurely|stream \d+, offset .*: partial/i.test(`${said}${packets.said}`);

/** Reads what is needed to show exact frames, whatever ffmpeg can read as video; otherwise says what the file is and what would work. */
export const probe = async (path: string): Promise<ProbeResult> => {
  const read = await containerOf(path);
  if (!read.ok) return read;
  const { container } = read;
  const found = await infoOf(path, container);
  const video = videoOf(found, container);
  if (!video.ok) return video;
  const { stream, streams, codec, codecName } = video;
  const first = await firstPictures(path, container);
  if (first.isLocked) return refused({ code: 'locked' });
  if (first.frames === 0)
    return refused((await hasLocks(path)) ? { code: 'locked' } : { code: 'undecodable', facts: { codec } });
  const packets = await packetsOf(path, container, stream);
  // pictures that are coded in another order than they are shown, and times that know nothing of it
  const isDisordered = first.isReordered && packets.isRising && REORDERING.includes(codecName);
  const areTimesRight = packets.isWhole && !isDisordered;
  const ticks = areTimesRight ? packets.ticks : await frameTimes(path, container.demuxer, 600);
  if (ticks.length === 0) return refused({ code: 'damaged' });
  if (ticks.length > MOST_FRAMES) return refused({ code: 'too-many-frames', facts: { most: MOST_FRAMES } });
  const [timeBaseNum, timeBaseDen] = stream.time_base.split('/').map(Number) as [number, number];
  const times = timeTable(ticks, timeBaseNum, timeBaseDen);
  const lasts = ((times.ticks.at(-1)! - times.ticks[0]!) * timeBaseNum) / timeBaseDen;
  const tracks = tracksOf(streams);
  return {
    ok: true,
    probed: {
      mime: container.mime,
      codec: codecName,
      playable:
        areTimesRight &&
        (PLAYABLE[container.mime] ?? []).includes(codecName) &&
        PLAYABLE_PIXELS.includes(stream.pix_fmt ?? ''),
      hasSound: tracks.length > 0,
      tracks,
      ...shownSize(stream),
      seconds: lasts,
      cutOff: isCutOff(video, packets, lasts, found.said),
      times,
      areTimesRight,
    },
  };
};
