import { Inject, Injectable } from '@nestjs/common';
import type { Angle, Attempt, Clip } from '@odograph/core';
import { Op, QueryTypes, Sequelize, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { withFlags, type Entity, type Models, type Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toAngle, toAttempt, toClip, toControl, toReaction, toReason } from '../library/library.mapper.js';

/** An attempt without its lists. */
export const NO_LISTS = { controls: [], reactions: [], reasons: [] } as const;

@Injectable()
export class ClipsRepository {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
  ) {}

  private async one(
    academy: AcademyId,
    entity: Entity,
    id: string,
    transaction: Transaction,
  ): Promise<Row | undefined> {
    const where = { academyId: academy, id, deletedAt: null };
    return (await this.models[entity].findOne({ where, transaction }))?.get({ plain: true });
  }

  async angle(academy: AcademyId, id: string, transaction: Transaction): Promise<Angle | undefined> {
    const row = await this.one(academy, 'angle', id, transaction);
    return row && toAngle(row);
  }

  /** A clip with the angle it is cut from and the attempt it looks at, without the attempt's lists; undefined where any of them is not there. */
  async clipWhole(
    academy: AcademyId,
    id: string,
    transaction: Transaction,
  ): Promise<{ readonly clip: Clip; readonly angle: Angle; readonly attempt: Attempt } | undefined> {
    const [row] = await this.joined(
      ['clip', 'angle', 'attempt'],
      'clips l JOIN angles a ON a.academy_id = l.academy_id AND a.id = l.angle_id JOIN attempts t ON t.academy_id = l.academy_id AND t.id = l.attempt_id',
      ['l', 'a', 't'],
      'l.academy_id = :academy AND l.id = :id AND l.deleted_at IS NULL AND a.deleted_at IS NULL AND t.deleted_at IS NULL',
      { academy, id },
      transaction,
    );
    if (!row) return undefined;
    return { clip: toClip(row[0]!), angle: toAngle(row[1]!), attempt: toAttempt(row[2]!, NO_LISTS) };
  }

  /** An attempt with the angle its instants are frames of, without its lists. */
  async attemptWhole(
    academy: AcademyId,
    id: string,
    transaction: Transaction,
  ): Promise<{ readonly attempt: Attempt; readonly angle: Angle } | undefined> {
    const [row] = await this.joined(
      ['attempt', 'angle'],
      'attempts t JOIN angles a ON a.academy_id = t.academy_id AND a.id = t.angle_id',
      ['t', 'a'],
      't.academy_id = :academy AND t.id = :id AND t.deleted_at IS NULL AND a.deleted_at IS NULL',
      { academy, id },
      transaction,
    );
    return row && { attempt: toAttempt(row[0]!, NO_LISTS), angle: toAngle(row[1]!) };
  }

  /** Rows of several tables that were asked for in one question, each as its own model reads it. */
  private async joined(
    entities: readonly Entity[],
    from: string,
    names: readonly string[],
    where: string,
    replacements: Record<string, string>,
    transaction: Transaction,
  ): Promise<readonly (readonly Row[])[]> {
    const columns = entities.flatMap((entity, i) =>
      Object.entries(this.models[entity].getAttributes()).map(
        ([attribute, { field }]) => `${names[i]}.${field ?? attribute} AS '${i}.${attribute}'`,
      ),
    );
    const rows = await this.sequelize.query<Row>(`SELECT ${columns.join(', ')} FROM ${from} WHERE ${where}`, {
      type: QueryTypes.SELECT,
      replacements,
      transaction,
    });
    return rows.map((row) =>
      entities.map((entity, i) => {
        const own = Object.entries(row).flatMap(([name, value]) =>
          name.startsWith(`${i}.`) ? [[name.slice(String(i).length + 1), value] as const] : [],
        );
        return withFlags(entity, Object.fromEntries(own));
      }),
    );
  }

  async attempt(academy: AcademyId, id: string, transaction: Transaction): Promise<Attempt | undefined> {
    const row = await this.one(academy, 'attempt', id, transaction);
    if (!row) return undefined;
    return toAttempt(row, NO_LISTS);
  }

  /** The lists of an attempt, those that are named. */
  async lists(
    academy: AcademyId,
    attemptId: string,
    wanted: ReadonlySet<'controls' | 'reactions' | 'reasons'>,
    transaction: Transaction,
  ): Promise<Pick<Attempt, 'controls' | 'reactions' | 'reasons'>> {
    const below = async (entity: Entity): Promise<Row[]> =>
      (
        await this.models[entity].findAll({
          where: { academyId: academy, attemptId, deletedAt: null },
          order: [
            ['ordinal', 'ASC'],
            ['id', 'ASC'],
          ],
          transaction,
        })
      ).map((r) => r.get({ plain: true }));
    // one after the other, as a transaction asks
    const controls = wanted.has('controls') ? await below('control') : [];
    const reactions = wanted.has('reactions') ? await below('reaction') : [];
    const reasons = wanted.has('reasons') ? await below('reason') : [];
    return {
      controls: controls.map(toControl),
      reactions: reactions.map(toReaction),
      reasons: reasons.map(toReason),
    };
  }

  /** How many clips besides this one look at an attempt. */
  otherClips(academy: AcademyId, attemptId: string, butId: string, transaction: Transaction): Promise<number> {
    const where = { academyId: academy, attemptId, deletedAt: null, id: { [Op.ne]: butId } };
    return this.models.clip.count({ where, transaction });
  }
}
