import { Inject, Injectable } from '@nestjs/common';
import { placeName, stateId, type Entity, type Words } from '@odograph/core';
import type { Binned, References } from '@odograph/core/contract';
import { Op, QueryTypes, Sequelize, Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow, type Row } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

export type BinnedRow = { readonly id: string; readonly name: string; readonly removedAt: Date };
export type GoneFile = { readonly academyId: AcademyId; readonly id: string };

/**
 * Rows that go for good once they have lain in the bin long enough, each before the rows it points to. `:old` is the instant. The order of joins is said: what is
 * looked through leads, and what it points to is found by its key, also where the database's statistics date from before a large library came.
 */
const PURGES: readonly string[] = [
  `DELETE FROM routes WHERE deleted_at < :old`,
  `DELETE FROM principles WHERE deleted_at < :old`,
  `DELETE FROM todos WHERE deleted_at < :old`,
  `DELETE d FROM drawings d STRAIGHT_JOIN angles g ON g.academy_id = d.academy_id AND g.id = d.angle_id WHERE d.deleted_at < :old OR g.deleted_at < :old`,
  `UPDATE todos t STRAIGHT_JOIN footage f ON f.academy_id = t.academy_id AND f.id = t.footage_id SET t.footage_id = NULL, t.at = NULL WHERE f.deleted_at < :old`,
  `DELETE FROM clips WHERE deleted_at < :old`,
  `DELETE m FROM moments m STRAIGHT_JOIN angles g ON g.academy_id = m.academy_id AND g.id = m.angle_id STRAIGHT_JOIN footage f ON f.academy_id = m.academy_id AND f.id = m.footage_id
   WHERE m.deleted_at < :old OR g.deleted_at < :old OR f.deleted_at < :old`,
  `UPDATE attempts a STRAIGHT_JOIN attempts p ON p.academy_id = a.academy_id AND p.id = a.parent_id SET a.parent_id = NULL WHERE p.deleted_at < :old`,
  `UPDATE attempts a STRAIGHT_JOIN attempts p ON p.academy_id = a.academy_id AND p.id = a.counter_of_id SET a.counter_of_id = NULL WHERE p.deleted_at < :old`,
  `UPDATE attempts a STRAIGHT_JOIN attempts p ON p.academy_id = a.academy_id AND p.id = a.follows_id SET a.follows_id = NULL WHERE p.deleted_at < :old`,
  `UPDATE moments m STRAIGHT_JOIN attempts a ON a.academy_id = m.academy_id AND a.id = m.attempt_id SET m.attempt_id = NULL WHERE a.deleted_at < :old`,
  `DELETE a FROM attempts a LEFT JOIN clips c ON c.academy_id = a.academy_id AND c.attempt_id = a.id WHERE a.deleted_at < :old AND c.id IS NULL`,
  `DELETE g FROM angles g LEFT JOIN attempts a ON a.academy_id = g.academy_id AND a.angle_id = g.id LEFT JOIN clips c ON c.academy_id = g.academy_id AND c.angle_id = g.id
   WHERE g.deleted_at < :old AND a.id IS NULL AND c.id IS NULL`,
  `DELETE f FROM footage f LEFT JOIN angles g ON g.academy_id = f.academy_id AND g.footage_id = f.id LEFT JOIN attempts a ON a.academy_id = f.academy_id AND a.footage_id = f.id
   WHERE f.deleted_at < :old AND g.id IS NULL AND a.id IS NULL`,
  `DELETE p FROM persons p LEFT JOIN footage f ON f.academy_id = p.academy_id AND (f.athlete_a = p.id OR f.athlete_b = p.id)
   LEFT JOIN principles h ON h.academy_id = p.academy_id AND h.habit_of = p.id WHERE p.deleted_at < :old AND f.id IS NULL AND h.id IS NULL`,
  `DELETE FROM word_changes WHERE deleted_at < :old`,
];

@Injectable()
export class BinRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  private select<T extends object>(sql: string, replacements: Record<string, unknown>): Promise<T[]> {
    return this.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements });
  }

  private async names(sql: string, academy: AcademyId, id: string): Promise<readonly string[]> {
    return (await this.select<{ name: string }>(sql, { academy, id })).map((row) => row.name);
  }

  private async count(sql: string, academy: AcademyId, id: string): Promise<number> {
    return Number((await this.select<{ n: number }>(sql, { academy, id }))[0]!.n);
  }

  /** What goes with a thing, or stands on it. */
  async references(academy: AcademyId, kind: Binned, id: string): Promise<References> {
    const none: References = { clips: 0, attempts: 0, footage: [], routes: [] };
    const here = 'academy_id = :academy AND deleted_at IS NULL';
    const routesWith = (clips: string): Promise<readonly string[]> =>
      this.names(
        `SELECT DISTINCT r.name FROM routes r
         JOIN JSON_TABLE(r.steps, '$[*]' COLUMNS (clip_id CHAR(36) CHARACTER SET ascii PATH '$.clipId')) s
         WHERE r.academy_id = :academy AND r.deleted_at IS NULL AND s.clip_id IN (${clips}) ORDER BY r.name`,
        academy,
        id,
      );
    switch (kind) {
      case 'footage':
        return {
          ...none,
          clips: await this.count(
            `SELECT COUNT(*) AS n FROM clips WHERE ${here} AND angle_id IN (SELECT id FROM angles WHERE academy_id = :academy AND footage_id = :id)`,
            academy,
            id,
          ),
          attempts: await this.count(
            `SELECT COUNT(*) AS n FROM attempts WHERE ${here} AND footage_id = :id`,
            academy,
            id,
          ),
          routes: await routesWith(
            'SELECT c.id FROM clips c JOIN angles g ON g.academy_id = c.academy_id AND g.id = c.angle_id WHERE c.academy_id = :academy AND g.footage_id = :id',
          ),
        };
      case 'clip':
        return {
          ...none,
          attempts: await this.count(
            `SELECT COUNT(*) AS n FROM clips c WHERE c.academy_id = :academy AND c.id = :id AND c.deleted_at IS NULL AND NOT EXISTS
             (SELECT 1 FROM clips o WHERE o.academy_id = c.academy_id AND o.attempt_id = c.attempt_id AND o.id <> c.id AND o.deleted_at IS NULL)`,
            academy,
            id,
          ),
          routes: await routesWith(':id'),
        };
      case 'person':
        return {
          ...none,
          footage: await this.names(
            `SELECT title AS name FROM footage WHERE ${here} AND (athlete_a = :id OR athlete_b = :id) ORDER BY title`,
            academy,
            id,
          ),
        };
      case 'word': {
        const [word] = await this.select<{ kind: string; word_key: string }>(
          `SELECT kind, word_key FROM word_changes WHERE ${here} AND id = :id`,
          { academy, id },
        );
        return word ? { ...none, ...(await this.usesOfWord(academy, word.kind, word.word_key)) } : none;
      }
      case 'route':
        return none;
    }
  }

  /** Attempts and routes that say a word. */
  private async usesOfWord(
    academy: AcademyId,
    kind: string,
    key: string,
  ): Promise<Pick<References, 'attempts' | 'routes'>> {
    // a submission is said as where it ended, or as what was tried
    const tried = kind === 'submission' ? " OR (kind = 'action' AND word_key = LEFT(CONCAT('try-', :key), 60))" : '';
    const rows = await this.select<{ entity: string; id: string }>(
      `SELECT DISTINCT entity, entity_id AS id FROM word_uses WHERE academy_id = :academy AND ((kind = :kind AND word_key = :key)${tried})`,
      { academy, kind, key },
    );
    const routes = rows.flatMap((row) => (row.entity === 'route' ? row.id : []));
    const names = await this.models.route.findAll({
      where: { academyId: academy, id: { [Op.in]: routes } },
      order: [['name', 'ASC']],
    });
    return {
      attempts: rows.filter((row) => row.entity === 'attempt').length,
      routes: names.map((row) => row.get('name') as string),
    };
  }

  /** What lies in the bin of one kind, the newest first. */
  async binned(academy: AcademyId, kind: Binned, words: Words): Promise<readonly BinnedRow[]> {
    const rows = await this.models[kind].findAll({
      where: { academyId: academy, deletedAt: { [Op.ne]: null } },
      order: [
        ['deletedAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
    const plain = rows.map((row) => row.get({ plain: true }));
    const names = kind === 'clip' ? await this.clipNames(academy, plain, words) : undefined;
    return plain.map((row) => ({
      id: row['id'] as string,
      name: names?.get(row['id'] as string) ?? ((row['title'] ?? row['name'] ?? row['wordKey']) as string | null) ?? '',
      removedAt: row['deletedAt'] as Date,
    }));
  }

  private async clipNames(academy: AcademyId, clips: readonly Row[], words: Words): Promise<Map<string, string>> {
    const attempts = await this.models.attempt.findAll({
      where: { academyId: academy, id: { [Op.in]: clips.map((c) => c['attemptId'] as string) } },
    });
    const byId = new Map(
      attempts.map((row) => {
        const attempt = fromRow('attempt', row.get({ plain: true }));
        return [attempt.id, attempt] as const;
      }),
    );
    return new Map(
      clips.map((row) => {
        const { id, attemptId } = fromRow('clip', row);
        const { action, state } = byId.get(attemptId) ?? { action: null, state: null };
        const said = [
          action === null ? 'an entry not said' : words.name('action', action),
          state ? `from ${placeName(stateId(state), words)}` : '',
        ];
        return [id, said.filter(Boolean).join(' ')];
      }),
    );
  }

  /** Who put rows in the bin last. */
  async removers(academy: AcademyId, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
    if (!ids.length) return new Map();
    const rows = await this.select<{ id: string; name: string }>(
      `SELECT c.entity_id AS id, a.name FROM change_records c JOIN edits e ON e.academy_id = c.academy_id AND e.id = c.edit_id
       JOIN accounts a ON a.id = e.account_id WHERE c.academy_id = :academy AND c.entity_id IN (:ids) AND c.field IN ('deletedAt') ORDER BY e.number`,
      { academy, ids },
    );
    return new Map(rows.map((row) => [row.id, row.name]));
  }

  /** Ids of rows that went into the bin together with the row above them. */
  async wentWith(
    academy: AcademyId,
    entity: Entity,
    where: Record<string, unknown>,
    at: Date,
    transaction: Transaction,
  ): Promise<readonly string[]> {
    const rows = await this.models[entity].findAll({
      where: { academyId: academy, ...where, deletedAt: at },
      attributes: ['id'],
      transaction,
    });
    return rows.map((row) => row.get('id') as string);
  }

  /** Ids of what is there of one kind. */
  async there(
    academy: AcademyId,
    entity: Entity,
    where: Record<string, unknown>,
    transaction: Transaction | null = null,
  ): Promise<readonly string[]> {
    const rows = await this.models[entity].findAll({
      where: { academyId: academy, ...where, deletedAt: null },
      attributes: ['id'],
      transaction,
    });
    return rows.map((row) => row.get('id') as string);
  }

  /** Deletes for good what has lain in the bin since before `old`, in all academies; gives the files that nothing shows any more. */
  async purge(old: Date): Promise<readonly GoneFile[]> {
    // so that only rows that go are locked, and not all that were looked at
    const isolationLevel = Transaction.ISOLATION_LEVELS.READ_COMMITTED;
    return this.sequelize.transaction({ isolationLevel }, async (transaction) => {
      await this.withoutClips(old, transaction);
      for (const sql of PURGES) await this.sequelize.query(sql, { replacements: { old }, transaction });
      const gone = await this.sequelize.query<{ academy_id: AcademyId; id: string }>(
        `SELECT f.academy_id, f.id FROM files f LEFT JOIN angles g ON g.academy_id = f.academy_id AND g.file_id = f.id
         WHERE g.id IS NULL AND f.created_at < :old`,
        { type: QueryTypes.SELECT, replacements: { old }, transaction },
      );
      for (const { academy_id, id } of gone)
        await this.models.file.destroy({ where: { academyId: academy_id, id }, transaction });
      return gone.map(({ academy_id, id }) => ({ academyId: academy_id, id }));
    });
  }

  /** Steps of routes show clips that go no longer. */
  private async withoutClips(old: Date, transaction: Transaction): Promise<void> {
    const routes = await this.sequelize.query<{ academy_id: string; id: string; clip_id: string }>(
      `SELECT r.academy_id, r.id, c.id AS clip_id FROM clips c STRAIGHT_JOIN routes r ON r.academy_id = c.academy_id
       WHERE c.deleted_at < :old AND JSON_CONTAINS(JSON_EXTRACT(r.steps, '$[*].clipId'), JSON_QUOTE(c.id))`,
      { type: QueryTypes.SELECT, replacements: { old }, transaction },
    );
    for (const { academy_id: academyId, id, clip_id: gone } of routes) {
      const found = await this.models.route.findOne({ where: { academyId, id }, transaction });
      if (!found) continue;
      const { steps } = fromRow('route', found.get({ plain: true }));
      const left = steps.map((step) => (step.clipId === gone ? { ...step, clipId: null } : step));
      await found.update({ steps: left }, { transaction });
    }
  }
}
