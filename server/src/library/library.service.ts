import { Inject, Injectable } from '@nestjs/common';
import { analyse, toGraphml, wordsOf, type Library, type Words } from '@odograph/core';
import type { Changed } from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import type { Touched } from '../changes/edit.js';
import type { AcademyId } from '../database/academyId.js';
import { LibraryRepository } from './library.repository.js';

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

  async words(academy: AcademyId): Promise<Words> {
    return wordsOf({ wordChanges: await this.records.wordChanges(academy) });
  }

  async graphml(academy: AcademyId): Promise<string> {
    return toGraphml(analyse(await this.library(academy)));
  }

  /** The records that an edit touched, as they are now; those that are gone are named. */
  async changed(academy: AcademyId, touched: Touched): Promise<Changed> {
    const records = await this.records.records(academy, (entity) => touched.get(entity) ?? NOTHING);
    const there = new Set(Object.values(records).flatMap((rows) => rows.map((r) => r.id)));
    const removed = (['person', 'footage', 'angle', 'attempt', 'clip'] as const)
      .flatMap((entity) => [...(touched.get(entity) ?? [])])
      .filter((id) => !there.has(id));
    return { ...records, removed };
  }
}
