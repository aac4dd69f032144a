import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { Fault } from '@odograph/core';
import type { Upload } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import type { AcademyId } from '../database/academyId.js';
import { faultOfRefusal } from '../errors/faults.js';
import { Refused, notFound } from '../errors/refused.js';
import type { AtWork } from '../queue/atWork.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { MediaService } from '../media/media.service.js';
import { MediaStore } from '../media/mediaStore.js';
import { Room } from '../media/room.js';
import { QuotaService } from '../quota/quota.service.js';
import { UploadsRepository, type UploadRow } from './uploads.repository.js';

const ABANDONED_DAYS = 7;
const DAY_MS = 86_400_000;

const sizeOf = (path: string): Promise<number | undefined> =>
  stat(path).then(
    ({ size }) => size,
    () => undefined,
  );

/** Files on their way in: noted when they begin, gone on with where they broke off, read by a job when they are whole. */
@Injectable()
export class UploadsService {
  constructor(
    @Inject(UploadsRepository) private readonly uploads: UploadsRepository,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(Room) private readonly room: Room,
    @Inject(QuotaService) private readonly quota: QuotaService,
  ) {}

  /** Notes a file that somebody begins to send. Refused before anything is sent when it would not fit. */
  async begin(
    session: Session,
    { id, name, sizeBytes }: { readonly id: string; readonly name: string; readonly sizeBytes: number },
  ): Promise<void> {
    const { academyId, accountId } = session;
    const row = { academyId, id, accountId, name, sizeBytes, source: 'browser', state: 'coming' } as const;
    // one after the other: each counts with what those before it have still to send
    const isNew = await this.uploads.inTurn(async () => {
      await this.quota.mustHave(academyId, 'uploads', 1);
      await this.quota.mustHave(academyId, 'bytes', sizeBytes);
      await this.mustFit(sizeBytes);
      return this.uploads.create({ ...row, sha256: null, why: null, inboxKey: null });
    });
    if (!isNew) throw new Refused({ code: 'id-taken', facts: {} });
  }

  /** What uploads that are under way have still to send, in bytes. */
  private async reservedBytes(): Promise<number> {
    const left = await Promise.all(
      (await this.uploads.coming()).map(
        async ({ id, sizeBytes }) => sizeBytes - ((await sizeOf(this.store.incoming(id))) ?? 0),
      ),
    );
    return left.reduce((sum, bytes) => sum + Math.max(0, bytes), 0);
  }

  /** What new uploads may take, in bytes. */
  async freeBytes(): Promise<number> {
    return Math.max(0, (await this.room.forUploadsBytes()) - (await this.reservedBytes()));
  }

  /** Refuses what would not fit beside what the disk must have left, and what is still to come. */
  async mustFit(sizeBytes: number): Promise<void> {
    const freeBytes = await this.freeBytes();
    if (sizeBytes > freeBytes) throw new Refused({ code: 'no-room', facts: { freeBytes, neededBytes: sizeBytes } });
  }

  /** The upload, if this person began it and it is still coming. */
  async mine({ academyId, accountId }: Session, id: string): Promise<UploadRow> {
    const row = await this.uploads.upload(academyId, id);
    if (!row || row.accountId !== accountId) throw notFound();
    return row;
  }

  /** Everything has been sent: a job checks and reads it. Said again, nothing happens twice. */
  async done(session: Session, id: string, sha256: string): Promise<void> {
    const row = await this.mine(session, id);
    if (row.state !== 'coming') return;
    const bytes = (await sizeOf(this.store.incoming(id))) ?? 0;
    if (bytes !== row.sizeBytes) throw new Refused({ code: 'not-whole', facts: { bytes, ofBytes: row.sizeBytes } });
    await this.uploads.set(session.academyId, id, { state: 'reading', sha256 });
    await this.jobs.add(session.academyId, 'read', id);
  }

  /** Takes an upload off the list, with what had come of it. A file that is on no shelf goes with it, as what is binned does; one that is, stays. */
  async forget(session: Session, id: string): Promise<void> {
    const { academyId } = session;
    const row = await this.uploads.upload(academyId, id);
    if (!row) throw notFound();
    if (row.state === 'reading') throw new Refused({ code: 'in-use', facts: { by: 'jobs', count: 1 } });
    if (row.state === 'taken' && row.fileId === id) await this.media.putAway(session, id);
    await this.clear(id);
    if (row.inboxKey === null) {
      await this.uploads.remove(academyId, id);
      return;
    }
    // what has only waited for room is not to be tried again
    if (row.state === 'coming') await this.uploads.set(academyId, id, { state: 'refused' });
    await this.uploads.putAside(academyId, id);
  }

  /** What was noted of an upload that came to nothing, or was given up by whoever sent it. */
  async dropped({ academyId }: Session, id: string): Promise<void> {
    await this.clear(id);
    await this.uploads.remove(academyId, id);
  }

  /** What has come of an upload, in bytes. */
  async arrivedBytes(id: string): Promise<number> {
    return (await sizeOf(this.store.incoming(id))) ?? 0;
  }

  private async clear(id: string): Promise<void> {
    for (const path of [this.store.incoming(id), `${this.store.incoming(id)}.json`]) await rm(path, { force: true });
  }

  async open({ academyId, accountId }: Session): Promise<readonly Upload[]> {
    const rows = await this.uploads.open(academyId);
    return Promise.all(
      rows.map(async ({ id, name, sizeBytes, source, state, why, fileId, frames, cutOff, accountId: by }) => ({
        id,
        name,
        sizeBytes,
        source,
        state,
        why,
        fileId,
        offset: state === 'coming' ? ((await sizeOf(this.store.incoming(id))) ?? 0) : sizeBytes,
        isMine: by === accountId,
        frames,
        cutOff,
      })),
    );
  }

  /** The job that reads an upload: whole by size and hash, not here already, a video. */
  async read(academyId: AcademyId, id: string, work: AtWork): Promise<void> {
    const row = await this.uploads.upload(academyId, id);
    if (!row || row.state !== 'reading') return;
    const refuse = async (why: Fault): Promise<void> => {
      await this.clear(id);
      await this.uploads.set(academyId, id, { state: 'refused', why });
    };
    const incoming = this.store.incoming(id);
    // cut short between moving the file and writing it down, it lies in its place already
    const path = (await sizeOf(incoming)) === undefined ? this.store.original(academyId, id) : incoming;
    const sizeBytes = await sizeOf(path);
    if (sizeBytes === undefined) return refuse({ code: 'gone' });
    if (sizeBytes !== row.sizeBytes)
      return refuse({ code: 'not-whole', facts: { bytes: sizeBytes, ofBytes: row.sizeBytes } });
    const hash = createHash('sha256');
    let read = 0;
    await pipeline(createReadStream(path, { signal: work.signal }), async (chunks: AsyncIterable<Buffer>) => {
      for await (const chunk of chunks) {
        hash.update(chunk);
        read += chunk.length;
        work.progress((read / sizeBytes) * 0.6);
      }
    });
    const sha256 = hash.digest('hex');
    if (row.sha256 !== null && row.sha256 !== sha256) return refuse({ code: 'hash-differs' });
    const same = await this.media.sameAs(academyId, sha256);
    if (same && same.id !== id) {
      await this.clear(id);
      await this.uploads.set(academyId, id, { state: 'taken', fileId: same.id, sha256 });
      return;
    }
    const accountId = row.accountId ?? (await this.uploads.headOf(academyId));
    if (accountId === undefined) return refuse({ code: 'nobody' });
    try {
      const session: Session = { academyId, accountId, role: 'coach', id: '' };
      await this.media.settle(session, id, row.name, { path, sizeBytes, sha256 });
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      return refuse(faultOfRefusal(error.refusal));
    }
    await this.uploads.set(academyId, id, { state: 'taken', fileId: id, sha256 });
    await this.clear(id);
  }

  /** Clears what dead uploads and jobs have left behind, and videos of clips that were made a day ago. */
  async clearLeftovers(now: Date): Promise<void> {
    for (const { academyId, subjectId } of await this.jobs.forget('cut', new Date(now.getTime() - DAY_MS)))
      await this.store.removeCut(academyId, subjectId);
    for (const { academyId, id } of await this.uploads.abandoned(new Date(now.getTime() - ABANDONED_DAYS * DAY_MS))) {
      await this.clear(id);
      await this.uploads.remove(academyId, id);
    }
    for (const folder of this.store.passing())
      for (const name of await readdir(folder).catch(() => [] as string[])) {
        const path = join(folder, name);
        const { mtimeMs } = await stat(path).catch(() => ({ mtimeMs: now.getTime() }));
        if (now.getTime() - mtimeMs > DAY_MS && !(await this.uploads.knows(name.replace(/\.json$/, ''))))
          await rm(path, { recursive: true, force: true });
      }
  }
}
