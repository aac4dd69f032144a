import { execFile } from 'node:child_process';
import { access, mkdir, rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { Inject, Injectable } from '@nestjs/common';
import pLimit from 'p-limit';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { MediaStore } from './mediaStore.js';
import { INPUT_GUARD } from './probe.js';

const run = promisify(execFile);
const DEADLINE_MS = 20_000;
const WIDTH = 320;

/** Pictures of single frames, made when first asked for and kept beside the media; one at a time. */
@Injectable()
export class Stills {
  private readonly one = pLimit(1);

  constructor(@Inject(MediaStore) private readonly store: MediaStore) {}

  /** Path of the picture of a frame. `atS` is the frame's presentation time from the start of the file, in seconds. */
  async still(academy: AcademyId, fileId: string, frame: number, atS: number): Promise<string> {
    const path = join(this.store.folder(academy, fileId), 'stills', `${frame}.jpg`);
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
      const made = run(
        'ffmpeg',
        [
          '-nostdin',
          '-v',
          'error',
          '-y',
          ...INPUT_GUARD,
          '-ss',
          String(Math.max(0, atS - 0.002)),
          '-i',
          `file:${this.store.original(academy, fileId)}`,
          '-frames:v',
          '1',
          '-vf',
          `scale=${WIDTH}:-2`,
          '-q:v',
          '4',
          `file:${part}`,
        ],
        { timeout: DEADLINE_MS },
      );
      // a file that is damaged inside is no fault of the server
      await made.catch(() => {
        throw new Refused({ code: 'not-video', facts: { why: `picture ${frame} cannot be read` } });
      });
      await rename(part, path);
      return path;
    });
  }
}
