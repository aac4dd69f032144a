import { Inject, Injectable } from '@nestjs/common';
import type { Attempt } from '@odograph/core';
import { Op, literal, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class ClipsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  /** How many clips besides this one look at an attempt. */
  otherClips(academy: AcademyId, attemptId: string, butId: string, transaction: Transaction): Promise<number> {
    const where = { academyId: academy, attemptId, deletedAt: null, id: { [Op.ne]: butId } };
    return this.models.clip.count({ where, transaction });
  }

  /** The attempts of a footage that have links between details. */
  async linked(academy: AcademyId, footageId: string, transaction: Transaction): Promise<readonly Attempt[]> {
    const where = { academyId: academy, footageId, deletedAt: null, [Op.and]: literal('JSON_LENGTH(links) > 0') };
    const rows = await this.models.attempt.findAll({ where, transaction });
    return rows.map((row) => fromRow('attempt', row.get({ plain: true })));
  }
}
