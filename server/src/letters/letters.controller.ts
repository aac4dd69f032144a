import { Controller, Get, Inject } from '@nestjs/common';
import type { Letter } from '@odograph/core/contract';
import { CurrentWho, Roles } from '../doors/doors.js';
import type { Who } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { LettersService } from './letters.service.js';

@Controller('letters')
export class LettersController {
  constructor(@Inject(LettersService) private readonly letters: LettersService) {}

  @Roles('head')
  @Says('The invitations that this academy has sent, newest first, without their secrets')
  @Get()
  all(@CurrentWho() { session, me }: Who): Promise<readonly Letter[]> {
    return this.letters.lettersOf(session.academyId, me.academy.isDemo);
  }
}
