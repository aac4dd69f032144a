import { Controller, Get, Inject } from '@nestjs/common';
import type { Mail } from '@odograph/core/contract';
import { CurrentSession, Roles } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { Says } from '../api/describe.js';
import { OutboxService } from './outbox.service.js';

@Controller('outbox')
export class OutboxController {
  constructor(@Inject(OutboxService) private readonly outbox: OutboxService) {}

  @Roles('head')
  @Says('The letters that this academy has sent, newest first')
  @Get()
  letters(@CurrentSession() session: Session): Promise<readonly Mail[]> {
    return this.outbox.letters(session.academyId);
  }
}
