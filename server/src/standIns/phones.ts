import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable } from '@nestjs/common';
import pLimit from 'p-limit';
import { v7 as newId } from 'uuid';
import { CONFIG, type Config } from '../config/config.js';
import { notFound } from '../errors/refused.js';
import { inputGuard } from '../media/container.js';
import { MediaStore } from '../media/mediaStore.js';
import { faultOf, runTool } from '../media/tool.js';

export const PHONES = ['first', 'second'] as const;
export type Phone = (typeof PHONES)[number];

type Filming = {
  /** Which of the demo's files it sees the bout through. */
  readonly sees: string;
  readonly fromS: number;
  readonly seconds: number;
  readonly mime: string;
  readonly ending: 'mov' | 'mp4';
  readonly args: readonly string[];
  /** By how many degrees what it writes is turned; said in the file, as phones do. */
  readonly turned: 0 | 270;
};

/** Its own clock runs fast by so much: every time it writes is a little later than it should be. */
const FAST = 1 + 70e-6;

/**
 * Two phones beside one made-up bout. The first is held upright, writes HEVC at a rate that varies; the second, on the other side, begins later, has a
 * clock of its own, and hears more of the hall than of the mat.
 */
const FILMS: Readonly<Record<Phone, Filming>> = {
  first: {
    sees: 'lantern-final.mp4',
    fromS: 6,
    seconds: 24,
    mime: 'video/quicktime',
    ending: 'mov',
    args: [
      ...['-vf', "transpose=2,select='gt(mod(n*13\\,29)\\,3)'", '-fps_mode', 'vfr'],
      ...['-c:v', 'libx265', '-preset', 'ultrafast', '-x265-params', 'log-level=error', '-tag:v', 'hvc1'],
      ...['-c:a', 'aac', '-b:a', '64k'],
    ],
    turned: 270,
  },
  second: {
    sees: 'lantern-final-phone.mp4',
    fromS: 7.4,
    seconds: 21,
    mime: 'video/mp4',
    ending: 'mp4',
    args: [
      ...['-vf', `setpts=PTS*${FAST}`, '-fps_mode', 'passthrough', '-enc_time_base', '1/90000'],
      ...['-af', `asetrate=48000/${FAST},aresample=48000,volume=0.45`, '-ar', '48000'],
      ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '24', '-c:a', 'aac', '-b:a', '64k'],
    ],
    turned: 0,
  },
};

/** Stands in for phones that film: gives what they have recorded, each time a file of its own. */
@Injectable()
export class Phones {
  /** One films at a time: coding uses all of a processor. */
  private readonly filming = pLimit(1);

  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /** Films, and writes the file to `begin`'s stream once its size is known. */
  async film(phone: Phone, begin: (size: number, mime: string, name: string) => Writable): Promise<void> {
    const { sees, fromS, seconds, mime, ending, args, turned } = FILMS[phone];
    const { demoDir } = this.config;
    if (demoDir === null) throw notFound();
    await this.store.working(async (folder) => {
      const [flat, path] = [join(folder, `flat.${ending}`), join(folder, `film.${ending}`)];
      const run = async (args: readonly string[]): Promise<void> => {
        const end = await runTool('ffmpeg', ['-nostdin', '-v', 'error', '-y', ...args], { seconds: 120 });
        if (!end.ok) throw faultOf(end, 'film');
      };
      const source = [...inputGuard('mov'), '-i', `file:${join(demoDir, sees)}`];
      await this.filming(() => run(['-ss', String(fromS), ...source, '-t', String(seconds), ...args, `file:${flat}`]));
      // filmed again it is another file
      const said = ['-metadata', `comment=${newId()}`, '-metadata:s:v:0', `rotate=${turned}`];
      await run([...inputGuard('mov'), '-i', `file:${flat}`, '-c', 'copy', ...said, `file:${path}`]);
      const { size } = await stat(path);
      await pipeline(createReadStream(path), begin(size, mime, `phone-${phone}.${ending}`));
    });
  }
}
