import { Inject, Injectable } from '@nestjs/common';
import {
  LISTED,
  LISTS,
  asWordChange,
  type Attempt,
  type Clip,
  type Entity,
  type Library,
  type Plan,
  type LibraryLists,
  type Listed,
  type RowOf,
  type WordChange,
} from '@odograph/core';
import { Op, QueryTypes, Sequelize, type Transaction } from 'sequelize';
import type { Touched } from './touched.js';
import type { AcademyId } from '../database/academyId.js';
import { columnNames, fromRow, type Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

/** Some rows in the order of their ids: so many from behind one on. */
export type Page = { readonly after: string; readonly limit: number };

/** What has changed of that which decides who may see what. */
export type ConsentChange = {
  readonly isSame: boolean;
  readonly persons: readonly string[];
  /** Footage that may be seen now and could not before, or the other way round. */
  readonly footage: readonly string[];
};

const CONSENT_SINCE = `SELECT DISTINCT c.entity, c.entity_id AS id FROM edits e JOIN change_records c ON c.academy_id = e.academy_id AND c.edit_id = e.id
  WHERE e.academy_id = :academyId AND e.library_version > :since AND (
    (c.entity = 'person' AND c.field IN ('shownTo', 'name', '*', 'deletedAt')) OR
    (c.entity = 'footage' AND c.field IN ('audience', 'athleteA', 'athleteB', '*', 'deletedAt')) OR
    (c.entity = 'angle' AND c.field IN ('footageId', 'fileId', '*', 'deletedAt')))`;
/** Footage of those persons, that footage, and that of those angles; and, since files go out whole, all that lies in a file with any of it. */
const CONCERNED = `WITH direct AS (
    SELECT id FROM footage WHERE academy_id = :academyId AND (id IN (:footage) OR athlete_a IN (:persons) OR athlete_b IN (:persons))
    UNION SELECT footage_id FROM angles WHERE academy_id = :academyId AND id IN (:angles))
  SELECT id FROM direct
  UNION SELECT other.footage_id FROM angles own JOIN angles other ON other.academy_id = own.academy_id AND other.file_id = own.file_id
    WHERE own.academy_id = :academyId AND own.footage_id IN (SELECT id FROM direct)`;
const IDS_IN: readonly (readonly [Entity, string])[] = [
  ['angle', 'SELECT id FROM angles WHERE academy_id = :academyId AND footage_id IN (:footageIds)'],
  ['file', 'SELECT DISTINCT file_id AS id FROM angles WHERE academy_id = :academyId AND footage_id IN (:footageIds)'],
  ['attempt', 'SELECT id FROM attempts WHERE academy_id = :academyId AND footage_id IN (:footageIds)'],
  ['drawing', 'SELECT id FROM drawings WHERE academy_id = :academyId AND footage_id IN (:footageIds)'],
  [
    'clip',
    `SELECT c.id FROM clips c JOIN angles a ON a.academy_id = c.academy_id AND a.id = c.angle_id
     WHERE c.academy_id = :academyId AND a.footage_id IN (:footageIds)`,
  ],
  [
    'person',
    `SELECT athlete_a AS id FROM footage WHERE academy_id = :academyId AND id IN (:footageIds)
     UNION SELECT athlete_b FROM footage WHERE academy_id = :academyId AND id IN (:footageIds)`,
  ],
];

@Injectable()
export class LibraryRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  async version(academy: AcademyId): Promise<number> {
    const [row] = await this.sequelize.query<{ version: number }>(
      'SELECT library_version AS version FROM academies WHERE id = ?',
      { type: QueryTypes.SELECT, replacements: [academy] },
    );
    return row?.version ?? 0;
  }

  private async rows<E extends Entity>(
    academy: AcademyId,
    entity: E,
    ids?: ReadonlySet<string>,
    page?: Page,
    transaction: Transaction | null = null,
  ): Promise<RowOf[E][]> {
    if (ids?.size === 0) return [];
    // plain rows: models of them would cost more than the question itself
    const found: unknown = await this.models[entity].findAll({
      where: {
        academyId: academy,
        deletedAt: null,
        ...(ids ? { id: { [Op.in]: [...ids] } } : {}),
        ...(page ? { id: { [Op.gt]: page.after } } : {}),
      },
      attributes: ['id', 'version', ...columnNames(entity)],
      order: [['id', 'ASC']],
      raw: true,
      transaction,
      ...(page ? { limit: page.limit } : {}),
    });
    return (found as Row[]).map((row) => fromRow(entity, row));
  }

  /** Attempts in the order of their ids, some of them, or those of a page. */
  attempts(academy: AcademyId, ids?: ReadonlySet<string>, page?: Page): Promise<Attempt[]> {
    return this.rows(academy, 'attempt', ids, page);
  }

  /** Some attempts with the footage they belong to; those in the bin, or whose footage is, are left out. */
  async attemptsWithFootage(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'attempts' | 'footage' | 'angles' | 'files'>> {
    const attempts = await this.attempts(academy, ids);
    const footage = await this.rows(academy, 'footage', new Set(attempts.map((a) => a.footageId)));
    const lie = await this.anglesWithFiles(academy, new Set(attempts.map((a) => a.angleId)));
    return { attempts, footage, ...lie };
  }

  private async anglesWithFiles(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'angles' | 'files'>> {
    const angles = await this.rows(academy, 'angle', ids);
    const files = await this.rows(academy, 'file', new Set(angles.map((a) => a.fileId)));
    return { angles, files };
  }

  /** Some clips with the angles and files they are cut from; those in the bin are left out. */
  async clipsWithFiles(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'clips' | 'angles' | 'files'>> {
    const clips = await this.rows(academy, 'clip', ids);
    return { clips, ...(await this.anglesWithFiles(academy, new Set(clips.map((c) => c.angleId)))) };
  }

  /** Clips in the order of their ids, from behind `after` on, with the attempts they look at; of some angles only, where these are given. */
  async clipsAfter(
    academy: AcademyId,
    after: string,
    limit: number,
    angleIds: readonly string[] | null,
  ): Promise<Pick<Library, 'attempts' | 'clips'>> {
    const found: unknown = await this.models.clip.findAll({
      where: {
        academyId: academy,
        deletedAt: null,
        id: { [Op.gt]: after },
        ...(angleIds ? { angleId: { [Op.in]: [...angleIds] } } : {}),
      },
      attributes: ['id', 'version', ...columnNames('clip')],
      order: [['id', 'ASC']],
      limit,
      raw: true,
    });
    const clips = (found as Row[]).map((row) => fromRow('clip', row));
    return { clips, attempts: await this.attempts(academy, new Set(clips.map((c) => c.attemptId))) };
  }

  /** Clips in the order of their ids, those of a page. */
  async clips(academy: AcademyId, page: Page): Promise<Clip[]> {
    return this.rows(academy, 'clip', undefined, page);
  }

  /** Which angles some clips are cut from, by the ids of the clips. */
  async anglesOf(academy: AcademyId, clipIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
    if (!clipIds.length) return new Map();
    const rows = await this.models.clip.findAll({
      where: { academyId: academy, deletedAt: null, id: { [Op.in]: [...clipIds] } },
      attributes: ['id', 'angleId'],
    });
    return new Map(rows.map((row) => [row.get('id') as string, row.get('angleId') as string]));
  }

  /** What is planned. */
  plans(academy: AcademyId): Promise<readonly Plan[]> {
    return this.rows(academy, 'plan');
  }

  /** The footage, angles and files that attempts lie in. */
  async whereAttemptsLie(academy: AcademyId): Promise<Pick<Library, 'footage' | 'angles' | 'files'>> {
    const [footage, angles, files] = await Promise.all([
      this.rows(academy, 'footage'),
      this.rows(academy, 'angle'),
      this.rows(academy, 'file'),
    ]);
    return { footage, angles, files };
  }

  /** What decides who may see what. */
  async whoIsWhere(academy: AcademyId): Promise<Pick<Library, 'persons' | 'footage' | 'angles'>> {
    const [persons, footage, angles] = await Promise.all([
      this.rows(academy, 'person'),
      this.rows(academy, 'footage'),
      this.rows(academy, 'angle'),
    ]);
    return { persons, footage, angles };
  }

  /** What has changed since a version of that which decides who may see what: persons, and the footage that it may concern. */
  async consentSince(academy: AcademyId, since: number): Promise<ConsentChange> {
    const rows = await this.sequelize.query<{ entity: 'person' | 'footage' | 'angle'; id: string }>(CONSENT_SINCE, {
      type: QueryTypes.SELECT,
      replacements: { academyId: academy, since },
    });
    const of = (entity: string): string[] => rows.flatMap((row) => (row.entity === entity ? row.id : []));
    if (!rows.length) return { isSame: true, persons: [], footage: [] };
    const concerned = await this.sequelize.query<{ id: string }>(CONCERNED, {
      type: QueryTypes.SELECT,
      // an empty list is none in SQL
      replacements: {
        academyId: academy,
        persons: ['', ...of('person')],
        footage: ['', ...of('footage')],
        angles: ['', ...of('angle')],
      },
    });
    return { isSame: false, persons: of('person'), footage: concerned.map((row) => row.id) };
  }

  /** All ids that lie in some footage, by kind: also of rows that are in the bin. */
  async idsIn(academy: AcademyId, footageIds: readonly string[], most: number): Promise<Touched | undefined> {
    const touched = new Map<Entity, Set<string>>([['footage', new Set(footageIds)]]);
    let left = most;
    for (const [entity, sql] of IDS_IN) {
      const rows = await this.sequelize.query<{ id: string }>(`${sql} LIMIT ${left + 1}`, {
        type: QueryTypes.SELECT,
        replacements: { academyId: academy, footageIds: ['', ...footageIds] },
      });
      left -= rows.length;
      if (left < 0) return undefined;
      touched.set(entity, new Set(rows.map((row) => row.id)));
    }
    return touched;
  }

  async idsOf(academy: AcademyId, entity: Entity): Promise<ReadonlySet<string>> {
    const rows = await this.models[entity].findAll({
      where: { academyId: academy, deletedAt: null },
      attributes: ['id'],
    });
    return new Set(rows.map((row) => row.get('id') as string));
  }

  private async lists<K extends Listed>(
    academy: AcademyId,
    kinds: readonly K[],
    ids?: (entity: Entity) => ReadonlySet<string>,
  ): Promise<Pick<Library, (typeof LISTS)[K]>> {
    const all = await Promise.all(
      kinds.map(async (kind) => [LISTS[kind], await this.rows(academy, kind, ids?.(kind))] as const),
    );
    return Object.fromEntries(all) as unknown as Pick<Library, (typeof LISTS)[K]>;
  }

  /** Everything of an academy but its attempts and clips. */
  base(academy: AcademyId): Promise<Omit<LibraryLists, 'attempts' | 'clips'>> {
    return this.lists(
      academy,
      LISTED.filter((kind) => kind !== 'attempt' && kind !== 'clip'),
    );
  }

  /** The records of an academy, or those among the given ids; what lies in the bin is left out. */
  records(academy: AcademyId, ids?: (entity: Entity) => ReadonlySet<string>): Promise<LibraryLists> {
    return this.lists(academy, LISTED, ids);
  }

  /** A text that is another one whenever a word of the academy has changed. */
  async wordsMark(academy: AcademyId, transaction: Transaction | null = null): Promise<string> {
    const [row] = await this.sequelize.query<{ mark: string | null }>(
      `SELECT CONCAT(COUNT(*), ' ', SUM(version), ' ', MAX(changed_at)) AS mark FROM word_changes WHERE academy_id = :academy`,
      { type: QueryTypes.SELECT, replacements: { academy }, transaction },
    );
    return row?.mark ?? '';
  }

  async wordChanges(academy: AcademyId, transaction: Transaction | null = null): Promise<readonly WordChange[]> {
    return (await this.rows(academy, 'word', undefined, undefined, transaction)).map(asWordChange);
  }
}
