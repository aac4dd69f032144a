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

const LIMIT_BYTES = 4 * 2 ** 30;

export type Received = { readonly path: string; readonly sizeBytes: number; readonly sha256: string };
/** What is made of a file: its presentation times; the proxy and the times of its own frames; picture strip and what moves; how loud it is. */
export type MadeName = 'times' | 'proxy.mp4' | 'proxy.times' | 'strip.jpg' | 'look.json' | 'sound' | 'captions.json';

/** What can be made again out of the original, and takes the most room beside it. */
const REMADE = ['proxy.mp4', 'proxy.times', 'stills'] as const;

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
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  folder(academy: AcademyId, fileId: string): string {
    return join(this.config.dataDir, 'media', academy, fileId);
  }

  original(academy: AcademyId, fileId: string): string {
    return join(this.folder(academy, fileId), 'original');
  }

  /** Writes what comes in to a file of its own, counting and hashing on the way; it is on the disk when this returns. */
  async receive(body: Readable): Promise<Received> {
    const folder = join(this.config.dataDir, 'incoming');
    await mkdir(folder, { recursive: true });
    const path = join(folder, randomUUID());
    const hash = createHash('sha256');
    let sizeBytes = 0;
    const meter = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        sizeBytes += chunk.length;
        hash.update(chunk);
        done(
          sizeBytes > LIMIT_BYTES ? new Refused({ code: 'too-large', facts: { limitBytes: LIMIT_BYTES } }) : null,
          chunk,
        );
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

  async writeTimes(
    academy: AcademyId,
    fileId: string,
    times: TimeTable,
    of: 'times' | 'proxy.times' = 'times',
  ): Promise<void> {
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

  async times(academy: AcademyId, fileId: string, of: 'times' | 'proxy.times' = 'times'): Promise<TimeTable> {
    return unpackTimes(await readFile(this.made(academy, fileId, of)));
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
