import { Controller, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import {
  BINNED,
  restore,
  type BinItem,
  type Binned,
  type Changed,
  type References,
  type Restore,
} from '@odograph/core/contract';
import Joi from 'joi';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { BinService } from './bin.service.js';

const binned = Joi.string<Binned>()
  .valid(...BINNED)
  .required()
  .label('kind');

@Controller()
export class BinController {
  constructor(@Inject(BinService) private readonly bin: BinService) {}

  @Roles('head', 'coach')
  @Says('What lies in the bin, the newest first, and when it goes for good')
  @Get('bin')
  items(@CurrentSession() session: Session): Promise<readonly BinItem[]> {
    return this.bin.items(session, new Date());
  }

  @Says('Takes something out of the bin, with what went in with it')
  @Post('bin/restore')
  @HttpCode(200)
  restore(@CurrentSession() session: Session, @CheckedBody(restore) body: Restore): Promise<Changed> {
    return this.bin.restore(session, body);
  }

  @Roles('head', 'coach')
  @Says('What goes with a thing, or stands on it')
  @Get('references/:kind/:id')
  references(
    @CurrentSession() session: Session,
    @Param('kind') kind: string,
    @Param('id') id: string,
  ): Promise<References> {
    return this.bin.references(session, checked(binned, kind), id);
  }
}
