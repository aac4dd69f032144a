import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Inject, Injectable } from '@nestjs/common';
import { ptsOf, readCaptions, type Instant, type MediaFile, type TimeTable } from '@odograph/core';
import type { Captions, Prepared } from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { AcademyId } from '../database/academyId.js';
import pLimit from 'p-limit';
import { v7 as newId } from 'uuid';
import { Refused, invalid, notFound } from '../errors/refused.js';
import { fromFile } from '../library/library.mapper.js';
import { MediaRepository } from './media.repository.js';
import { MediaStore, type Received } from './mediaStore.js';
import { probe } from './probe.js';
import { Stills } from './stills.js';
import { ToolFault } from './tool.js';

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
    const received = await this.store.receive(body);
    try {
      const known = await this.alreadyHere(session.academyId, id, received);
      return known ?? (await this.settle(session, id, name, received));
    } finally {
      await this.store.discard(received);
    }
  }

  /** Reads a file that has arrived and, if it is a video, puts it among the academy's media. */
  async settle(session: Session, id: string, name: string, received: Received): Promise<MediaFile> {
    const academy = session.academyId;
    const read = await probe(received.path);
    if (!read.ok) throw new Refused({ code: 'not-video', facts: { why: read.why } });
    const { times, ...rest } = read.probed;
    const { sizeBytes, sha256 } = received;
    const { timeBaseNum, timeBaseDen } = times;
    const file: MediaFile = {
      id,
      name,
      sizeBytes,
      sha256,
      frames: times.ticks.length,
      timeBaseNum,
      timeBaseDen,
      ...rest,
    };
    // one after the other: two that arrive under one id at the same time must not both be put in its place
    return this.settling(async () => {
      const meanwhile = await this.alreadyHere(academy, id, received);
      if (meanwhile) return meanwhile;
      await this.store.keep(academy, id, received, times);
      // an edit like any other, under the file's own id: who took it in, and when, is on record
      await this.changes.edit(session, id, (edit) => edit.create('file', id, fromFile(file)));
      return file;
    });
  }

  /** Puts a file away that no footage shows; nothing where one does. */
  async putAway(session: Session, id: string): Promise<void> {
    if (await this.files.isShown(session.academyId, id)) return;
    await this.changes.edit(session, newId(), (edit) => edit.remove('file', id, null));
  }

  /** A file of the academy with the same content. */
  sameAs(academy: AcademyId, sha256: string): Promise<MediaFile | undefined> {
    return this.files.sameAs(academy, sha256);
  }

  private async alreadyHere(academy: AcademyId, id: string, received: Received): Promise<MediaFile | undefined> {
    const known = await this.files.file(academy, id);
    if (known && known.sha256 !== received.sha256) throw new Refused({ code: 'id-taken', facts: {} });
    return known;
  }

  async frameTimes(academy: AcademyId, fileId: string): Promise<FrameTimes> {
    await this.require(academy, fileId);
    return new FrameTimes(await this.store.times(academy, fileId));
  }

  /** Sets the times of a file anew, where its container told them wrongly. Not where clips stand on them: those would be moved. */
  async setTimes(academy: AcademyId, file: MediaFile, times: TimeTable): Promise<void> {
    const frames = times.ticks.length;
    if (!(await this.files.setFrames(academy, file.id, file.frames, frames, ptsOf(times, frames))))
      throw new ToolFault('The index of the file is wrong, and clips stand on it already; they were left as they are.');
    await this.store.writeTimes(academy, file.id, times);
  }

  /** Brings what lies beside the files to this version. */
  async renew(): Promise<void> {
    for (const { academyId, file } of await this.files.all()) await this.store.renewTimes(academyId, file);
  }

  async prepared(academy: AcademyId, fileId: string): Promise<Prepared> {
    const [proxy, look, sound] = await Promise.all(
      (['proxy.mp4', 'look.json', 'sound'] as const).map((name) => this.store.isMade(academy, fileId, name)),
    );
    return { proxy: proxy!, look: look!, sound: sound!, isThinned: await this.store.isThinned(academy, fileId) };
  }

  /** The captions that a file was given; none where it was given none. */
  async captions(academy: AcademyId, fileId: string): Promise<Captions> {
    if (!(await this.store.isMade(academy, fileId, 'captions.json'))) return { captions: [], unread: 0 };
    return JSON.parse(await readFile(this.store.made(academy, fileId, 'captions.json'), 'utf8')) as Captions;
  }

  /** Reads the text of a captions file and keeps what it says; a text without any caption is refused. */
  async giveCaptions(academy: AcademyId, fileId: string, text: string): Promise<Captions> {
    const read = readCaptions(text);
    if (!read.captions.length) throw invalid('text', 'has no captions that can be read');
    await this.store.working(async (folder) => {
      const path = join(folder, 'captions.json');
      await writeFile(path, JSON.stringify(read));
      await this.store.putMade(academy, fileId, 'captions.json', path);
    });
    return read;
  }

  async still(academy: AcademyId, fileId: string, frame: number): Promise<string> {
    const file = await this.require(academy, fileId);
    if (frame >= file.frames) throw notFound();
    return this.stills.still(academy, file, frame);
  }
}
