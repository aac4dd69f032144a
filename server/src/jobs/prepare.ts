import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import {
  ENVELOPE_RATE,
  MotionReader,
  frameAtS,
  frameCount,
  frameStartS,
  levelOf,
  timeTable,
  type MediaFile,
  type TimeTable,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import type { AcademyId } from '../database/academyId.js';
import { demuxerOf, inputGuard } from '../media/container.js';
import { MediaService } from '../media/media.service.js';
import { MediaStore } from '../media/mediaStore.js';
import { frameTimes, probe } from '../media/probe.js';
import { ToolFault, faultOf, runTool } from '../media/tool.js';

/** What a job is told while it runs: how far it is goes out, that it should end comes in. */
export type AtWork = {
  readonly signal: AbortSignal;
  readonly deadlineS: number;
  readonly progress: (part: number) => void;
};

/** The proxy for stepping: its height in lines, and a key frame every so many frames. */
const PROXY_LINES = 360;
const KEY_EVERY = 15;
const STRIP_TILES = 100;
const TILE = { width: 160, height: 90 } as const;
const SOUND_RATE = 8000;

/** The nearest size that a coder takes. */
export const even = (n: number): number => Math.max(2, 2 * Math.round(n / 2));

/** Reads `frame=` out of what ffmpeg says of its progress. */
const frameProgress = (frames: number, { progress }: AtWork): ((chunk: Buffer) => void) => {
  return (chunk) => {
    const at = [...chunk.toString('latin1').matchAll(/^frame=(\d+)/gm)].at(-1);
    if (at) progress(Math.min(0.98, Number(at[1]) / frames));
  };
};

/** Gives pieces of exactly one size out of chunks of any. */
const inPieces = (size: number, use: (piece: Buffer) => void): ((chunk: Buffer) => void) => {
  let rest: Buffer = Buffer.alloc(0);
  return (chunk) => {
    let all = rest.length ? Buffer.concat([rest, chunk]) : chunk;
    for (; all.length >= size; all = all.subarray(size)) use(all.subarray(0, size));
    rest = Buffer.from(all);
  };
};

/** Key frames of the proxy that are spread evenly over its time: one a second, at most a hundred, each once. */
const tileFrames = (times: TimeTable): readonly number[] => {
  const [startS, endS] = [frameStartS(times, 0), frameStartS(times, frameCount(times))];
  const count = Math.max(1, Math.min(STRIP_TILES, Math.floor(endS - startS)));
  const near = Array.from({ length: count }, (_, i) => frameAtS(times, startS + ((i + 0.5) * (endS - startS)) / count));
  return [...new Set(near.map((f) => f - (f % KEY_EVERY)))];
};

/** Makes of a file what stepping, pointing, skipping and aligning need. The original is only read. */
@Injectable()
export class Prepare {
  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(MediaService) private readonly media: MediaService,
  ) {}

  private input(academy: AcademyId, file: MediaFile): readonly string[] {
    return [...inputGuard(demuxerOf(file.mime)), '-i', `file:${this.store.original(academy, file.id)}`];
  }

  /** A file that a browser steps through quickly, with exactly the frames of the original. */
  async proxy(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const file = await this.media.require(academy, fileId);
    const lines = Math.min(PROXY_LINES, file.height);
    const [width, height] = [even((file.width * lines) / file.height), even(lines)];
    await this.store.working(async (folder) => {
      const path = join(folder, 'proxy.mp4');
      const end = await runTool(
        'ffmpeg',
        [
          ...['-nostdin', '-v', 'error', '-progress', 'pipe:1', '-y', ...this.input(academy, file)],
          ...[
            '-map',
            '0:V:0',
            '-map',
            '0:a:0?',
            '-vf',
            `scale=${width}:${height},setsar=1`,
            '-fps_mode',
            'passthrough',
            '-enc_time_base',
            '-1',
          ],
          ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '23', '-pix_fmt', 'yuv420p', '-g', String(KEY_EVERY)],
          ...['-keyint_min', String(KEY_EVERY), '-sc_threshold', '0', '-bf', '0', '-video_track_timescale', '90000'],
          ...['-c:a', 'aac', '-b:a', '96k', '-ac', '1', '-ar', '48000', '-movflags', '+faststart', `file:${path}`],
        ],
        { seconds: work.deadlineS, signal: work.signal, onOutput: frameProgress(file.frames, work) },
      );
      if (!end.ok) throw faultOf(end, 'Making the file for stepping');
      const made = await probe(path);
      if (!made.ok) throw new ToolFault('The file for stepping could not be read again.');
      await this.agree(academy, file, made.probed.times, work);
      await this.store.writeTimes(academy, fileId, made.probed.times, 'proxy.times');
      await this.store.putMade(academy, fileId, 'proxy.mp4', path);
    });
  }

  /** The proxy must have the frames of the original, each of them. Where the container told their times wrongly, the decoder's are taken, unless clips stand on them. */
  private async agree(academy: AcademyId, file: MediaFile, proxy: TimeTable, work: AtWork): Promise<void> {
    if (proxy.ticks.length === file.frames) return;
    const read = await frameTimes(
      this.store.original(academy, file.id),
      demuxerOf(file.mime),
      work.deadlineS,
      work.signal,
    );
    const ticks = [...new Set(read)];
    if (ticks.length !== proxy.ticks.length)
      throw new ToolFault(
        `The file holds ${file.frames} pictures by its index, but ${proxy.ticks.length} can be shown; it stays as it is, without a file for stepping.`,
      );
    await this.media.setTimes(academy, file, timeTable(ticks, file.timeBaseNum, file.timeBaseDen));
  }

  /** The picture strip for pointing, and what the pictures alone say: activity, cuts, black and frozen stretches. Read from the proxy. */
  async look(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const file = await this.media.require(academy, fileId);
    const source = `file:${this.store.made(academy, fileId, 'proxy.mp4')}`;
    const times = await this.store.times(academy, fileId);
    const endS = frameStartS(times, file.frames);
    const reader = new MotionReader();
    let frame = 0;
    const grey = inPieces(TILE.width * TILE.height, (picture) => {
      if (frame >= file.frames) return;
      reader.push(picture, frameStartS(times, frame++));
      work.progress((frame / file.frames) * 0.9);
    });
    const guard = inputGuard('mov');
    const moved = await runTool(
      'ffmpeg',
      [
        ...[
          '-nostdin',
          '-v',
          'error',
          ...guard,
          '-i',
          source,
          '-an',
          '-vf',
          `scale=${TILE.width}:${TILE.height}:flags=fast_bilinear,format=gray`,
        ],
        ...['-fps_mode', 'passthrough', '-f', 'rawvideo', 'pipe:1'],
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: grey },
    );
    if (!moved.ok) throw faultOf(moved, 'Reading what moves');
    if (frame !== file.frames)
      throw new ToolFault(`Of ${file.frames} pictures only ${frame} could be read for what moves.`);
    const frames = tileFrames(times);
    const tiles = { columns: 10, frames, ...TILE };
    await this.store.working(async (folder) => {
      const path = join(folder, 'strip.jpg');
      const strip = await runTool(
        'ffmpeg',
        [
          ...['-nostdin', '-v', 'error', '-y', '-skip_frame', 'nokey', ...guard, '-i', source, '-an', '-vf'],
          [
            `select=${frames.map((f) => `eq(n\\,${f / KEY_EVERY})`).join('+')}`,
            `scale=${TILE.width}:${TILE.height}:force_original_aspect_ratio=decrease`,
            `pad=${TILE.width}:${TILE.height}:-1:-1`,
            `tile=${tiles.columns}x${Math.ceil(frames.length / tiles.columns)}`,
          ].join(','),
          ...['-fps_mode', 'passthrough', '-frames:v', '1', '-q:v', '5', `file:${path}`],
        ],
        { seconds: work.deadlineS, signal: work.signal },
      );
      if (!strip.ok) throw faultOf(strip, 'Making the picture strip');
      const { activity, ...motion } = reader.end(endS);
      const said = join(folder, 'look.json');
      const look: Look = { ...motion, activity: [...activity], toS: endS, tiles };
      await writeFile(said, JSON.stringify(look), { flush: true });
      await this.store.putMade(academy, fileId, 'strip.jpg', path);
      await this.store.putMade(academy, fileId, 'look.json', said);
    });
  }

  /** How loud the file is over time, from its first sound track, beginning with its first picture. */
  async sound(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const file = await this.media.require(academy, fileId);
    const startS = frameStartS(await this.store.times(academy, fileId), 0);
    const per = SOUND_RATE / ENVELOPE_RATE;
    const levels: number[] = [];
    const samples = new Float32Array(per);
    const read = inPieces(per * 2, (piece) => {
      for (let i = 0; i < per; i++) samples[i] = piece.readInt16LE(i * 2) / 32_768;
      levels.push(levelOf(samples));
      if (levels.length % 1000 === 0)
        work.progress(Math.min(0.98, levels.length / ENVELOPE_RATE / Math.max(1, file.seconds)));
    });
    const end = await runTool(
      'ffmpeg',
      [
        // silence goes in where the sound begins after the first picture, or has a hole
        ...['-nostdin', '-v', 'error', '-copyts', ...this.input(academy, file), '-map', '0:a:0', '-af'],
        `aresample=${SOUND_RATE}:async=1:first_pts=${Math.round(startS * SOUND_RATE)}`,
        ...['-ac', '1', '-ar', String(SOUND_RATE), '-f', 's16le', 'pipe:1'],
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: read },
    );
    if (!end.ok) throw faultOf(end, 'Reading the sound');
    await this.store.working(async (folder) => {
      const path = join(folder, 'sound');
      await writeFile(path, Uint8Array.from(levels), { flush: true });
      await this.store.putMade(academy, fileId, 'sound', path);
    });
  }
}
