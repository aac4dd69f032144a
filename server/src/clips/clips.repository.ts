import { Inject, Injectable } from '@nestjs/common';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
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
}
