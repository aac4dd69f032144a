import { appendFile, mkdir, rename, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import {
  frameCount,
  frameStartS,
  sizeSeen,
  type Angle,
  type Clip,
  type MediaFile,
  type TimeTable,
} from '@odograph/core';
import type { NewCut } from '@odograph/core/contract';
import type { AcademyId } from '../database/academyId.js';
import { LibraryRepository } from '../library/library.repository.js';
import { demuxerOf, inputGuard } from '../media/container.js';
import { MediaStore } from '../media/mediaStore.js';
import { EARLY_S, FrameSeek, ONE_LINE, ROUNDED_S, telling, toldTimes } from '../media/frameSeek.js';
import { probe, soundEndS } from '../media/probe.js';
import { JobFault, faultOf, runTool } from '../media/tool.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { even, soundFrom } from './prepare.js';
import { type AtWork } from '../queue/atWork.js';

/** A clip with its file, and the part of that file's picture that its angle is. */
type Part = { readonly clip: Clip; readonly file: MediaFile; readonly region: Angle['region'] };
type Size = { readonly width: number; readonly height: number };

const MOST_LINES = 720;
const SOUND_RATE = 48_000;
const SAMPLE_BYTES = 2;
/** By so much may the sound of a video be shorter, or longer (coders work in blocks). */
const SOUND_SHORT_S = 0.03;
const SOUND_LONG_S = 0.12;

const PICTURES: Readonly<Record<NewCut['format'], readonly string[]>> = {
  mp4: ['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '20', '-bf', '0', '-video_track_timescale', '90000'],
  webm: [
    ...['-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-cpu-used', '6', '-row-mt', '1', '-crf', '32', '-b:v', '0'],
    // each picture is shown, none only referred to
    ...['-auto-alt-ref', '0', '-lag-in-frames', '0'],
  ],
};
const SOUND: Readonly<Record<NewCut['format'], readonly string[]>> = {
  mp4: ['-c:a', 'aac', '-b:a', '96k', '-movflags', '+faststart'],
  webm: ['-c:a', 'libopus', '-b:a', '64k'],
};

/** The size that all parts get: that of the largest, at most 720 lines. */
const sizeOf = (parts: readonly Part[]): Size => {
  const sizes = parts.map((part) => sizeSeen(part, part.file));
  const largest = sizes.reduce((a, b) => (b.height > a.height ? b : a));
  const height = Math.min(MOST_LINES, largest.height);
  return { width: even((largest.width * height) / largest.height), height: even(height) };
};

/** Filters that bring pictures of a file, as they are shown, into a size, with bars where they are of another shape. */
const fitted = ({ file, region }: Omit<Part, 'clip'>, { width, height }: Size): string => {
  const seen = sizeSeen({ region }, file);
  const scale = Math.min(width / seen.width, height / seen.height);
  const [w, h] = [Math.min(width, even(seen.width * scale)), Math.min(height, even(seen.height * scale))];
  const share = (n: number): string => n.toFixed(6);
  const crop = region
    ? `crop=iw*${share(region.right - region.left)}:ih*${share(region.bottom - region.top)}:iw*${share(region.left)}:ih*${share(region.top)},`
    : '';
  return `${crop}scale=${w}:${h},setsar=1,pad=${width}:${height}:-1:-1,format=yuv420p`;
};

/** The frames [from, to) of a file, with their times in seconds. */
type Stretch = { readonly from: number; readonly to: number; readonly fromS: number; readonly toS: number };
const stretchOf = (clip: Clip, times: TimeTable): Stretch => ({
  from: clip.in.frame,
  to: clip.out.frame,
  fromS: frameStartS(times, clip.in.frame),
  toS: frameStartS(times, clip.out.frame),
});
const lastsS = ({ fromS, toS, from, to }: Stretch): number => (toS > fromS ? toS - fromS : (to - from) / 25);

/** How frames are found: by their times, from a key frame before them on; or counted from the first one of the file. */
type Way = 'by time' | 'by count';

/**
 * Cuts clips out of the originals, coded anew so that they begin and end exactly at their frames and carry nothing from before or behind. What was cut is counted, and its
 * times are held against those of the original, before it is given out.
 */
@Injectable()
export class Cuts {
  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(LibraryRepository) private readonly library: LibraryRepository,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(FrameSeek) private readonly seek: FrameSeek,
  ) {}

  async cut(academy: AcademyId, id: string, work: AtWork): Promise<void> {
    const wish = (await this.jobs.detail(academy, 'cut', id)) as NewCut | undefined;
    if (!wish) throw new JobFault({ code: 'nothing-to-cut' });
    const parts = await this.partsOf(academy, wish);
    const size = sizeOf(parts);
    await this.store.working(async (folder) => {
      const cut: Stretch[] = [];
      const expected: number[] = [];
      const sound = join(folder, 'sound');
      await writeFile(sound, '');
      let atS = 0;
      for (const [i, part] of parts.entries()) {
        const { clip, file } = part;
        const times = await this.store.times(academy, file.id);
        const stretch = stretchOf(clip, times);
        const path = join(folder, `${i}.${wish.format}`);
        const spaced = await this.pictures(academy, part, times, stretch, size, wish.format, path, work);
        for (const offsetS of spaced) expected.push(atS + offsetS);
        await this.sound(academy, file, stretch, atS, sound, work);
        cut.push(stretch);
        atS += lastsS(stretch);
        work.progress(((i + 1) / parts.length) * 0.9);
      }
      const whole = await this.joined(folder, cut, sound, wish.format, work);
      await this.mustHold(whole, expected, atS);
      const place = this.store.cut(academy, id, wish.format);
      await mkdir(dirname(place), { recursive: true });
      await rename(whole, place);
    });
  }

  private async partsOf(academy: AcademyId, { clipIds }: NewCut): Promise<readonly Part[]> {
    const { clips, angles, files } = await this.library.clipsWithFiles(academy, new Set(clipIds));
    const parts = clipIds.flatMap((clipId): Part[] => {
      const clip = clips.find((c) => c.id === clipId);
      const angle = angles.find((a) => a.id === clip?.angleId);
      const file = files.find((f) => f.id === angle?.fileId);
      return clip && file && angle ? [{ clip, file, region: angle.region }] : [];
    });
    if (!parts.length) throw new JobFault({ code: 'nothing-to-cut' });
    return parts;
  }

  /** Writes the pictures of a stretch; gives when each is shown, in seconds from the first. */
  private async pictures(
    academy: AcademyId,
    part: Omit<Part, 'clip'>,
    times: TimeTable,
    stretch: Stretch,
    size: Size,
    format: NewCut['format'],
    path: string,
    work: AtWork,
  ): Promise<readonly number[]> {
    const { from, to, fromS } = stretch;
    const offsets = Array.from({ length: to - from }, (_, i) => frameStartS(times, from + i) - fromS);
    const seen = (await this.seek.isByTime(academy, part.file))
      ? await this.coded(academy, part, stretch, 'by time', size, format, path, work)
      : [];
    const isExact = seen.length === to - from && seen.every((s, i) => Math.abs(s - fromS - offsets[i]!) < ROUNDED_S);
    if (isExact) return offsets;
    // its times are no use, or it could not be begun in the middle: from its beginning on, picture by picture
    const counted = await this.coded(academy, part, stretch, 'by count', size, format, path, work);
    if (counted.length !== to - from)
      throw new JobFault({ code: 'cut-inexact', facts: { frames: counted.length, ofFrames: to - from } });
    return offsets.map((_, i) => (i * lastsS(stretch)) / (to - from));
  }

  /** Codes the pictures of a stretch; gives the times that those it found have in the file, in seconds. */
  private async coded(
    academy: AcademyId,
    part: Omit<Part, 'clip'>,
    stretch: Stretch,
    way: Way,
    size: Size,
    format: NewCut['format'],
    path: string,
    work: AtWork,
  ): Promise<readonly number[]> {
    const { from, to, fromS, toS } = stretch;
    const { file } = part;
    const demuxer = demuxerOf(file.mime);
    const frames = String(to - from);
    const found =
      way === 'by time'
        ? `select='gte(t,${(fromS - EARLY_S).toFixed(6)})*lt(t,${(toS - EARLY_S).toFixed(6)})'`
        : `select='between(n,${from},${to - 1})'`;
    const spaced =
      way === 'by time' ? 'setpts=PTS-STARTPTS' : `setpts=N*${(lastsS(stretch) / (to - from)).toFixed(9)}/TB`;
    const seek = way === 'by time' ? await this.seek.before(academy, file, fromS) : [];
    let said = '';
    const end = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', '-copyts', ...inputGuard(demuxer)],
        ...(way === 'by time' ? seek : ONE_LINE),
        ...['-i', `file:${this.store.original(academy, file.id)}`, '-filter_complex'],
        `[0:V:0]${found},${fitted(part, size)},split=2[a][b];[a]${spaced}[v];[b]scale=16:16[c]`,
        ...['-map', '[v]', '-frames:v', frames, '-fps_mode', 'passthrough', '-enc_time_base:v', '-1', '-an'],
        ...[...PICTURES[format], `file:${path}`],
        ...telling('c', to - from),
      ],
      { seconds: work.deadlineS, signal: work.signal, onOutput: (chunk) => (said += chunk.toString('latin1')) },
    );
    // nothing found in the middle is no failure yet
    if (!end.ok && (way === 'by count' || end.why !== 'failed')) throw faultOf(end, 'cut');
    return toldTimes(said);
  }

  /** Writes the sound of a stretch behind what is there: exactly as many samples as it lasts, silence where there is none. */
  private async sound(
    academy: AcademyId,
    file: MediaFile,
    stretch: Stretch,
    atS: number,
    path: string,
    work: AtWork,
  ): Promise<void> {
    const length = lastsS(stretch);
    const samples = Math.round((atS + length) * SOUND_RATE) - Math.round(atS * SOUND_RATE);
    const wanted = samples * SAMPLE_BYTES;
    const chunks: Buffer[] = [];
    let bytes = 0;
    if (file.tracks.length > 0) {
      const seek = await this.seek.before(academy, file, stretch.fromS - 1);
      const end = await runTool(
        'ffmpeg',
        [
          ...['-nostdin', '-v', 'error', '-copyts', ...inputGuard(demuxerOf(file.mime))],
          ...seek,
          ...['-i', `file:${this.store.original(academy, file.id)}`, '-vn', '-map', `0:a:${file.track}`, '-af'],
          soundFrom(stretch.fromS, SOUND_RATE),
          ...['-ac', '1', '-ar', String(SOUND_RATE), '-t', (length + 1).toFixed(6), '-f', 's16le', 'pipe:1'],
        ],
        {
          seconds: work.deadlineS,
          signal: work.signal,
          onOutput: (chunk) => {
            if (bytes < wanted) chunks.push(chunk);
            bytes += chunk.length;
          },
        },
      );
      if (!end.ok) throw faultOf(end, 'cut');
    }
    const heard = Buffer.concat(chunks).subarray(0, wanted);
    await appendFile(path, Buffer.concat([heard, Buffer.alloc(wanted - heard.length)]));
  }

  /** All parts one after the other, each as long as it lasts, with the sound of all of them coded as one. */
  private async joined(
    folder: string,
    cut: readonly Stretch[],
    sound: string,
    format: NewCut['format'],
    work: AtWork,
  ): Promise<string> {
    const [list, whole] = [join(folder, 'list'), join(folder, `whole.${format}`)];
    const lines = cut.map(
      (s, i) => `file 'file:${join(folder, `${i}.${format}`)}'\nduration ${lastsS(s).toFixed(6)}\n`,
    );
    await writeFile(list, lines.join(''));
    const guard = ['-protocol_whitelist', 'file,pipe', '-format_whitelist'];
    const end = await runTool(
      'ffmpeg',
      [
        ...[
          '-nostdin',
          '-v',
          'error',
          '-y',
          ...guard,
          'concat,mov,matroska',
          '-f',
          'concat',
          '-safe',
          '0',
          '-i',
          `file:${list}`,
        ],
        ...[...guard, 's16le', '-f', 's16le', '-ar', String(SOUND_RATE), '-ac', '1', '-i', `file:${sound}`],
        ...['-map', '0:v', '-map', '1:a', '-c:v', 'copy', ...SOUND[format], `file:${whole}`],
      ],
      { seconds: work.deadlineS, signal: work.signal },
    );
    if (!end.ok) throw faultOf(end, 'join');
    return whole;
  }

  /** The video has to hold just the frames that were asked for, each at its time, and sound as long as they last. */
  private async mustHold(path: string, expected: readonly number[], ofSeconds: number): Promise<void> {
    const made = await probe(path);
    if (!made.ok) throw new JobFault({ code: 'tool-failed', facts: { task: 'join' } });
    const { times } = made.probed;
    const zero = frameStartS(times, 0);
    const right = expected.filter(
      (s, i) => i < frameCount(times) && Math.abs(frameStartS(times, i) - zero - s) < 2 * ROUNDED_S,
    );
    if (frameCount(times) !== expected.length || right.length !== expected.length)
      throw new JobFault({
        code: 'cut-inexact',
        facts: { frames: Math.min(right.length, frameCount(times)), ofFrames: expected.length },
      });
    const seconds = await soundEndS(path, made.probed.mime);
    if (seconds < ofSeconds - SOUND_SHORT_S || seconds > ofSeconds + SOUND_LONG_S)
      throw new JobFault({ code: 'sound-inexact', facts: { seconds, ofSeconds } });
  }
}
