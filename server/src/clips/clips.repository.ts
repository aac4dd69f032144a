import { Inject, Injectable } from '@nestjs/common';
import type { Angle, Attempt, Clip } from '@odograph/core';
import { Op } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Entity, Models, Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toAngle, toAttempt, toClip } from '../library/library.mapper.js';

@Injectable()
export class ClipsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  private async one(academy: AcademyId, entity: Entity, id: string): Promise<Row | undefined> {
    return (await this.models[entity].findOne({ where: { academyId: academy, id, deletedAt: null } }))?.get({
      plain: true,
    });
  }

  async angle(academy: AcademyId, id: string): Promise<Angle | undefined> {
    const row = await this.one(academy, 'angle', id);
    return row && toAngle(row);
  }

  async clip(academy: AcademyId, id: string): Promise<Clip | undefined> {
    const row = await this.one(academy, 'clip', id);
    return row && toClip(row);
  }

  async attempt(academy: AcademyId, id: string): Promise<Attempt | undefined> {
    const row = await this.one(academy, 'attempt', id);
    if (!row) return undefined;
    const below = async (entity: Entity): Promise<Row[]> =>
      (
        await this.models[entity].findAll({
          where: { academyId: academy, attemptId: id, deletedAt: null },
          order: [
            ['ordinal', 'ASC'],
            ['id', 'ASC'],
          ],
        })
      ).map((r) => r.get({ plain: true }));
    return toAttempt(row, {
      controls: await below('control'),
      reactions: await below('reaction'),
      reasons: await below('reason'),
    });
  }

  /** How many clips besides this one look at an attempt. */
  otherClips(academy: AcademyId, attemptId: string, butId: string): Promise<number> {
    return this.models.clip.count({
      where: { academyId: academy, attemptId, deletedAt: null, id: { [Op.ne]: butId } },
    });
  }
}
