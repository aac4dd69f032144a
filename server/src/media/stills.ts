import { access, mkdir, rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { frameStartS } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { demuxerOf, inputGuard } from './container.js';
import { FairQueue } from './fairQueue.js';
import { EARLY_S, FrameSeek, ONE_LINE, ROUNDED_S, telling, toldTimes, type SoughtFile } from './frameSeek.js';
import { MediaStore } from './mediaStore.js';
import { fromTime } from './probe.js';
import { runTool } from './tool.js';

const LIMIT_S = 20;
const COUNTING_LIMIT_S = 120;
const PICTURE = 'scale=320:-2';
/** Pictures that are made at once, and how many an academy may wait for. */
const AT_ONCE = 2;
const MOST_WAITING = 200;
/** From so many on, those of a file are made in one go. */
const MANY = 8;

const isThere = (path: string): Promise<boolean> =>
  access(path).then(
    () => true,
    () => false,
  );

/** Pictures of single frames, made when first asked for and kept beside the media. Academies have their turns one after the other. */
@Injectable()
export class Stills {
  private readonly queue = new FairQueue(AT_ONCE, MOST_WAITING);

  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(FrameSeek) private readonly seek: FrameSeek,
  ) {}

  /**
   * Path of the picture of a frame; from what was made for stepping, where that is there. Undefined where nobody waited for it any more when its turn
   * came.
   */
  async still(academy: AcademyId, file: SoughtFile, frame: number, signal: AbortSignal): Promise<string | undefined> {
    const path = this.path(academy, file.id, frame);
    if (await isThere(path)) return path;
    return this.queue.take(academy, signal, async () => {
      if (!(await isThere(path))) await this.make(academy, file, frame, path);
      return path;
    });
  }

  /** Makes those of some frames that are not there, in one go where they are many; out of the file for stepping, where that is there. */
  async makeMany(academy: AcademyId, file: SoughtFile, frames: readonly number[], signal: AbortSignal): Promise<void> {
    const missing: number[] = [];
    for (const frame of frames) if (!(await isThere(this.path(academy, file.id, frame)))) missing.push(frame);
    const hasProxy = await this.store.isMade(academy, file.id, 'proxy.mp4');
    if (missing.length < MANY || !hasProxy) {
      for (const frame of missing) await this.still(academy, file, frame, signal);
      return;
    }
    const [first, last] = [missing[0]!, missing.at(-1)!];
    const times = await this.store.times(academy, file.id, 'proxy.times');
    const proxy = this.store.made(academy, file.id, 'proxy.mp4');
    await this.store.working(async (folder) => {
      const { ok } = await runTool(
        'ffmpeg',
        [
          ...[
            '-nostdin',
            '-v',
            'error',
            '-y',
            ...inputGuard('mov'),
            ...(await fromTime(proxy, 'mov', frameStartS(times, first))),
          ],
          ...['-vf', `select='${missing.map((f) => `eq(n,${f - first})`).join('+')}',${PICTURE}`],
          ...[
            '-fps_mode',
            'passthrough',
            '-frames:v',
            String(missing.length),
            '-q:v',
            '4',
            `file:${join(folder, '%d.jpg')}`,
          ],
        ],
        { seconds: LIMIT_S + (last - first) / 10, signal },
      );
      if (!ok) return;
      await mkdir(dirname(this.path(academy, file.id, first)), { recursive: true });
      for (const [i, frame] of missing.entries()) {
        const made = join(folder, `${i + 1}.jpg`);
        if (await isThere(made)) await rename(made, this.path(academy, file.id, frame));
      }
    });
  }

  private path(academy: AcademyId, fileId: string, frame: number): string {
    return join(this.store.folder(academy, fileId), 'stills', `${frame}.jpg`);
  }

  private async make(academy: AcademyId, file: SoughtFile, frame: number, path: string): Promise<void> {
    await mkdir(dirname(path), { recursive: true });
    // two processes may make the same one
    const part = `${path}.${process.pid}.part.jpg`;
    const isMade = (await this.store.isMade(academy, file.id, 'proxy.mp4'))
      ? await this.ofProxy(academy, file.id, frame, part)
      : ((await this.seek.isByTime(academy, file)) && (await this.ofOriginal(academy, file, frame, 'by time', part))) ||
        (await this.ofOriginal(academy, file, frame, 'by count', part));
    // a file that is damaged inside is no fault of the server
    if (!isMade || !(await isThere(part))) throw new Refused({ code: 'no-picture', facts: { frame } });
    await rename(part, path);
  }

  private async ofProxy(academy: AcademyId, id: string, frame: number, part: string): Promise<boolean> {
    const atS = frameStartS(await this.store.times(academy, id, 'proxy.times'), frame);
    const { ok } = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', ...inputGuard('mov')],
        ...(await fromTime(this.store.made(academy, id, 'proxy.mp4'), 'mov', atS)),
        ...['-frames:v', '1', '-vf', PICTURE, '-q:v', '4', `file:${part}`],
      ],
      { seconds: LIMIT_S },
    );
    return ok;
  }

  /** The picture found by its time, whose time is then held against the one that was wanted; or counted from the first one of the file. */
  private async ofOriginal(
    academy: AcademyId,
    file: SoughtFile,
    frame: number,
    way: 'by time' | 'by count',
    part: string,
  ): Promise<boolean> {
    const atS = frameStartS(await this.store.times(academy, file.id), frame);
    const isByTime = way === 'by time';
    const found = isByTime ? `select='gte(t,${(atS - EARLY_S).toFixed(6)})'` : `select='gte(n,${frame})'`;
    let said = '';
    const { ok } = await runTool(
      'ffmpeg',
      [
        ...['-nostdin', '-v', 'error', '-y', '-copyts', ...inputGuard(demuxerOf(file.mime))],
        ...(isByTime ? await this.seek.before(academy, file, atS) : ONE_LINE),
        ...['-i', `file:${this.store.original(academy, file.id)}`, '-filter_complex'],
        `[0:V:0]${found},split=2[a][b];[a]${PICTURE}[v];[b]scale=16:16[c]`,
        ...['-map', '[v]', '-frames:v', '1', '-q:v', '4', `file:${part}`, ...telling('c', 1)],
      ],
      { seconds: isByTime ? LIMIT_S : COUNTING_LIMIT_S, onOutput: (chunk) => (said += chunk.toString('latin1')) },
    );
    const [seenS] = toldTimes(said);
    return ok && seenS !== undefined && (!isByTime || Math.abs(seenS - atS) < ROUNDED_S);
  }
}
