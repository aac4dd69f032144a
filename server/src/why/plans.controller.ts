import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  newPlan,
  removal,
  planEdit,
  type Changed,
  type NewPlan,
  type Removal,
  type PlanEdit,
} from '@odograph/core/contract';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

@Controller('plans')
export class PlansController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Takes in lines that are planned')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newPlan) body: NewPlan): Promise<Changed> {
    return this.why.createPlan(session, body);
  }

  @Says('Names a plan otherwise')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(planEdit) body: PlanEdit,
  ): Promise<Changed> {
    return this.why.editPlan(session, id, body);
  }

  @Says('Takes a plan away')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.why.remove(session, 'plan', id, body);
  }
}
