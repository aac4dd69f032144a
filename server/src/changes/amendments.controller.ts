import { Controller, Get, Inject } from '@nestjs/common';
import type { AmendmentItem } from '@odograph/core/contract';
import { Says } from '../api/describe.js';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { AmendmentsService } from './amendments.service.js';

@Controller('amendments')
export class AmendmentsController {
  constructor(@Inject(AmendmentsService) private readonly amendments: AmendmentsService) {}

  @Roles('head', 'coach')
  @Says(
    'What was said of attempts and then said otherwise lately, the newest first: who changed what, when, and from what',
  )
  @Get()
  latest(@CurrentSession() session: Session): Promise<readonly AmendmentItem[]> {
    return this.amendments.latest(session.academyId);
  }
}
