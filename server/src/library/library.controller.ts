import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Controller, Get, Inject, Query, Res } from '@nestjs/common';
import type { Library } from '@odograph/core';
import { idParam, type LibraryPart } from '@odograph/core/contract';
import type { Response } from 'express';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { HeavyTurns } from './heavy.js';
import { LibraryService } from './library.service.js';

@Controller()
export class LibraryController {
  constructor(
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(HeavyTurns) private readonly turns: HeavyTurns,
  ) {}

  @Says('Everything the academy has logged')
  @Get('library')
  all(@CurrentSession() session: Session, @Res() response: Response): Promise<void> {
    return this.write(session, response);
  }

  @Says('The library without attempts and clips, which come in parts')
  @Get('library/base')
  base(@CurrentSession() session: Session): Promise<Library> {
    return this.library.base(session);
  }

  @Says('Clips with their attempts in the order of their ids; ?after=ID goes on behind one')
  @Get('library/part')
  part(@CurrentSession() session: Session, @Query('after') after: unknown): Promise<LibraryPart> {
    return this.library.part(session, after === undefined ? '' : checked(idParam.label('after'), after));
  }

  @Says('The same as a file')
  @Roles('head', 'coach')
  @Get('export/library.json')
  exportLibrary(@CurrentSession() session: Session, @Res() response: Response): Promise<void> {
    response.attachment('odograph-library.json');
    return this.write(session, response);
  }

  /** Written as it is read, in its turn. Whoever goes away meanwhile ends it. */
  private write(session: Session, response: Response): Promise<void> {
    return this.turns.take(session.accountId, async () => {
      if (response.destroyed) return;
      response.type('json');
      await pipeline(Readable.from(this.library.json(session)), response).catch((error: unknown) => {
        if (!response.destroyed) throw error;
      });
    });
  }
}
