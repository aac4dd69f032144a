import { Inject, Injectable } from '@nestjs/common';
import { Op, QueryTypes, Sequelize } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

/** More attempts than this, and everything is sent. */
const MOST = 2000;

@Injectable()
export class MapRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  /** The attempts whose rows may differ since a version; undefined where words, people or too much have changed. */
  async changedSince(academyId: AcademyId, since: number): Promise<ReadonlySet<string> | undefined> {
    const records = await this.sequelize.query<{ entity: string; id: string; attempt: string | null; field: string }>(
      `SELECT DISTINCT c.entity, c.entity_id AS id, c.field, l.attempt_id AS attempt
       FROM edits e JOIN change_records c ON c.academy_id = e.academy_id AND c.edit_id = e.id
       LEFT JOIN clips l ON c.entity = 'clip' AND l.academy_id = c.academy_id AND l.id = c.entity_id
       WHERE e.academy_id = :academyId AND e.library_version > :since`,
      { type: QueryTypes.SELECT, replacements: { academyId, since } },
    );
    const isNew = ({ entity, field }: { entity: string; field: string }): boolean =>
      entity === 'person' && field === '*';
    if (records.some((r) => ['word', 'person'].includes(r.entity) && !isNew(r))) return undefined;
    const ids = new Set(records.flatMap((r) => (r.entity === 'attempt' ? r.id : (r.attempt ?? []))));
    // where a stretch of a footage is logged throughout, what lies in it depends on the footage and on how its angles lie in it
    for (const [entity, column] of [
      ['footage', 'footageId'],
      ['angle', 'angleId'],
    ] as const) {
      const touched = records.filter((r) => r.entity === entity).map((r) => r.id);
      if (!touched.length) continue;
      const rows = await this.models.attempt.findAll({
        where: { academyId, [column]: { [Op.in]: touched } },
        attributes: ['id'],
      });
      for (const row of rows) ids.add(row.get('id') as string);
    }
    return ids.size > MOST ? undefined : ids;
  }
}
