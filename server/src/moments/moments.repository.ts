import { Inject, Injectable } from '@nestjs/common';
import type { Angle } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import { fromRow } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class MomentsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async angle(academyId: AcademyId, id: string): Promise<Angle | undefined> {
    const row = await this.models.angle.findOne({ where: { academyId, id, deletedAt: null } });
    return row ? fromRow('angle', row.get({ plain: true })) : undefined;
  }
}
