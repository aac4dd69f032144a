import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { Inject, Injectable } from '@nestjs/common';
import { RowTable, loggedOf, messageOf, packRows, wordsOf } from '@odograph/core';
import type { Session } from '../accounts/session.js';
import { LibraryRepository } from '../library/library.repository.js';
import { LibraryService } from '../library/library.service.js';
import { MapRepository } from './map.repository.js';

const zip = promisify(gzip);

/** Rows of attempts as bytes, packed by gzip, of one version of the library. */
export type Packed = { readonly version: number; readonly bytes: Buffer };

/** Whole libraries that are kept packed; a library of 10,000 clips takes some 300 kB. */
const KEPT = 8;

@Injectable()
export class MapService {
  private readonly kept = new Map<string, Promise<Packed>>();

  constructor(
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(LibraryRepository) private readonly records: LibraryRepository,
    @Inject(MapRepository) private readonly map: MapRepository,
  ) {}

  version({ academyId }: Session): Promise<number> {
    return this.map.version(academyId);
  }

  /** What has changed since a version; everything where that is not known, or where words or people have changed. */
  async rows(session: Session, since: number | null): Promise<Packed> {
    const version = await this.version(session);
    // a student sees what people agreed to, so what a change means for them is found out anew
    if (since !== null && since <= version && session.role !== 'student') {
      const changed = await this.map.changedSince(session.academyId, since);
      if (changed) return this.changedRows(session, version, changed);
    }
    return this.wholeRows(session, version);
  }

  private wholeRows(session: Session, version: number): Promise<Packed> {
    const key = `${session.academyId} ${session.role === 'student' ? 'members' : 'coaches'} ${version}`;
    const known = this.kept.get(key);
    if (known) return known;
    const made = this.packWhole(session, version);
    this.kept.set(key, made);
    made.catch(() => this.kept.delete(key));
    for (const old of [...this.kept.keys()].slice(0, -KEPT)) this.kept.delete(old);
    return made;
  }

  private async packWhole(session: Session, version: number): Promise<Packed> {
    const library = await this.library.libraryFor(session);
    const table = RowTable.of(loggedOf(library), wordsOf(library));
    return { version, bytes: await zip(packRows(messageOf(table, { version, whole: true }))) };
  }

  private async changedRows({ academyId }: Session, version: number, attemptIds: ReadonlySet<string>): Promise<Packed> {
    const [words, attempts] = await Promise.all([
      this.library.words(academyId),
      this.records.attemptsWithFootage(academyId, attemptIds),
    ]);
    const table = RowTable.of(loggedOf(attempts), words);
    const removed = [...attemptIds].filter((id) => table.rowOf(id) === undefined);
    return { version, bytes: await zip(packRows(messageOf(table, { version, whole: false, removed }))) };
  }
}
