import type { Entity } from '@odograph/core';
import { Inject, Injectable } from '@nestjs/common';
import { Op, QueryTypes, Sequelize } from 'sequelize';
import type { Touched } from '../library/touched.js';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

/** More rows than this, and the library is read anew instead. */
const MOST = 1000;

@Injectable()
export class NewsRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  /** The versions of the libraries of some academies. */
  async versions(academies: readonly AcademyId[]): Promise<ReadonlyMap<AcademyId, number>> {
    const rows = await this.models.academy.findAll({
      where: { id: { [Op.in]: [...academies] } },
      attributes: ['id', 'libraryVersion'],
    });
    return new Map(rows.map((r) => [r.get('id') as AcademyId, r.get('libraryVersion') as number]));
  }

  /** The rows that edits have touched since a version; undefined where that is too much to tell. */
  async touchedSince(academyId: AcademyId, since: number): Promise<Touched | undefined> {
    const rows = await this.sequelize.query<{ entity: Entity; id: string }>(
      `SELECT DISTINCT c.entity, c.entity_id AS id FROM edits e JOIN change_records c ON c.academy_id = e.academy_id AND c.edit_id = e.id
       WHERE e.academy_id = :academyId AND e.library_version > :since LIMIT ${MOST + 1}`,
      { type: QueryTypes.SELECT, replacements: { academyId, since } },
    );
    if (rows.length > MOST) return undefined;
    const touched = new Map<Entity, Set<string>>();
    for (const { entity, id } of rows) touched.set(entity, (touched.get(entity) ?? new Set()).add(id));
    return touched;
  }
}
