import { Inject, Injectable } from '@nestjs/common';
import type { Attempt, Definition, KeptRoute, Library, OwnAlias, Scope, WordChange } from '@odograph/core';
import { Op } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { columnsOf, flagsOf, type Entity, type Models, type Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toAngle, toAttempt, toClip, toFile, toFootage, toMoment, toPerson, toRoute } from './library.mapper.js';

type Rows = Pick<Library, 'persons' | 'files' | 'footage' | 'angles' | 'attempts' | 'clips' | 'routes' | 'moments'>;

/** Plain rows carry flags as 0 and 1. */
const withFlags = (entity: Entity, row: Row): Row => {
  for (const flag of flagsOf(entity)) if (typeof row[flag] === 'number') row[flag] = row[flag] === 1;
  return row;
};

const toScope = (row: Row): Scope => {
  const id = row['scopeId'] as string;
  switch (row['scopeKind']) {
    case 'coach':
      return { kind: 'coach', accountId: id };
    case 'footage':
      return { kind: 'footage', footageId: id };
    default:
      return { kind: 'academy' };
  }
};

@Injectable()
export class LibraryRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  private async rows(academy: AcademyId, entity: Entity, ids?: ReadonlySet<string>): Promise<Row[]> {
    if (ids?.size === 0) return [];
    // plain rows: models of them would cost more than the question itself
    const found: unknown = await this.models[entity].findAll({
      where: { academyId: academy, deletedAt: null, ...(ids ? { id: { [Op.in]: [...ids] } } : {}) },
      attributes: ['id', 'version', ...columnsOf(entity)],
      order: [['id', 'ASC']],
      raw: true,
    });
    return (found as Row[]).map((row) => withFlags(entity, row));
  }

  private async attempts(academy: AcademyId, ids?: ReadonlySet<string>): Promise<Attempt[]> {
    const rows = await this.rows(academy, 'attempt', ids);
    const below = async (entity: 'control' | 'reaction' | 'reason'): Promise<Map<string, Row[]>> => {
      const found: unknown = await this.models[entity].findAll({
        where: { academyId: academy, deletedAt: null, ...(ids ? { attemptId: { [Op.in]: [...ids] } } : {}) },
        order: [
          ['ordinal', 'ASC'],
          ['id', 'ASC'],
        ],
        attributes: ['id', ...columnsOf(entity)],
        raw: true,
      });
      const byAttempt = new Map<string, Row[]>();
      for (const raw of found as Row[]) {
        const row = withFlags(entity, raw);
        const known = byAttempt.get(row['attemptId'] as string);
        if (known) known.push(row);
        else byAttempt.set(row['attemptId'] as string, [row]);
      }
      return byAttempt;
    };
    const [controls, reactions, reasons] = rows.length
      ? await Promise.all([below('control'), below('reaction'), below('reason')])
      : [new Map<string, Row[]>(), new Map<string, Row[]>(), new Map<string, Row[]>()];
    return rows.map((row) => {
      const id = row['id'] as string;
      return toAttempt(row, {
        controls: controls.get(id) ?? [],
        reactions: reactions.get(id) ?? [],
        reasons: reasons.get(id) ?? [],
      });
    });
  }

  /** Some attempts with the footage they belong to; those in the bin, or whose footage is, are left out. */
  async attemptsWithFootage(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'attempts' | 'footage' | 'angles' | 'files'>> {
    const attempts = await this.attempts(academy, ids);
    const footage = await this.rows(academy, 'footage', new Set(attempts.map((a) => a.footageId)));
    const lie = await this.anglesWithFiles(academy, new Set(attempts.map((a) => a.angleId)));
    return { attempts, footage: footage.map(toFootage), ...lie };
  }

  private async anglesWithFiles(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'angles' | 'files'>> {
    const angles = await this.rows(academy, 'angle', ids);
    const files = await this.rows(academy, 'file', new Set(angles.map((a) => a['fileId'] as string)));
    return { angles: angles.map(toAngle), files: files.map(toFile) };
  }

  /** Some clips with the angles and files they are cut from; those in the bin are left out. */
  async clipsWithFiles(
    academy: AcademyId,
    ids: ReadonlySet<string>,
  ): Promise<Pick<Library, 'clips' | 'angles' | 'files'>> {
    const clips = (await this.rows(academy, 'clip', ids)).map(toClip);
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
      attributes: ['id', 'version', ...columnsOf('clip')],
      order: [['id', 'ASC']],
      limit,
      raw: true,
    });
    const clips = (found as Row[]).map(toClip);
    return { clips, attempts: await this.attempts(academy, new Set(clips.map((c) => c.attemptId))) };
  }

  /** Everything of an academy but its attempts and clips. */
  async base(academy: AcademyId): Promise<Omit<Rows, 'attempts' | 'clips'>> {
    const [persons, files, footage, angles, routes, moments] = await Promise.all([
      this.rows(academy, 'person'),
      this.rows(academy, 'file'),
      this.rows(academy, 'footage'),
      this.rows(academy, 'angle'),
      this.routes(academy),
      this.rows(academy, 'moment'),
    ]);
    return {
      persons: persons.map(toPerson),
      files: files.map(toFile),
      footage: footage.map(toFootage),
      angles: angles.map(toAngle),
      routes,
      moments: moments.map(toMoment),
    };
  }

  /** The records of an academy, or those among the given ids; what lies in the bin is left out. */
  async records(academy: AcademyId, ids?: (entity: Entity) => ReadonlySet<string>): Promise<Rows> {
    const [persons, files, footage, angles, attempts, clips, routes, moments] = await Promise.all([
      this.rows(academy, 'person', ids?.('person')),
      this.rows(academy, 'file', ids?.('file')),
      this.rows(academy, 'footage', ids?.('footage')),
      this.rows(academy, 'angle', ids?.('angle')),
      this.attempts(academy, ids?.('attempt')),
      this.rows(academy, 'clip', ids?.('clip')),
      this.routes(academy, ids?.('route')),
      this.rows(academy, 'moment', ids?.('moment')),
    ]);
    return {
      persons: persons.map(toPerson),
      files: files.map(toFile),
      footage: footage.map(toFootage),
      angles: angles.map(toAngle),
      attempts,
      clips: clips.map(toClip),
      routes,
      moments: moments.map(toMoment),
    };
  }

  private async routes(academy: AcademyId, ids?: ReadonlySet<string>): Promise<KeptRoute[]> {
    const rows = await this.rows(academy, 'route', ids);
    if (!rows.length) return [];
    const steps = await this.models.routeStep.findAll({
      where: { academyId: academy, deletedAt: null, routeId: { [Op.in]: rows.map((r) => r['id'] as string) } },
      order: [
        ['ordinal', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    const plain = steps.map((s) => s.get({ plain: true }));
    return rows.map((row) =>
      toRoute(
        row,
        plain.filter((s) => s['routeId'] === row['id']),
      ),
    );
  }

  async wordChanges(academy: AcademyId): Promise<readonly WordChange[]> {
    const [changes, aliases] = await Promise.all([
      this.rows(academy, 'word'),
      this.models.alias.findAll({
        where: { academyId: academy, deletedAt: null },
        order: [
          ['alias', 'ASC'],
          ['id', 'ASC'],
        ],
      }),
    ]);
    const byWord = new Map<string, OwnAlias[]>();
    for (const row of aliases.map((a) => a.get({ plain: true }))) {
      const id = row['wordChangeId'] as string;
      const alias: OwnAlias = { id: row['id'] as string, alias: row['alias'] as string, scope: toScope(row) };
      byWord.set(id, [...(byWord.get(id) ?? []), alias]);
    }
    return changes.map((row): WordChange => {
      const scope = toScope(row);
      const own = byWord.get(row['id'] as string);
      return {
        id: row['id'] as string,
        version: row['version'] as number,
        kind: row['kind'] as WordChange['kind'],
        key: row['wordKey'] as string,
        ...(row['name'] === null ? {} : { name: row['name'] as string }),
        ...(row['hidden'] ? { hidden: true } : {}),
        ...(row['definition'] === null ? {} : { definition: row['definition'] as Definition }),
        ...(scope.kind === 'academy' ? {} : { scope }),
        ...(own ? { aliases: own } : {}),
      };
    });
  }
}
