import { Global, Module } from '@nestjs/common';
import { LibraryController } from './library.controller.js';
import { HeavyTurns } from './heavy.js';
import { LibraryRepository } from './library.repository.js';
import { LibraryService } from './library.service.js';
import { ShownService } from './shown.service.js';

@Global()
@Module({
  controllers: [LibraryController],
  providers: [LibraryRepository, LibraryService, HeavyTurns, ShownService],
  exports: [LibraryService, LibraryRepository, HeavyTurns, ShownService],
})
export class LibraryModule {}
