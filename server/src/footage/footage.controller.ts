import { Controller, Delete, Get, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  footageEdit,
  idParam,
  newAngle,
  newFootage,
  removal,
  type Removal,
  type Changed,
  type NewAngle,
  type NewFootage,
  type FootageEdit,
  type ScoreboardAnswer,
} from '@odograph/core/contract';
import { CheckedBody, Says } from '../api/describe.js';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { BinService } from '../bin/bin.service.js';
import { checked } from '../errors/checked.js';
import { FootageService } from './footage.service.js';

@Controller('footage')
export class FootageController {
  constructor(
    @Inject(FootageService) private readonly footage: FootageService,
    @Inject(BinService) private readonly bin: BinService,
  ) {}

  @Says('New footage with its first angle: the whole of one file')
  @Post()
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newFootage) body: NewFootage): Promise<Changed> {
    return this.footage.create(session, body);
  }

  @Says('One more angle of footage: another file of the same event, or a stretch of one')
  @Post(':id/angles')
  @HttpCode(200)
  addAngle(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(newAngle) body: NewAngle,
  ): Promise<Changed> {
    return this.footage.addAngle(session, id, body);
  }

  @Says('What the scoreboard of a footage showed, whenever something about it changed; null where none was kept')
  @Roles('head', 'coach')
  @Get(':id/scoreboard')
  async scoreboard(@CurrentSession() session: Session, @Param('id') id: string): Promise<ScoreboardAnswer> {
    return { readings: await this.footage.scoreboardOf(session, checked<string>(idParam.label('id'), id)) };
  }

  @Says('Changes what is known of footage')
  @Patch(':id')
  edit(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(footageEdit) body: FootageEdit,
  ): Promise<Changed> {
    return this.footage.edit(session, id, body);
  }

  @Says('Puts footage in the bin, with everything that was seen on it')
  @Delete(':id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.bin.removeFootage(session, id, body.editId, body.baseVersion);
  }
}
