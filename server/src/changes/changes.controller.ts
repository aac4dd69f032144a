import { Body, Controller, HttpCode, Inject, Post } from '@nestjs/common';
import { undo, type Changed } from '@odograph/core/contract';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { checked } from '../errors/checked.js';
import { LibraryService } from '../library/library.service.js';
import { ChangesService } from './changes.service.js';

@Controller()
export class ChangesController {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
  ) {}

  @Post('undo')
  @HttpCode(200)
  async undo(@CurrentSession() session: Session, @Body() body: unknown): Promise<Changed> {
    return this.library.changed(session.academyId, await this.changes.undo(session, checked(undo, body).editId));
  }
}
