import { Body, Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { attemptEdit, clipEdit, newClip, removal, type Changed } from '@odograph/core/contract';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { checked } from '../errors/checked.js';
import { ClipsService } from './clips.service.js';

@Controller()
export class ClipsController {
  constructor(@Inject(ClipsService) private readonly clips: ClipsService) {}

  @Post('clips')
  @HttpCode(200)
  create(@CurrentSession() session: Session, @Body() body: unknown): Promise<Changed> {
    return this.clips.create(session, checked(newClip, body));
  }

  @Patch('attempts/:id')
  editAttempt(@CurrentSession() session: Session, @Param('id') id: string, @Body() body: unknown): Promise<Changed> {
    return this.clips.editAttempt(session, id, checked(attemptEdit, body));
  }

  @Patch('clips/:id')
  editClip(@CurrentSession() session: Session, @Param('id') id: string, @Body() body: unknown): Promise<Changed> {
    return this.clips.editClip(session, id, checked(clipEdit, body));
  }

  @Delete('clips/:id')
  remove(@CurrentSession() session: Session, @Param('id') id: string, @Body() body: unknown): Promise<Changed> {
    return this.clips.remove(session, id, checked(removal, body));
  }
}
