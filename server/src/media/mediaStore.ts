import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { access, mkdir, mkdtemp, open, readFile, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable } from '@nestjs/common';
import { packTimes, timeTableOfDeltas, unpackTimes, type MediaFile, type TimeTable } from '@odograph/core';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';

/** What comes in as one body is held against the room on the disk so often. */
const LOOK_EVERY_BYTES = 16 * 2 ** 20;
const LIMIT_BYTES = 4 * 2 ** 30;

export type Received = { readonly path: string; readonly sizeBytes: number; readonly sha256: string };
/** What is made of a file: its presentation times; the proxy and the times of its own frames; picture strip and what moves; how loud it is. */
export type MadeName =
  | 'times'
  | 'keys'
  | 'proxy.mp4'
  | 'proxy.times'
  /** As much of the proxy as there is while it is made. */
  | 'part.mp4'
  | 'part.times'
  | 'strip.jpg'
  | 'look.json'
  | 'sound'
  | 'captions.json';
/** The times that lie beside a file: its own, and those of what was made of it for stepping. */
export type TimesName = 'times' | 'keys' | 'proxy.times' | 'part.times';

/** What can be made again out of the original, and takes the most room beside it. */
const REMADE = ['proxy.mp4', 'proxy.times', 'part.mp4', 'part.times', 'stills'] as const;

/** Time tables that are kept in memory; one of three hours at 60 frames a second takes 5 MB. */
const KEPT_TIMES = 24;

/** Marks a file of which what can be made again was deleted. */
const THINNED = 'thinned';

const isThere = (path: string): Promise<boolean> =>
  access(path).then(
    () => true,
    () => false,
  );

/** What a file takes, or a folder with everything in it, in bytes; nothing where there is none. */
const bytesOf = async (path: string): Promise<number> => {
  const found = await stat(path).catch(() => undefined);
  if (!found) return 0;
  if (!found.isDirectory()) return found.size;
  const within = await readdir(path).catch(() => [] as string[]);
  const sizes = await Promise.all(within.map((name) => bytesOf(join(path, name))));
  return sizes.reduce((sum, bytes) => sum + bytes, 0);
};

/** Where media lie: a folder for each academy, in it one for each file, named by ids that were checked. Names from users never become paths. */
@Injectable()
export class MediaStore {
  /** Time tables that were read last: each edit of a clip asks for one. */
  private readonly kept = new Map<string, { readonly mark: string; readonly times: TimeTable }>();

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  folder(academy: AcademyId, fileId: string): string {
    return join(this.config.dataDir, 'media', academy, fileId);
  }

  original(academy: AcademyId, fileId: string): string {
    return join(this.folder(academy, fileId), 'original');
  }

  /** Writes what comes in to a file of its own, counting and hashing on the way; it is on the disk when this returns. */
  async receive(
    body: Readable,
    mustFit: (moreBytes: number) => Promise<void> = () => Promise.resolve(),
  ): Promise<Received> {
    const folder = join(this.config.dataDir, 'incoming');
    await mkdir(folder, { recursive: true });
    const path = join(folder, randomUUID());
    const hash = createHash('sha256');
    let [sizeBytes, lookedAt] = [0, 0];
    const meter = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        sizeBytes += chunk.length;
        hash.update(chunk);
        if (sizeBytes > LIMIT_BYTES) {
          done(new Refused({ code: 'too-large', facts: { limitBytes: LIMIT_BYTES } }));
          return;
        }
        // others write to the disk meanwhile, and how much comes need not have been said
        if (sizeBytes - lookedAt < LOOK_EVERY_BYTES) {
          done(null, chunk);
          return;
        }
        lookedAt = sizeBytes;
        mustFit(LOOK_EVERY_BYTES).then(() => done(null, chunk), done);
      },
    });
    try {
      await pipeline(body, meter, createWriteStream(path, { flush: true }));
      return { path, sizeBytes, sha256: hash.digest('hex') };
    } catch (error) {
      await rm(path, { force: true });
      throw error;
    }
  }

  async discard(received: Received): Promise<void> {
    await rm(received.path, { force: true });
  }

  /** Where a file lies while it comes in, by the id of its upload. */
  incoming(id: string): string {
    return join(this.config.dataDir, 'incoming', id);
  }

  /** Where clips that were cut out lie. */
  cut(academy: AcademyId, id: string, format: string): string {
    return join(this.config.dataDir, 'cuts', academy, `${id}.${format}`);
  }

  /** Folders in which nothing stays: what comes in, what is being made. */
  passing(): readonly string[] {
    return ['incoming', 'working'].map((name) => join(this.config.dataDir, name));
  }

  /** What was made of a file lies beside it. */
  made(academy: AcademyId, fileId: string, name: MadeName): string {
    return join(this.folder(academy, fileId), name);
  }

  isMade(academy: AcademyId, fileId: string, name: MadeName): Promise<boolean> {
    return isThere(this.made(academy, fileId, name));
  }

  /** Puts what a job has made in its place, whole; made twice, it is there once. */
  async putMade(academy: AcademyId, fileId: string, name: MadeName, path: string): Promise<void> {
    await mkdir(this.folder(academy, fileId), { recursive: true });
    await rename(path, this.made(academy, fileId, name));
  }

  /** Takes away what was made of a file, where it is there. */
  async unmake(academy: AcademyId, fileId: string, ...names: readonly MadeName[]): Promise<void> {
    for (const name of names) await rm(this.made(academy, fileId, name), { force: true });
  }

  /** An empty folder for a job, on the same disk as the media; `use` gets its path, and it is gone afterwards. */
  async working<T>(use: (folder: string) => Promise<T>): Promise<T> {
    const above = join(this.config.dataDir, 'working');
    await mkdir(above, { recursive: true });
    const folder = await mkdtemp(join(above, 'job-'));
    try {
      return await use(folder);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  /** Puts a received file in its place, with its presentation times beside it. */
  async keep(academy: AcademyId, fileId: string, received: Received, times: TimeTable): Promise<void> {
    const folder = this.folder(academy, fileId);
    await mkdir(folder, { recursive: true });
    await this.writeTimes(academy, fileId, times);
    await rename(received.path, this.original(academy, fileId));
    const handle = await open(folder, 'r');
    await handle.sync();
    await handle.close();
  }

  async writeTimes(academy: AcademyId, fileId: string, times: TimeTable, of: TimesName = 'times'): Promise<void> {
    const path = this.made(academy, fileId, of);
    await writeFile(`${path}.part`, packTimes(times), { flush: true });
    await rename(`${path}.part`, path);
  }

  /** Packs presentation times that an earlier version kept as JSON; nothing where that is done. */
  async renewTimes(
    academy: AcademyId,
    { id, timeBaseNum, timeBaseDen }: Pick<MediaFile, 'id' | 'timeBaseNum' | 'timeBaseDen'>,
  ): Promise<void> {
    const before = join(this.folder(academy, id), 'times.json');
    const text = await readFile(before, 'utf8').catch(() => undefined);
    if (text === undefined) return;
    const { deltas } = JSON.parse(text) as { readonly deltas: readonly number[] };
    await this.writeTimes(academy, id, timeTableOfDeltas(deltas, timeBaseNum, timeBaseDen));
    await rm(before);
  }

  async times(academy: AcademyId, fileId: string, of: TimesName = 'times'): Promise<TimeTable> {
    const path = this.made(academy, fileId, of);
    // a worker may have set them anew: what is kept holds only while the file is the same
    const { mtimeMs, size } = await stat(path);
    const mark = `${mtimeMs} ${size}`;
    const known = this.kept.get(path);
    if (known?.mark === mark) return known.times;
    const times = unpackTimes(await readFile(path));
    this.kept.delete(path);
    this.kept.set(path, { mark, times });
    for (const old of [...this.kept.keys()].slice(0, -KEPT_TIMES)) this.kept.delete(old);
    return times;
  }

  /** What lies in the folder of a file, in bytes. */
  async sizes(
    academy: AcademyId,
    fileId: string,
  ): Promise<{ readonly originalBytes: number; readonly steppingBytes: number; readonly restBytes: number }> {
    const folder = this.folder(academy, fileId);
    const [originalBytes, wholeBytes, ...again] = await Promise.all([
      bytesOf(this.original(academy, fileId)),
      bytesOf(folder),
      ...REMADE.map((name) => bytesOf(join(folder, name))),
    ]);
    const steppingBytes = again.reduce((sum, bytes) => sum + bytes, 0);
    return { originalBytes, steppingBytes, restBytes: wholeBytes - originalBytes - steppingBytes };
  }

  /** Deletes what can be made again, and leaves a mark that this was meant. */
  async thin(academy: AcademyId, fileId: string): Promise<void> {
    await writeFile(join(this.folder(academy, fileId), THINNED), '', { flush: true });
    for (const name of REMADE) await rm(join(this.folder(academy, fileId), name), { recursive: true, force: true });
  }

  /** Whether what is for stepping was deleted on purpose, and is not there again. */
  async isThinned(academy: AcademyId, fileId: string): Promise<boolean> {
    const [isMarked, isMade] = await Promise.all([
      isThere(join(this.folder(academy, fileId), THINNED)),
      this.isMade(academy, fileId, 'proxy.mp4'),
    ]);
    return isMarked && !isMade;
  }

  /** Deletes a video of clips that was cut out, in whatever format. */
  async removeCut(academy: AcademyId, id: string): Promise<void> {
    for (const format of ['mp4', 'webm']) await rm(this.cut(academy, id, format), { force: true });
  }

  cutsBytes(academy: AcademyId): Promise<number> {
    return bytesOf(join(this.config.dataDir, 'cuts', academy));
  }

  incomingBytes(id: string): Promise<number> {
    return bytesOf(this.incoming(id));
  }

  /** Deletes a file with everything that was made of it. */
  async remove(academy: AcademyId, fileId: string): Promise<void> {
    await rm(this.folder(academy, fileId), { recursive: true, force: true });
  }
}
