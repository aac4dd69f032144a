import { execFile } from 'node:child_process';
import { open } from 'node:fs/promises';
import { promisify } from 'node:util';

const run = promisify(execFile);

/** What was found in a file that a browser can play. Ticks are the sorted presentation times in the stream's time base. */
export type Probed = {
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly timeBaseNum: number;
  readonly timeBaseDen: number;
  readonly ticks: readonly number[];
};
export type ProbeResult = { readonly ok: true; readonly probed: Probed } | { readonly ok: false; readonly why: string };

/** Before every input: only local files, only these containers. A playlist that points elsewhere is then not read. */
export const INPUT_GUARD: readonly string[] = [
  '-protocol_whitelist',
  'file,pipe',
  '-format_whitelist',
  'mov,matroska,webm',
  '-max_pixels',
  '33177600',
];
const DEADLINE_MS = 60_000;
const MOST_OUTPUT = 256 * 2 ** 20;
const PLAYABLE: Record<string, readonly string[]> = {
  'video/mp4': ['h264', 'vp9', 'av1'],
  'video/webm': ['vp8', 'vp9', 'av1'],
};

/** The container by its first bytes, whatever the file is called. */
const containerOf = async (path: string): Promise<string | undefined> => {
  const file = await open(path, 'r');
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(16), 0, 16, 0);
    if (bytesRead >= 12 && buffer.toString('latin1', 4, 8) === 'ftyp') return 'video/mp4';
    if (bytesRead >= 4 && buffer.readUInt32BE(0) === 0x1a45dfa3) return 'video/webm';
    return undefined;
  } finally {
    await file.close();
  }
};

const ffprobe = async (path: string, wanted: readonly string[]): Promise<Record<string, unknown>> => {
  const { stdout } = await run(
    'ffprobe',
    ['-v', 'error', ...INPUT_GUARD, '-select_streams', 'v:0', ...wanted, '-of', 'json', `file:${path}`],
    { timeout: DEADLINE_MS, maxBuffer: MOST_OUTPUT },
  );
  return JSON.parse(stdout) as Record<string, unknown>;
};

/** Reads what is needed to show exact frames: size, time base, presentation times of all frames (packets not marked to be dropped, sorted). */
export const probe = async (path: string): Promise<ProbeResult> => {
  const mime = await containerOf(path);
  if (!mime) return { ok: false, why: 'This is not an MP4 or WebM video. Those two can be taken in.' };
  type Stream = { codec_name: string; width: number; height: number; time_base: string };
  try {
    const info = (await ffprobe(path, ['-show_entries', 'stream=codec_name,width,height,time_base'])) as {
      streams?: Stream[];
    };
    const stream = info.streams?.[0];
    if (!stream)
      return { ok: false, why: 'The file holds no picture. An MP4 or WebM with a video track can be taken in.' };
    if (!PLAYABLE[mime]!.includes(stream.codec_name))
      return {
        ok: false,
        why: `Its pictures are coded as ${stream.codec_name}, which a browser does not play. H.264 in MP4, VP9 in WebM or AV1 in either can be taken in.`,
      };
    const [timeBaseNum, timeBaseDen] = stream.time_base.split('/').map(Number);
    const packets = (await ffprobe(path, ['-show_entries', 'packet=pts,flags'])) as {
      packets?: { pts?: number; flags: string }[];
    };
    const ticks = (packets.packets ?? [])
      .filter((p) => p.pts !== undefined && !p.flags.includes('D'))
      .map((p) => p.pts!)
      .sort((a, b) => a - b);
    if (ticks.length < 2) return { ok: false, why: 'The file holds fewer than two pictures.' };
    return {
      ok: true,
      probed: {
        mime,
        width: stream.width,
        height: stream.height,
        timeBaseNum: timeBaseNum!,
        timeBaseDen: timeBaseDen!,
        ticks,
      },
    };
  } catch (error) {
    const { killed, stderr } = error as { killed?: boolean; stderr?: string };
    if (stderr === undefined) throw error;
    return {
      ok: false,
      why: killed
        ? 'Reading the file took too long; it was not taken in.'
        : 'The file is damaged and cannot be read as video.',
    };
  }
};
