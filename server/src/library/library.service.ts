import { Inject, Injectable } from '@nestjs/common';
import { analyse, forMembers, toGraphml, wordsOf, type Library, type Words } from '@odograph/core';
import type { Changed, LibraryPart } from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import type { Session } from '../accounts/session.js';
import type { Touched } from '../changes/edit.js';
import type { AcademyId } from '../database/academyId.js';
import { LibraryRepository } from './library.repository.js';

/** Clips that come at once: few enough to be read in one go by a page that goes on answering. */
const PART = 500;
const NOTHING: ReadonlySet<string> = new Set();

@Injectable()
export class LibraryService {
  constructor(
    @Inject(LibraryRepository) private readonly records: LibraryRepository,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
  ) {}

  async library(academy: AcademyId): Promise<Library> {
    const [{ id, name, timeZone }, wordChanges, records] = await Promise.all([
      this.accounts.academy(academy),
      this.records.wordChanges(academy),
      this.records.records(academy),
    ]);
    return { format: 'odograph-library', formatVersion: 1, academy: { id, name, timeZone }, wordChanges, ...records };
  }

  /** The library as somebody may see it. */
  async libraryFor(session: Session): Promise<Library> {
    const library = await this.library(session.academyId);
    return session.role === 'student' ? forMembers(library) : library;
  }

  /** The library without attempts and clips, which come in parts. */
  async base(session: Session): Promise<Library> {
    const [{ id, name, timeZone }, wordChanges, base] = await Promise.all([
      this.accounts.academy(session.academyId),
      this.records.wordChanges(session.academyId),
      this.records.base(session.academyId),
    ]);
    const library: Library = {
      format: 'odograph-library',
      formatVersion: 1,
      academy: { id, name, timeZone },
      wordChanges,
      ...base,
      attempts: [],
      clips: [],
    };
    return session.role === 'student' ? forMembers(library) : library;
  }

  /** The next clips behind an id with their attempts, those that this person may see. */
  async part(session: Session, after: string): Promise<LibraryPart> {
    const angles = session.role === 'student' ? (await this.base(session)).angles.map((a) => a.id) : null;
    const part = await this.records.clipsAfter(session.academyId, after, PART, angles);
    return { ...part, next: part.clips.length < PART ? null : part.clips.at(-1)!.id };
  }

  async words(academy: AcademyId): Promise<Words> {
    return wordsOf({ wordChanges: await this.records.wordChanges(academy) });
  }

  async graphml(session: Session): Promise<string> {
    return toGraphml(analyse(await this.libraryFor(session)));
  }

  /** The records that an edit touched, as they are now; those that are gone are named. */
  async changed(academy: AcademyId, touched: Touched): Promise<Changed> {
    const records = await this.records.records(academy, (entity) => touched.get(entity) ?? NOTHING);
    const there = new Set(Object.values(records).flatMap((rows) => rows.map((r) => r.id)));
    const removed = (['person', 'footage', 'angle', 'attempt', 'clip', 'route', 'moment'] as const)
      .flatMap((entity) => [...(touched.get(entity) ?? [])])
      .filter((id) => !there.has(id));
    const wordChanges = touched.has('word') ? { wordChanges: await this.records.wordChanges(academy) } : {};
    return { ...records, ...wordChanges, removed };
  }
}
