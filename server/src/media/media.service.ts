import type { Readable } from 'node:stream';
import { Inject, Injectable } from '@nestjs/common';
import { frameStartS, ptsOf, timeTableOfDeltas, type Instant, type MediaFile, type TimeTable } from '@odograph/core';
import type { Session } from '../accounts/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { AcademyId } from '../database/academyId.js';
import pLimit from 'p-limit';
import { Refused, notFound } from '../errors/refused.js';
import { fromFile } from '../library/library.mapper.js';
import { MediaRepository } from './media.repository.js';
import { MediaStore, type Received } from './mediaStore.js';
import { probe } from './probe.js';
import { Stills } from './stills.js';

/** Presentation times of one file, to turn frame numbers into instants. */
export class FrameTimes {
  constructor(private readonly table: TimeTable) {}

  instant(frame: number): Instant {
    return { frame, pts: ptsOf(this.table, frame) };
  }
}

@Injectable()
export class MediaService {
  private readonly settling = pLimit(1);

  constructor(
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(MediaRepository) private readonly files: MediaRepository,
    @Inject(Stills) private readonly stills: Stills,
    @Inject(ChangesService) private readonly changes: ChangesService,
  ) {}

  async require(academy: AcademyId, id: string): Promise<MediaFile> {
    const file = await this.files.file(academy, id);
    if (!file) throw notFound();
    return file;
  }

  /** The file, if this person may see it. */
  async requireFor({ academyId, role }: Session, id: string): Promise<MediaFile> {
    const file = await this.require(academyId, id);
    if (role === 'student' && !(await this.files.isForAcademy(academyId, id))) throw notFound();
    return file;
  }

  /** Takes a file in: whole on the disk and read through before it counts. The same id with the same bytes again is the same file. */
  async takeIn(session: Session, id: string, name: string, body: Readable): Promise<MediaFile> {
    const academy = session.academyId;
    const received = await this.store.receive(body);
    try {
      const known = await this.alreadyHere(academy, id, received);
      if (known) return known;
      const read = await probe(received.path);
      if (!read.ok) throw new Refused({ code: 'not-video', facts: { why: read.why } });
      const { ticks, ...rest } = read.probed;
      const { sizeBytes, sha256 } = received;
      const file: MediaFile = { id, name, sizeBytes, sha256, frames: ticks.length, ...rest };
      // one after the other: two that arrive under one id at the same time must not both be put in its place
      return await this.settling(async () => {
        const meanwhile = await this.alreadyHere(academy, id, received);
        if (meanwhile) return meanwhile;
        await this.store.keep(academy, id, received, ticks);
        // an edit like any other, under the file's own id: who took it in, and when, is on record
        await this.changes.edit(session, id, (edit) => edit.create('file', id, fromFile(file)));
        return file;
      });
    } finally {
      await this.store.discard(received);
    }
  }

  private async alreadyHere(academy: AcademyId, id: string, received: Received): Promise<MediaFile | undefined> {
    const known = await this.files.file(academy, id);
    if (known && known.sha256 !== received.sha256) throw new Refused({ code: 'id-taken', facts: {} });
    return known;
  }

  async frameTimes(academy: AcademyId, fileId: string): Promise<FrameTimes> {
    const file = await this.require(academy, fileId);
    return new FrameTimes(
      timeTableOfDeltas(await this.store.deltas(academy, fileId), file.timeBaseNum, file.timeBaseDen),
    );
  }

  async times(
    academy: AcademyId,
    fileId: string,
  ): Promise<{ timeBaseNum: number; timeBaseDen: number; deltas: readonly number[] }> {
    const file = await this.require(academy, fileId);
    return {
      timeBaseNum: file.timeBaseNum,
      timeBaseDen: file.timeBaseDen,
      deltas: await this.store.deltas(academy, fileId),
    };
  }

  async still(academy: AcademyId, fileId: string, frame: number): Promise<string> {
    const file = await this.require(academy, fileId);
    if (frame >= file.frames) throw notFound();
    const table = timeTableOfDeltas(await this.store.deltas(academy, fileId), file.timeBaseNum, file.timeBaseDen);
    return this.stills.still(academy, fileId, frame, frameStartS(table, frame) - frameStartS(table, 0));
  }
}
