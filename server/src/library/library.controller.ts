import { Controller, Get, Header, Inject, Query } from '@nestjs/common';
import type { Library } from '@odograph/core';
import { idParam, type LibraryPart } from '@odograph/core/contract';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { LibraryService } from './library.service.js';

@Controller()
export class LibraryController {
  constructor(@Inject(LibraryService) private readonly library: LibraryService) {}

  @Says('Everything the academy has logged')
  @Get('library')
  @Header('Cache-Control', 'no-store')
  all(@CurrentSession() session: Session): Promise<Library> {
    return this.library.libraryFor(session);
  }

  @Says('The library without attempts and clips, which come in parts')
  @Get('library/base')
  @Header('Cache-Control', 'no-store')
  base(@CurrentSession() session: Session): Promise<Library> {
    return this.library.base(session);
  }

  @Says('Clips with their attempts in the order of their ids; ?after=ID goes on behind one')
  @Get('library/part')
  @Header('Cache-Control', 'no-store')
  part(@CurrentSession() session: Session, @Query('after') after: unknown): Promise<LibraryPart> {
    return this.library.part(session, after === undefined ? '' : checked(idParam.label('after'), after));
  }

  @Says('The same as a file')
  @Get('export/library.json')
  @Header('Content-Disposition', 'attachment; filename="odograph-library.json"')
  exportLibrary(@CurrentSession() session: Session): Promise<Library> {
    return this.library.libraryFor(session);
  }

  @Says('The map as GraphML')
  @Get('export/map.graphml')
  @Header('Content-Type', 'application/xml; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="odograph-map.graphml"')
  exportMap(@CurrentSession() session: Session): Promise<string> {
    return this.library.graphml(session);
  }
}
