import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { MediaModule } from '../media/media.module.js';
import { ClipsController } from './clips.controller.js';
import { ClipsRepository } from './clips.repository.js';
import { ClipsService } from './clips.service.js';

@Module({
  imports: [MediaModule, BinModule],
  controllers: [ClipsController],
  providers: [ClipsService, ClipsRepository],
  exports: [ClipsService],
})
export class ClipsModule {}
