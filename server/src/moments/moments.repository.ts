import { Inject, Injectable } from '@nestjs/common';
import type { Angle, Moment } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import type { Entity, Models, Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toAngle, toMoment } from '../library/library.mapper.js';

@Injectable()
export class MomentsRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  private async one(academyId: AcademyId, entity: Entity, id: string): Promise<Row | undefined> {
    return (await this.models[entity].findOne({ where: { academyId, id, deletedAt: null } }))?.get({ plain: true });
  }

  async moment(academy: AcademyId, id: string): Promise<Moment | undefined> {
    const row = await this.one(academy, 'moment', id);
    return row && toMoment(row);
  }

  async isAttemptOf(academy: AcademyId, id: string, footageId: string): Promise<boolean> {
    return (await this.one(academy, 'attempt', id))?.['footageId'] === footageId;
  }

  async angle(academy: AcademyId, id: string): Promise<Angle | undefined> {
    const row = await this.one(academy, 'angle', id);
    return row && toAngle(row);
  }
}
