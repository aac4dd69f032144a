import { Inject, Injectable } from '@nestjs/common';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class RoutesRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async clipsThere(
    academyId: AcademyId,
    ids: readonly string[],
    transaction: Transaction,
  ): Promise<ReadonlySet<string>> {
    const rows = await this.models.clip.findAll({
      where: { academyId, id: { [Op.in]: [...ids] }, deletedAt: null },
      attributes: ['id'],
      transaction,
    });
    return new Set(rows.map((row) => row.get('id') as string));
  }
}
