import { Controller, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { newPolicy, policyEdit, type Changed, type NewPolicy, type PolicyEdit } from '@odograph/core/contract';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { WhyService } from './why.service.js';

/** What may be done in which form is for the head to say. */
@Controller('policies')
@Roles('head')
export class PolicyController {
  constructor(@Inject(WhyService) private readonly why: WhyService) {}

  @Says('Says what the academy lets its people do in which form; an academy has one such policy')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newPolicy) body: NewPolicy): Promise<Changed> {
    return this.why.createPolicy(session, body);
  }

  @Says('Changes that')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(policyEdit) body: PolicyEdit,
  ): Promise<Changed> {
    return this.why.editPolicy(session, id, body);
  }
}
