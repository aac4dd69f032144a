import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Inject, Injectable } from '@nestjs/common';
import { ptsOf, readCaptions, timeTable, type Instant, type MediaFile, type TimeTable } from '@odograph/core';
import type { Captions, Changed, Prepared, TrackChoice } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { AcademyId } from '../database/academyId.js';
import pLimit from 'p-limit';
import { v7 as newId } from 'uuid';
import { Refused, invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaRepository } from './media.repository.js';
import { MediaStore, type Received } from './mediaStore.js';
import { probe } from './probe.js';
import { QuotaService } from '../quota/quota.service.js';
import { Room } from './room.js';
import { Stills } from './stills.js';
import { JobFault } from './tool.js';

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
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(Room) private readonly room: Room,
    @Inject(QuotaService) private readonly quota: QuotaService,
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
  async takeIn(session: Session, id: string, name: string, body: Readable, saidBytes = 0): Promise<MediaFile> {
    await this.quota.mustHave(session.academyId, 'bytes', saidBytes);
    await this.mustFit(saidBytes);
    const received = await this.store.receive(body, (more) => this.mustFit(more));
    try {
      const known = await this.alreadyHere(session.academyId, id, received);
      return known ?? (await this.settle(session, id, name, received));
    } finally {
      await this.store.discard(received);
    }
  }

  private async mustFit(neededBytes: number): Promise<void> {
    const freeBytes = await this.room.forUploadsBytes();
    if (neededBytes > freeBytes) throw new Refused({ code: 'no-room', facts: { freeBytes, neededBytes } });
  }

  /** Reads a file that has arrived and, if it is a video, puts it among the academy's media. */
  async settle(session: Session, id: string, name: string, received: Received): Promise<MediaFile> {
    const academy = session.academyId;
    const read = await probe(received.path);
    if (!read.ok) throw new Refused({ code: 'not-video', facts: { fault: read.fault } });
    const { times, areTimesRight, ...rest } = read.probed;
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
      track: 0,
      ...rest,
    };
    // one after the other: two that arrive under one id at the same time must not both be put in its place
    return this.settling(async () => {
      const meanwhile = await this.alreadyHere(academy, id, received);
      if (meanwhile) return meanwhile;
      await this.store.keep(academy, id, received, times);
      // nothing is looked for in the middle of a file whose times are wrong: it is read from its beginning
      if (!areTimesRight) await this.store.writeTimes(academy, id, timeTable([], timeBaseNum, timeBaseDen), 'keys');
      // an edit like any other, under the file's own id: who took it in, and when, is on record
      await this.changes.edit(session, id, (edit) => edit.create('file', id, file));
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

  /** Of a file that is known to be there: an angle lies in it. */
  async frameTimes(academy: AcademyId, fileId: string): Promise<FrameTimes> {
    return new FrameTimes(await this.store.times(academy, fileId));
  }

  /**
   * Sets the times of a file anew, where its container told them wrongly. Not where clips stand on them: those would be moved. A browser that goes by the
   * container would show other frames, so the file itself is played no longer.
   */
  async setTimes(academy: AcademyId, file: MediaFile, times: TimeTable): Promise<void> {
    const frames = times.ticks.length;
    if (!(await this.files.setFrames(academy, file.id, file.frames, frames, ptsOf(times, frames))))
      throw new JobFault({ code: 'times-in-use' });
    await this.store.writeTimes(academy, file.id, times);
    await this.store.writeTimes(academy, file.id, timeTable([], file.timeBaseNum, file.timeBaseDen), 'keys');
  }

  /** Chooses which sound track of a file is heard; what is made of it for stepping, and its loudness, are made anew. */
  async chooseTrack(session: Session, id: string, { editId, track }: TrackChoice): Promise<Changed> {
    const file = await this.require(session.academyId, id);
    if (track >= file.tracks.length) throw invalid('track', { code: 'no-track' });
    const touched = await this.changes.edit(session, editId, (edit) => edit.update('file', id, null, { track }));
    if (track !== file.track) {
      await this.files.remake(session.academyId, id, ['proxy', 'sound']);
      await this.store.unmake(session.academyId, id, 'sound');
    }
    return this.library.changed(session.academyId, touched);
  }

  /** Brings what lies beside the files to this version. */
  async renew(): Promise<void> {
    for (const { academyId, file } of await this.files.all()) await this.store.renewTimes(academyId, file);
  }

  async prepared(academy: AcademyId, fileId: string): Promise<Prepared> {
    const [[proxy, look, sound, part], fault, isThinned] = await Promise.all([
      Promise.all(
        (['proxy.mp4', 'look.json', 'sound', 'part.times'] as const).map((name) =>
          this.store.isMade(academy, fileId, name),
        ),
      ),
      this.files.faultOf(academy, fileId, 'proxy'),
      this.store.isThinned(academy, fileId),
    ]);
    const times =
      part && !proxy ? await this.store.times(academy, fileId, 'part.times').catch(() => undefined) : undefined;
    return { proxy: proxy!, look: look!, sound: sound!, isThinned, readyFrames: times?.ticks.length ?? 0, fault };
  }

  /** The captions that a file was given; none where it was given none. */
  async captions(academy: AcademyId, fileId: string): Promise<Captions> {
    if (!(await this.store.isMade(academy, fileId, 'captions.json'))) return { captions: [], unread: 0 };
    return JSON.parse(await readFile(this.store.made(academy, fileId, 'captions.json'), 'utf8')) as Captions;
  }

  /** Reads the text of a captions file and keeps what it says; a text without any caption is refused. */
  async giveCaptions(academy: AcademyId, fileId: string, text: string): Promise<Captions> {
    const read = readCaptions(text);
    if (!read.captions.length) throw invalid('text', { code: 'no-captions' });
    await this.store.working(async (folder) => {
      const path = join(folder, 'captions.json');
      await writeFile(path, JSON.stringify(read));
      await this.store.putMade(academy, fileId, 'captions.json', path);
    });
    return read;
  }

  async still(academy: AcademyId, file: MediaFile, frame: number, signal: AbortSignal): Promise<string | undefined> {
    if (frame >= file.frames) throw notFound();
    return this.stills.still(academy, file, frame, signal);
  }
}
