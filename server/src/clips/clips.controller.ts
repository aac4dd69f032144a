import { Controller, Delete, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  attemptEdit,
  clipEdit,
  newClip,
  newClips,
  newLook,
  removal,
  type Changed,
  type NewClip,
  type NewClips,
  type NewLook,
  type AttemptEdit,
  type ClipEdit,
  type Removal,
} from '@odograph/core/contract';
import { CheckedBody, Says } from '../api/describe.js';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { ClipsService } from './clips.service.js';

@Controller()
export class ClipsController {
  constructor(@Inject(ClipsService) private readonly clips: ClipsService) {}

  @Says('A new clip with the attempt it looks at')
  @Post('clips')
  @HttpCode(200)
  create(@CurrentSession() session: Session, @CheckedBody(newClip) body: NewClip): Promise<Changed> {
    return this.clips.create(session, body);
  }

  @Says('One more clip of an attempt that is told already')
  @Post('attempts/:id/looks')
  @HttpCode(200)
  addLook(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(newLook) body: NewLook,
  ): Promise<Changed> {
    return this.clips.addLook(session, id, body);
  }

  @Says('Many clips with their attempts, all of them or none')
  @Post('clips/many')
  @HttpCode(200)
  createMany(@CurrentSession() session: Session, @CheckedBody(newClips) body: NewClips): Promise<Changed> {
    return this.clips.createMany(session, body);
  }

  @Says('Changes what is said of an attempt')
  @Patch('attempts/:id')
  editAttempt(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(attemptEdit) body: AttemptEdit,
  ): Promise<Changed> {
    return this.clips.editAttempt(session, id, body);
  }

  @Says('Changes the edges or the note of a clip')
  @Patch('clips/:id')
  editClip(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(clipEdit) body: ClipEdit,
  ): Promise<Changed> {
    return this.clips.editClip(session, id, body);
  }

  @Says('Puts a clip in the bin, and its attempt with it when no other clip looks at that')
  @Delete('clips/:id')
  remove(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(removal) body: Removal,
  ): Promise<Changed> {
    return this.clips.remove(session, id, body);
  }
}
