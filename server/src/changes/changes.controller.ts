import { Controller, HttpCode, Inject, Post } from '@nestjs/common';
import { undo, type Changed, type Undo } from '@odograph/core/contract';
import { CheckedBody, Says } from '../api/describe.js';
import { CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { LibraryService } from '../library/library.service.js';
import { ChangesService } from './changes.service.js';

@Controller()
export class ChangesController {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
  ) {}

  @Says('Takes back the newest edit of this person that is not taken back yet')
  @Post('undo')
  @HttpCode(200)
  async undo(@CurrentSession() session: Session, @CheckedBody(undo) body: Undo): Promise<Changed> {
    return this.library.changed(session.academyId, await this.changes.undo(session, body.editId));
  }

  @Says('Does again what this person took back last, if nothing else was edited since')
  @Post('redo')
  @HttpCode(200)
  async redo(@CurrentSession() session: Session, @CheckedBody(undo) body: Undo): Promise<Changed> {
    return this.library.changed(session.academyId, await this.changes.redo(session, body.editId));
  }
}
