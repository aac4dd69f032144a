import { access, mkdir, rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { frameStartS, type MediaFile } from '@odograph/core';
import pLimit from 'p-limit';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { demuxerOf, inputGuard } from './container.js';
import { MediaStore } from './mediaStore.js';
import { fromTime } from './probe.js';
import { runTool } from './tool.js';

const LIMIT_S = 20;
const WIDTH = 320;

/** Pictures of single frames, made when first asked for and kept beside the media; one at a time. */
@Injectable()
export class Stills {
  private readonly one = pLimit(1);

  constructor(@Inject(MediaStore) private readonly store: MediaStore) {}

  /** Path of the picture of a frame; from what was made for stepping, where that is there. */
  async still(academy: AcademyId, { id, mime }: Pick<MediaFile, 'id' | 'mime'>, frame: number): Promise<string> {
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
      const [source, demuxer] = hasProxy
        ? [this.store.made(academy, id, 'proxy.mp4'), 'mov' as const]
        : [this.store.original(academy, id), demuxerOf(mime)];
      const times = await this.store.times(academy, id, hasProxy ? 'proxy.times' : 'times');
      const { ok } = await runTool(
        'ffmpeg',
        [
          ...['-nostdin', '-v', 'error', '-y', ...inputGuard(demuxer)],
          ...(await fromTime(source, demuxer, frameStartS(times, frame))),
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
