import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, open, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';

const LIMIT_BYTES = 4 * 2 ** 30;

export type Received = { readonly path: string; readonly sizeBytes: number; readonly sha256: string };
type Times = { readonly deltas: readonly number[] };

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

  /** Puts a received file in its place, with its presentation times beside it. */
  async keep(academy: AcademyId, fileId: string, received: Received, ticks: readonly number[]): Promise<void> {
    const folder = this.folder(academy, fileId);
    await mkdir(folder, { recursive: true });
    const deltas = ticks.map((t, i) => (i === 0 ? t : t - ticks[i - 1]!));
    await writeFile(join(folder, 'times.json'), JSON.stringify({ deltas } satisfies Times), { flush: true });
    await rename(received.path, this.original(academy, fileId));
    const handle = await open(folder, 'r');
    await handle.sync();
    await handle.close();
  }

  /** Deletes a file with everything that was made of it. */
  async remove(academy: AcademyId, fileId: string): Promise<void> {
    await rm(this.folder(academy, fileId), { recursive: true, force: true });
  }

  async deltas(academy: AcademyId, fileId: string): Promise<readonly number[]> {
    return (JSON.parse(await readFile(join(this.folder(academy, fileId), 'times.json'), 'utf8')) as Times).deltas;
  }
}
