import { Inject, Injectable } from '@nestjs/common';
import { frameCount, frameStartS, timeTable, type MediaFile, type TimeTable } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import { demuxerOf } from './container.js';
import { MediaStore } from './mediaStore.js';
import { keyTimes } from './probe.js';

/** Before a wanted time by less than any frame lasts, so that rounding never passes it over. */
export const EARLY_S = 0.0005;
/** Times of the same picture, read twice, differ by less than this: WebM counts in milliseconds. */
export const ROUNDED_S = 0.0016;

/** Before an input whose pictures are counted: they go through one line of filters, also where their size changes on the way. */
export const ONE_LINE = ['-reinit_filter', '0'] as const;

export type SoughtFile = Pick<MediaFile, 'id' | 'mime' | 'timeBaseNum' | 'timeBaseDen'>;

/** Where to begin reading an original so that all pictures from an instant on can be decoded. */
@Injectable()
export class FrameSeek {
  constructor(@Inject(MediaStore) private readonly store: MediaStore) {}

  /**
   * What ffmpeg gets before its input, with its times left as they are in the file: from the key frame before the last one before the instant on (the last one may be
   * found too late, or lean on the one before it); from the beginning where there is none.
   */
  async before(academy: AcademyId, file: SoughtFile, fromS: number): Promise<readonly string[]> {
    const keys = await this.keysOf(academy, file);
    const before = Array.from({ length: frameCount(keys) }, (_, i) => frameStartS(keys, i)).filter((s) => s <= fromS);
    const at = before.at(-2);
    return at === undefined ? [] : ['-seek_timestamp', '1', '-noaccurate_seek', '-ss', (at - EARLY_S).toFixed(6)];
  }

  /** Whether pictures of a file can be told by their times; otherwise programs differ in what these are, and pictures are counted. */
  async isByTime(academy: AcademyId, file: SoughtFile): Promise<boolean> {
    return frameCount(await this.keysOf(academy, file)) > 0;
  }

  /** The times of a file's key frames, read once; none where its times are wrong. */
  private async keysOf(academy: AcademyId, file: SoughtFile): Promise<TimeTable> {
    if (!(await this.store.isMade(academy, file.id, 'keys'))) {
      const ticks = await keyTimes(this.store.original(academy, file.id), demuxerOf(file.mime));
      await this.store.writeTimes(academy, file.id, timeTable(ticks, file.timeBaseNum, file.timeBaseDen), 'keys');
    }
    return this.store.times(academy, file.id, 'keys');
  }
}

/** Gives each picture's time in the file beside what is made of it: the last output of a command, of pictures named `[NAME]`. */
export const telling = (name: string, frames: number): readonly string[] => [
  ...['-map', `[${name}]`, '-frames:v', String(frames), '-fps_mode', 'passthrough', '-enc_time_base:v', '-1'],
  ...['-c:v', 'rawvideo', '-f', 'framecrc', 'pipe:1'],
];

/** Times in seconds out of what that output says: a line with the time base, then one a picture with its time as the third figure. */
export const toldTimes = (said: string): readonly number[] => {
  const [, num, den] = /^#tb 0: (\d+)\/(\d+)/m.exec(said) ?? [];
  if (num === undefined) return [];
  return [...said.matchAll(/^0,\s*-?\d+,\s*(-?\d+),/gm)].map((line) => (Number(line[1]) * Number(num)) / Number(den));
};
