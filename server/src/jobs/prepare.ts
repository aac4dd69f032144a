import type { AtWork } from '../queue/atWork.js';
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
  type Motion,
  type TimeTable,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import type { AcademyId } from '../database/academyId.js';
import { demuxerOf, inputGuard } from '../media/container.js';
import { ONE_LINE } from '../media/frameSeek.js';
import { MediaService } from '../media/media.service.js';
import { MediaStore } from '../media/mediaStore.js';
import { frameTimes, probe } from '../media/probe.js';
import { Stills } from '../media/stills.js';
import { JobFault, faultOf, runTool } from '../media/tool.js';
import { JobsRepository } from '../queue/jobs.repository.js';

/** The proxy for stepping: its height in lines, and a key frame every so many frames. */
const PROXY_LINES = 360;
const KEY_EVERY = 15;
const STRIP_TILES = 100;
/** Pictures for lists that are made in one go. */
const AT_ONCE = 60;
const TILE = { width: 160, height: 90 } as const;
const SOUND_RATE = 8000;
/** After so much of it the file for stepping is given out as far as it has come; then each time that it is twice as long. In seconds. */
const FIRST_PART_S = 60;
/** The coder holds so many frames back before they are written. */
const HELD_BACK = 8 * KEY_EVERY;
/** Times of a proxy that are further off than this are others, in seconds; or than half a frame, where that is more. */
const SAME_S = 0.002;

/** The nearest size that a coder takes. */
export const even = (n: number): number => Math.max(2, 2 * Math.round(n / 2));

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

/** Whether two tables have as many frames, as far from each other. */
const isAlike = (a: TimeTable, b: TimeTable): boolean => {
  const n = frameCount(a);
  if (n !== frameCount(b)) return false;
  const [a0, b0] = [frameStartS(a, 0), frameStartS(b, 0)];
  const typical = n > 1 ? (frameStartS(b, n - 1) - b0) / (n - 1) : 0;
  const most = Math.max(SAME_S, typical / 2);
  for (let f = 0; f < n; f++) if (Math.abs(frameStartS(a, f) - a0 - (frameStartS(b, f) - b0)) > most) return false;
  return true;
};

/** How pictures get their times: as the file has them, or one after the other, where those are no use. */
type Spacing = { readonly rate: number } | 'as they come';

type Encoded = { readonly path: string; readonly times: TimeTable; readonly motion: Motion };

/** Makes of a file what stepping, pointing, skipping and aligning need. The original is only read, and its pictures are decoded once. */
@Injectable()
export class Prepare {
  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(Stills) private readonly pictures: Stills,
  ) {}

  private input(academy: AcademyId, file: MediaFile): readonly string[] {
    return [...inputGuard(demuxerOf(file.mime)), '-i', `file:${this.store.original(academy, file.id)}`];
  }

  /** A file that a browser steps through quickly, with exactly the frames of the original; and what they show, read on the way. */
  async proxy(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const file = await this.media.require(academy, fileId);
    await this.store.working(async (folder) => {
      const table = await this.store.times(academy, fileId);
      let made = await this.encode(academy, file, table, 'as they come', folder, work);
      const isSame = isAlike(made.times, table);
      if (!isSame) made = await this.agree(academy, file, made, folder, work);
      const { times } = made;
      await this.store.writeTimes(academy, fileId, times, 'proxy.times');
      await this.store.putMade(academy, fileId, 'proxy.mp4', made.path);
      await this.store.unmake(academy, fileId, 'part.mp4', 'part.times');
      // with other times than were thought what moves is read once more, out of the proxy
      if (isSame) await this.keepLook(academy, fileId, table, made.motion, folder, work);
    });
  }

  private async encode(
    academy: AcademyId,
    file: MediaFile,
    table: TimeTable,
    spacing: Spacing,
    folder: string,
    work: AtWork,
  ): Promise<Encoded> {
    const lines = Math.min(PROXY_LINES, file.height);
    const [width, height] = [even((file.width * lines) / file.height), even(lines)];
    const [growing, path] = [join(folder, 'growing.mp4'), join(folder, 'proxy.mp4')];
    const reader = new MotionReader();
    const parts = new Parts(this.store, academy, file.id, growing, folder, work);
    let frame = 0;
    const grey = inPieces(TILE.width * TILE.height, (picture) => {
      if (frame < file.frames) reader.push(picture, frameStartS(table, frame));
      frame++;
      work.progress(Math.min(0.97, frame / file.frames));
      parts.reached(frame, frameStartS(table, Math.min(frame, file.frames)) - frameStartS(table, 0));
    });
    const spaced = spacing === 'as they come' ? '' : `setpts=N/${spacing.rate.toFixed(6)}/TB,`;
    const end = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', ...ONE_LINE, ...this.input(academy, file), '-filter_complex'],
        `[0:V:0]${spaced}scale=${width}:${height},setsar=1,split=2[p][g];[g]scale=${TILE.width}:${TILE.height}:flags=fast_bilinear,format=gray[y]`,
        ...['-map', '[p]', '-map', `0:a:${file.track}?`, '-fps_mode', 'passthrough', '-enc_time_base:v', '-1'],
        ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '23', '-pix_fmt', 'yuv420p', '-g', String(KEY_EVERY)],
        ...['-keyint_min', String(KEY_EVERY), '-sc_threshold', '0', '-bf', '0', '-video_track_timescale', '90000'],
        ...['-c:a', 'aac', '-b:a', '96k', '-ac', '1', '-ar', '48000'],
        ...['-movflags', '+frag_keyframe+delay_moov+default_base_moof', '-f', 'mp4', `file:${growing}`],
        ...['-map', '[y]', '-fps_mode', 'passthrough', '-f', 'rawvideo', 'pipe:1'],
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: grey },
    );
    await parts.settled();
    if (!end.ok) throw faultOf(end, 'proxy');
    await copied(growing, path, [], work);
    const made = await probe(path);
    if (!made.ok) throw new JobFault({ code: 'tool-failed', facts: { task: 'proxy' } });
    return { path, times: made.probed.times, motion: reader.end(frameStartS(table, file.frames)) };
  }

  /**
   * The proxy has other frames than the container told, or at other times: what can be decoded is what there is. Its frames are counted and get the times that the
   * decoder gives, repaired where it gives none; where frames were lost for their times, they are coded once more, one after the other.
   */
  private async agree(
    academy: AcademyId,
    file: MediaFile,
    made: Encoded,
    folder: string,
    work: AtWork,
  ): Promise<Encoded> {
    const original = this.store.original(academy, file.id);
    const ticks = await frameTimes(original, demuxerOf(file.mime), work.deadlineS, work.signal);
    const { timeBaseNum, timeBaseDen } = file;
    if (ticks.length === 0) throw new JobFault({ code: 'damaged' });
    const decoded = timeTable(ticks, timeBaseNum, timeBaseDen);
    let now = made;
    if (frameCount(made.times) !== ticks.length) {
      const seconds = frameStartS(decoded, ticks.length) - frameStartS(decoded, 0);
      const rate = seconds > 0 ? ticks.length / seconds : 25;
      now = await this.encode(academy, { ...file, frames: ticks.length }, decoded, { rate }, folder, work);
    }
    if (frameCount(now.times) === ticks.length) {
      await this.media.setTimes(academy, file, decoded);
      return now;
    }
    // the two still do not agree: what is shown counts, beginning when the file does
    const startTicks = ticks[0]!;
    const first = frameStartS(now.times, 0);
    const shown = Array.from(
      { length: frameCount(now.times) },
      (_, f) => startTicks + Math.round(((frameStartS(now.times, f) - first) * timeBaseDen) / timeBaseNum),
    );
    await this.media.setTimes(academy, file, timeTable(shown, timeBaseNum, timeBaseDen));
    return now;
  }

  /** The picture strip for pointing, and what the pictures alone say, where the proxy has not brought them along: read from the proxy. */
  async look(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const isThere = await Promise.all(
      (['look.json', 'strip.jpg'] as const).map((name) => this.store.isMade(academy, fileId, name)),
    );
    if (isThere.every(Boolean)) return;
    const file = await this.media.require(academy, fileId);
    const times = await this.store.times(academy, fileId);
    const reader = new MotionReader();
    let frame = 0;
    const grey = inPieces(TILE.width * TILE.height, (picture) => {
      if (frame >= file.frames) return;
      reader.push(picture, frameStartS(times, frame++));
      work.progress((frame / file.frames) * 0.9);
    });
    const moved = await runTool(
      'ffmpeg',
      [
        ...[
          '-nostdin',
          '-v',
          'error',
          ...inputGuard('mov'),
          '-i',
          `file:${this.store.made(academy, fileId, 'proxy.mp4')}`,
        ],
        ...['-an', '-vf', `scale=${TILE.width}:${TILE.height}:flags=fast_bilinear,format=gray`],
        ...['-fps_mode', 'passthrough', '-f', 'rawvideo', 'pipe:1'],
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: grey },
    );
    if (!moved.ok) throw faultOf(moved, 'look');
    await this.store.working((folder) =>
      this.keepLook(academy, fileId, times, reader.end(frameStartS(times, file.frames)), folder, work),
    );
  }

  /** Puts the picture strip, taken from the proxy's key frames, and what moves in their place. */
  private async keepLook(
    academy: AcademyId,
    fileId: string,
    times: TimeTable,
    { activity, ...motion }: Motion,
    folder: string,
    work: AtWork,
  ): Promise<void> {
    const frames = tileFrames(times);
    const tiles = { columns: 10, frames, ...TILE };
    const path = join(folder, 'strip.jpg');
    const strip = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', '-skip_frame', 'nokey', ...inputGuard('mov')],
        ...['-i', `file:${this.store.made(academy, fileId, 'proxy.mp4')}`, '-an', '-vf'],
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
    if (!strip.ok) throw faultOf(strip, 'strip');
    const said = join(folder, 'look.json');
    const look: Look = { ...motion, activity: [...activity], toS: frameStartS(times, frameCount(times)), tiles };
    await writeFile(said, JSON.stringify(look), { flush: true });
    await this.store.putMade(academy, fileId, 'strip.jpg', path);
    await this.store.putMade(academy, fileId, 'look.json', said);
  }

  /** How loud the file is over time, from the sound track that is heard, beginning with its first picture. */
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
        ...['-nostdin', '-v', 'error', '-copyts', ...this.input(academy, file), '-map', `0:a:${file.track}`, '-af'],
        soundFrom(startS, SOUND_RATE),
        ...['-ac', '1', '-ar', String(SOUND_RATE), '-f', 's16le', 'pipe:1'],
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: read },
    );
    if (!end.ok) throw faultOf(end, 'sound');
    await this.store.working(async (folder) => {
      const path = join(folder, 'sound');
      await writeFile(path, Uint8Array.from(levels), { flush: true });
      await this.store.putMade(academy, fileId, 'sound', path);
    });
  }

  /** The pictures that lists show of a file: the first frames of its clips, made before anybody asks for them. */
  async stills(academy: AcademyId, fileId: string, work: AtWork): Promise<void> {
    const file = await this.media.require(academy, fileId);
    const frames = (await this.jobs.firstFrames(academy, fileId)).filter((frame) => frame < file.frames);
    for (let i = 0; i < frames.length; i += AT_ONCE) {
      await this.pictures.makeMany(academy, file, frames.slice(i, i + AT_ONCE), work.signal);
      work.progress(Math.min(0.98, (i + AT_ONCE) / frames.length));
      if (work.signal.aborted) return;
    }
  }
}

/**
 * Filters that give sound from an instant of the file on, at a rate: silence goes in where it begins later, or has a hole. The instant is counted in samples of
 * what comes in, so it is brought to the rate first.
 */
export const soundFrom = (startS: number, rate: number): string =>
  `aresample=${rate},aresample=${rate}:async=1:first_pts=${Math.round(startS * rate)}`;

/** Copies what is coded into a file that begins with its index. */
const copied = async (from: string, to: string, limits: readonly string[], work: AtWork): Promise<boolean> => {
  const end = await runTool(
    'ffmpeg',
    [
      ...['-nostdin', '-v', 'error', '-y', ...inputGuard('mov'), '-i', `file:${from}`, '-c', 'copy', ...limits],
      ...['-video_track_timescale', '90000', '-movflags', '+faststart', `file:${to}`],
    ],
    { seconds: work.deadlineS, signal: work.signal },
  );
  if (!end.ok && limits.length === 0) throw faultOf(end, 'proxy');
  return end.ok;
};

/** Gives out as much of a proxy as there is, while it grows. */
class Parts {
  private nextS = FIRST_PART_S;
  private running: Promise<void> = Promise.resolve();
  private isBusy = false;

  constructor(
    private readonly store: MediaStore,
    private readonly academy: AcademyId,
    private readonly fileId: string,
    private readonly growing: string,
    private readonly folder: string,
    private readonly work: AtWork,
  ) {}

  /** Hears how far coding has come: so many frames, so many seconds. */
  reached(frames: number, seconds: number): void {
    if (seconds < this.nextS || this.isBusy) return;
    this.nextS = seconds * 2;
    this.isBusy = true;
    const whole = Math.floor((frames - HELD_BACK) / KEY_EVERY) * KEY_EVERY;
    // nothing is lost where a part could not be made: all of it comes in the end
    this.running = this.give(whole)
      .catch(() => undefined)
      .finally(() => (this.isBusy = false));
  }

  private async give(frames: number): Promise<void> {
    const path = join(this.folder, 'part.mp4');
    if (frames < KEY_EVERY || !(await copied(this.growing, path, ['-frames:v', String(frames)], this.work))) return;
    const made = await probe(path);
    if (!made.ok) return;
    // the pictures first: times never tell of a frame that is not there
    await this.store.putMade(this.academy, this.fileId, 'part.mp4', path);
    await this.store.writeTimes(this.academy, this.fileId, made.probed.times, 'part.times');
  }

  settled(): Promise<void> {
    return this.running;
  }
}
