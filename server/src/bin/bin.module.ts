import { Module } from '@nestjs/common';
import { MediaModule } from '../media/media.module.js';
import { BinController } from './bin.controller.js';
import { BinRepository } from './bin.repository.js';
import { BinService } from './bin.service.js';

@Module({
  imports: [MediaModule],
  controllers: [BinController],
  providers: [BinRepository, BinService],
  exports: [BinService],
})
export class BinModule {}
