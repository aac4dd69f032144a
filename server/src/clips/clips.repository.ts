import { Inject, Injectable } from '@nestjs/common';
import type { Angle } from '@odograph/core';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class ClipsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async angle(academyId: AcademyId, id: string, transaction: Transaction): Promise<Angle | undefined> {
    const row = await this.models.angle.findOne({ where: { academyId, id, deletedAt: null }, transaction });
    return row ? fromRow('angle', row.get({ plain: true })) : undefined;
  }

  /** How many clips besides this one look at an attempt. */
  otherClips(academy: AcademyId, attemptId: string, butId: string, transaction: Transaction): Promise<number> {
    const where = { academyId: academy, attemptId, deletedAt: null, id: { [Op.ne]: butId } };
    return this.models.clip.count({ where, transaction });
  }
}
