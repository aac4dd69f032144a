import { Controller, Get, Header, Inject } from '@nestjs/common';
import type { Library } from '@odograph/core';
import { CurrentSession } from '../accounts/session.guard.js';
import type { Session } from '../accounts/session.js';
import { Says } from '../api/describe.js';
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
