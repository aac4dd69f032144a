import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  momentEdit,
  newMoment,
  removal,
  type Changed,
  type MomentEdit,
  type NewMoment,
  type Removal,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { MomentsService } from './moments.service.js';

@Controller('moments')
export class MomentsController {
  constructor(@Inject(MomentsService) private readonly moments: MomentsService) {}

  @Says('Drops a mark')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newMoment) body: NewMoment): Promise<Changed> {
    return this.moments.create(session, body);
  }

  @Says('Moves a mark, or says what is seen at it')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(momentEdit) body: MomentEdit,
  ): Promise<Changed> {
    return this.moments.edit(session, id, body);
  }

  @Says('Takes a mark off')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.moments.remove(session, id, body);
  }
}
