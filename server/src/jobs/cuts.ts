import { mkdir, rename, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { frameStartS, type Clip, type MediaFile } from '@odograph/core';
import type { NewCut } from '@odograph/core/contract';
import type { AcademyId } from '../database/academyId.js';
import { LibraryRepository } from '../library/library.repository.js';
import { demuxerOf, inputGuard } from '../media/container.js';
import { fromTime } from '../media/probe.js';
import { MediaStore } from '../media/mediaStore.js';
import { ToolFault, faultOf, runTool } from '../media/tool.js';
import { JobsRepository } from './jobs.repository.js';
import { even, type AtWork } from './prepare.js';

type Part = { readonly clip: Clip; readonly file: MediaFile };
type Size = { readonly width: number; readonly height: number };

const MOST_LINES = 720;

const CODING: Readonly<Record<NewCut['format'], readonly string[]>> = {
  mp4: [
    '-c:v',
    'libx264',
    '-preset',
    'veryfast',
    '-crf',
    '20',
    '-bf',
    '0',
    '-c:a',
    'aac',
    '-b:a',
    '96k',
    '-video_track_timescale',
    '90000',
  ],
  webm: [
    '-c:v',
    'libvpx-vp9',
    '-deadline',
    'realtime',
    '-cpu-used',
    '6',
    '-row-mt',
    '1',
    '-crf',
    '32',
    '-b:v',
    '0',
    '-c:a',
    'libopus',
    '-b:a',
    '64k',
  ],
};

/** The size that all parts get: that of the largest, at most 720 lines. */
const sizeOf = (parts: readonly Part[]): Size => {
  const largest = parts.reduce((a, b) => (b.file.height > a.file.height ? b : a)).file;
  const height = Math.min(MOST_LINES, largest.height);
  return { width: even((largest.width * height) / largest.height), height: even(height) };
};

/** Cuts clips out of the originals, coded anew so that they begin and end exactly at their frames and carry nothing from before or behind. */
@Injectable()
export class Cuts {
  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(LibraryRepository) private readonly library: LibraryRepository,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
  ) {}

  async cut(academy: AcademyId, id: string, work: AtWork): Promise<void> {
    const wish = (await this.jobs.detail(academy, 'cut', id)) as NewCut | undefined;
    if (!wish) throw new ToolFault('What is to be cut is not known any more.');
    const parts = await this.partsOf(academy, wish);
    const size = sizeOf(parts);
    await this.store.working(async (folder) => {
      const paths: string[] = [];
      for (const [i, part] of parts.entries()) {
        const path = join(folder, `${i}.${wish.format}`);
        await this.cutPart(academy, part, size, wish.format, path, work);
        paths.push(path);
        work.progress(((i + 1) / parts.length) * 0.95);
      }
      const whole = paths.length === 1 ? paths[0]! : await this.joined(folder, paths, wish.format, work);
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
      return clip && file ? [{ clip, file }] : [];
    });
    if (!parts.length) throw new ToolFault('None of these clips are there any more.');
    return parts;
  }

  private async cutPart(
    academy: AcademyId,
    { clip, file }: Part,
    { width, height }: Size,
    format: NewCut['format'],
    path: string,
    work: AtWork,
  ): Promise<void> {
    const times = await this.store.times(academy, file.id);
    const [inS, outS] = [frameStartS(times, clip.in.frame), frameStartS(times, clip.out.frame)];
    const frames = clip.out.frame - clip.in.frame;
    const [source, demuxer] = [this.store.original(academy, file.id), demuxerOf(file.mime)];
    const lasts = (outS - inS).toFixed(6);
    const fit = `scale=${width}:${height}:force_original_aspect_ratio=decrease,pad=${width}:${height}:-1:-1,setsar=1`;
    const end = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', ...inputGuard(demuxer), ...(await fromTime(source, demuxer, inS))],
        ...(file.hasSound ? [] : ['-f', 'lavfi', '-i', 'anullsrc=r=48000:cl=mono']),
        ...['-map', '0:V:0', '-map', file.hasSound ? '0:a:0' : '1:a:0', '-frames:v', String(frames)],
        ...['-vf', fit, '-af', `aresample=48000:async=1:first_pts=0,atrim=0:${lasts}`],
        ...['-fps_mode', 'passthrough', '-enc_time_base', '-1', '-pix_fmt', 'yuv420p', '-ac', '1', '-ar', '48000'],
        ...[...CODING[format], `file:${path}`],
      ],
      { seconds: work.deadlineS, signal: work.signal },
    );
    if (!end.ok) throw faultOf(end, 'Cutting a clip');
  }

  private async joined(
    folder: string,
    paths: readonly string[],
    format: NewCut['format'],
    work: AtWork,
  ): Promise<string> {
    const [list, whole] = [join(folder, 'list'), join(folder, `whole.${format}`)];
    await writeFile(list, paths.map((path) => `file 'file:${path}'\n`).join(''));
    const end = await runTool(
      'ffmpeg',
      [
        ...[
          '-nostdin',
          '-v',
          'error',
          '-y',
          '-protocol_whitelist',
          'file,pipe',
          '-format_whitelist',
          'concat,mov,matroska',
        ],
        ...[
          '-f',
          'concat',
          '-safe',
          '0',
          '-i',
          `file:${list}`,
          '-c',
          'copy',
          ...(format === 'mp4' ? ['-movflags', '+faststart'] : []),
          `file:${whole}`,
        ],
      ],
      { seconds: work.deadlineS, signal: work.signal },
    );
    if (!end.ok) throw faultOf(end, 'Putting the clips together');
    return whole;
  }
}
