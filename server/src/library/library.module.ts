import { Global, Module } from '@nestjs/common';
import { ChangesController } from '../changes/changes.controller.js';
import { ChangesService } from '../changes/changes.service.js';
import { LibraryController } from './library.controller.js';
import { HeavyTurns } from './heavy.js';
import { LibraryRepository } from './library.repository.js';
import { LibraryService } from './library.service.js';
import { ShownService } from './shown.service.js';

@Global()
@Module({
  controllers: [LibraryController, ChangesController],
  providers: [LibraryRepository, LibraryService, ChangesService, HeavyTurns, ShownService],
  exports: [LibraryService, LibraryRepository, ChangesService, HeavyTurns, ShownService],
})
export class LibraryModule {}
