import { Global, Module } from '@nestjs/common';
import { ChangesController } from '../changes/changes.controller.js';
import { ChangesService } from '../changes/changes.service.js';
import { LibraryController } from './library.controller.js';
import { LibraryRepository } from './library.repository.js';
import { LibraryService } from './library.service.js';

@Global()
@Module({
  controllers: [LibraryController, ChangesController],
  providers: [LibraryRepository, LibraryService, ChangesService],
  exports: [LibraryService, LibraryRepository, ChangesService],
})
export class LibraryModule {}
