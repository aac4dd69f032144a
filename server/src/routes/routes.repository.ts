import { Inject, Injectable } from '@nestjs/common';
import type { KeptRoute } from '@odograph/core';
import { Op } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toRoute } from '../library/library.mapper.js';

@Injectable()
export class RoutesRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async route(academyId: AcademyId, id: string): Promise<KeptRoute | undefined> {
    const row = await this.models.route.findOne({ where: { academyId, id, deletedAt: null } });
    if (!row) return undefined;
    const steps = await this.models.routeStep.findAll({
      where: { academyId, routeId: id, deletedAt: null },
      order: [
        ['ordinal', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    return toRoute(
      row.get({ plain: true }),
      steps.map((s) => s.get({ plain: true })),
    );
  }

  async clipsThere(academyId: AcademyId, ids: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.models.clip.findAll({
      where: { academyId, id: { [Op.in]: [...ids] }, deletedAt: null },
      attributes: ['id'],
    });
    return new Set(rows.map((row) => row.get('id') as string));
  }
}
