import { Controller, Get, Inject, Param, Res } from '@nestjs/common';
import type { Response } from 'express';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { notFound } from '../errors/refused.js';
import { PHONES, Phones } from './phones.js';

@Controller('stand-ins')
export class StandInsController {
  constructor(
    @Inject(Phones) private readonly phones: Phones,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
  ) {}

  @Says('What a made-up phone has filmed of a bout of the demo')
  @Roles('head', 'coach')
  @Get('phones/:which')
  async film(
    @CurrentSession() { academyId }: Session,
    @Param('which') which: string,
    @Res() response: Response,
  ): Promise<void> {
    if (!(await this.accounts.academy(academyId)).isDemo) throw notFound();
    const phone = PHONES.find((p) => p === which);
    if (!phone) throw notFound();
    await this.phones.film(phone, (size, mime, name) => {
      response.set({ 'Content-Length': String(size), 'Content-Type': mime, 'Cache-Control': 'no-store' });
      return response.attachment(name);
    });
  }
}
