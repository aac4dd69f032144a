import { setImmediate as breathe } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import { LISTED, asShown, wordsOf, type Library, type LibraryRows, type Words } from '@odograph/core';
import type { Changed, LibraryPart } from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import type { Session } from '../doors/session.js';
import type { Touched } from './touched.js';
import type { AcademyId } from '../database/academyId.js';
import type { Transaction } from '../database/transaction.js';
import { LibraryRepository } from './library.repository.js';
import { ShownService } from './shown.service.js';

/** Clips that come at once: few enough to be read in one go by a page that goes on answering. */
const PART = 500;
/** Rows that are read and written at once of something long: others are answered in between. */
const PAGE = 100;
/** More rows than this that appear or disappear for students, and the library is read anew instead. */
const MOST_MOVED = 4000;
/** Vocabularies that are kept put together. */
const KEPT_WORDS = 50;
const NOTHING: ReadonlySet<string> = new Set();
/** The kinds of rows that edits change; files come and go with their footage. */
const KINDS = LISTED.filter((kind) => kind !== 'file');

@Injectable()
export class LibraryService {
  private readonly keptWords = new Map<AcademyId, { readonly mark: string; readonly words: Words }>();

  constructor(
    @Inject(LibraryRepository) private readonly records: LibraryRepository,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(ShownService) private readonly shown: ShownService,
  ) {}

  /** Rows as somebody may see them. */
  private async as<T extends LibraryRows>(
    { role, academyId }: Pick<Session, 'role' | 'academyId'>,
    rows: T,
  ): Promise<T> {
    if (role !== 'student') return rows;
    const clipIds = [
      ...(rows.routes ?? []).flatMap((route) => route.steps.flatMap((step) => step.clipId ?? [])),
      ...(rows.principles ?? []).flatMap((p) => [...p.clipsFor, ...p.clipsAgainst]),
      ...(rows.todos ?? []).flatMap((t) => t.clipIds),
    ];
    const [shown, angles] = await Promise.all([this.shown.of(academyId), this.records.anglesOf(academyId, clipIds)]);
    return asShown(rows, shown, (id) => shown.angles.has(angles.get(id) ?? ''));
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
    return this.as(session, library);
  }

  /** The next clips behind an id with their attempts, those that this person may see. */
  async part(session: Session, after: string): Promise<LibraryPart> {
    const { role, academyId } = session;
    const angles = role === 'student' ? [...(await this.shown.of(academyId)).angles] : null;
    const part = await this.records.clipsAfter(academyId, after, PART, angles);
    return { ...(await this.as(session, part)), next: part.clips.length < PART ? null : part.clips.at(-1)!.id };
  }

  /** The whole library as somebody may see it, as JSON in pieces: no more of it is in memory at once than a page. */
  async *json(session: Session): AsyncGenerator<string> {
    const { attempts, clips, ...rest } = await this.base(session);
    yield `${JSON.stringify(rest).slice(0, -1)},"attempts":[`;
    void [attempts, clips];
    yield* this.listed(session, (page) => this.records.attempts(session.academyId, undefined, page), 'attempts');
    yield '],"clips":[';
    yield* this.listed(session, (page) => this.records.clips(session.academyId, page), 'clips');
    yield ']}';
  }

  private async *listed<K extends 'attempts' | 'clips'>(
    session: Session,
    ask: (page: { readonly after: string; readonly limit: number }) => Promise<Library[K]>,
    kind: K,
  ): AsyncGenerator<string> {
    let isFirst = true;
    for (let after: string | undefined = ''; after !== undefined;) {
      const rows: Library[K] = await ask({ after, limit: PAGE });
      const seen = (await this.as(session, { [kind]: rows }))[kind]!;
      if (seen.length) yield (isFirst ? '' : ',') + JSON.stringify(seen).slice(1, -1);
      isFirst &&= seen.length === 0;
      after = rows.length < PAGE ? undefined : rows.at(-1)!.id;
      await breathe();
    }
  }

  /** Attempts of an academy, a page after the other; others are answered in between. */
  async *attempts(academy: AcademyId): AsyncGenerator<Library['attempts']> {
    for (let after: string | undefined = ''; after !== undefined;) {
      const rows: Library['attempts'] = await this.records.attempts(academy, undefined, { after, limit: PAGE });
      yield rows;
      after = rows.length < PAGE ? undefined : rows.at(-1)!.id;
      await breathe();
    }
  }

  /** A route with what its clips show, as somebody may see it. */
  async ofRoute(session: Session, routeId: string): Promise<Library> {
    const { academyId } = session;
    const [base, { routes }] = await Promise.all([
      this.base(session),
      this.records.records(academyId, (entity) => (entity === 'route' ? new Set([routeId]) : NOTHING)),
    ]);
    const clipIds = new Set(routes.flatMap((route) => route.steps.flatMap((step) => step.clipId ?? [])));
    const { clips } = await this.records.clipsWithFiles(academyId, clipIds);
    const attempts = await this.records.attempts(academyId, new Set(clips.map((c) => c.attemptId)));
    return { ...base, ...(await this.as(session, { clips, attempts })) };
  }

  /** The words of an academy, put together anew only where they have changed. */
  async words(academy: AcademyId, transaction: Transaction | null = null): Promise<Words> {
    const mark = await this.records.wordsMark(academy, transaction);
    const known = this.keptWords.get(academy);
    if (known?.mark === mark) return known.words;
    const words = wordsOf({ wordChanges: await this.records.wordChanges(academy, transaction) });
    this.keptWords.delete(academy);
    this.keptWords.set(academy, { mark, words });
    for (const old of [...this.keptWords.keys()].slice(0, -KEPT_WORDS)) this.keptWords.delete(old);
    return words;
  }

  /** The records that an edit touched, as they are now; those that are gone are named. */
  async changed(academy: AcademyId, touched: Touched): Promise<Changed> {
    const records = await this.records.records(academy, (entity) => touched.get(entity) ?? NOTHING);
    const there = new Set(Object.values(records).flatMap((rows) => rows.map((r) => r.id)));
    const removed = KINDS.flatMap((entity) => [...(touched.get(entity) ?? [])]).filter((id) => !there.has(id));
    const wordChanges = touched.has('word') ? { wordChanges: await this.records.wordChanges(academy) } : {};
    return { ...records, ...wordChanges, removed };
  }

  /**
   * The same for students, who see what people agreed to: with what was touched come all rows of footage that appeared or disappeared for them since a
   * version. Undefined where that is too much to tell.
   */
  async changedForStudents(academyId: AcademyId, since: number, touched: Touched): Promise<Changed | undefined> {
    const consent = await this.records.consentSince(academyId, since);
    const moved = await this.records.idsIn(academyId, consent.footage, MOST_MOVED);
    if (!moved) return undefined;
    const all = new Map([...touched].map(([entity, ids]) => [entity, new Set(ids)]));
    const add = (entity: Parameters<typeof all.get>[0], ids: Iterable<string>): void => {
      all.set(entity, new Set([...(all.get(entity) ?? []), ...ids]));
    };
    for (const [entity, ids] of moved) add(entity, ids);
    add('person', consent.persons);
    // texts of routes may name somebody, and their steps show clips
    if (!consent.isSame)
      for (const entity of ['route', 'principle', 'todo', 'plan', 'collection'] as const)
        add(entity, await this.records.idsOf(academyId, entity));
    all.delete('moment');
    const { removed, ...rows } = await this.changed(academyId, all);
    const seen = await this.as({ role: 'student', academyId }, rows);
    const there = new Set(Object.values(seen).flatMap((list) => (list as readonly { id: string }[]).map((r) => r.id)));
    const hidden = [...KINDS, 'file' as const]
      .flatMap((entity) => [...(all.get(entity) ?? [])])
      .filter((id) => !there.has(id));
    return { ...seen, removed: [...new Set([...(removed ?? []), ...hidden])] };
  }
}
