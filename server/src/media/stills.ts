import { access, mkdir, rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { MediaFile } from '@odograph/core';
import pLimit from 'p-limit';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { demuxerOf, inputGuard } from './container.js';
import { MediaStore } from './mediaStore.js';
import { runTool } from './tool.js';

const LIMIT_S = 20;
const WIDTH = 320;
/** Before the wanted time by less than any frame lasts, so that rounding never passes it over. */
const EARLY_S = 0.002;

/** Pictures of single frames, made when first asked for and kept beside the media; one at a time. */
@Injectable()
export class Stills {
  private readonly one = pLimit(1);

  constructor(@Inject(MediaStore) private readonly store: MediaStore) {}

  /** Path of the picture of a frame. `atS` is the frame's presentation time from the first frame of the file, in seconds. */
  async still(
    academy: AcademyId,
    { id, mime }: Pick<MediaFile, 'id' | 'mime'>,
    frame: number,
    atS: number,
  ): Promise<string> {
    const path = join(this.store.folder(academy, id), 'stills', `${frame}.jpg`);
    const there = (): Promise<boolean> =>
      access(path).then(
        () => true,
        () => false,
      );
    if (await there()) return path;
    return this.one(async () => {
      if (await there()) return path;
      await mkdir(dirname(path), { recursive: true });
      const part = `${path}.part.jpg`;
      const hasProxy = await this.store.isMade(academy, id, 'proxy.mp4');
      const source = hasProxy ? this.store.made(academy, id, 'proxy.mp4') : this.store.original(academy, id);
      const { ok } = await runTool(
        'ffmpeg',
        [
          ...['-nostdin', '-v', 'error', '-y', ...inputGuard(hasProxy ? 'mov' : demuxerOf(mime))],
          ...['-ss', String(Math.max(0, atS - EARLY_S)), '-i', `file:${source}`],
          ...['-frames:v', '1', '-vf', `scale=${WIDTH}:-2`, '-q:v', '4', `file:${part}`],
        ],
        { seconds: LIMIT_S },
      );
      // a file that is damaged inside is no fault of the server
      if (
        !ok ||
        !(await access(part).then(
          () => true,
          () => false,
        ))
      )
        throw new Refused({ code: 'not-video', facts: { why: `picture ${frame} cannot be read` } });
      await rename(part, path);
      return path;
    });
  }
}
