import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { MediaModule } from '../media/media.module.js';
import { ScoreboardModule } from '../scoreboard/scoreboard.module.js';
import { AnglesRepository } from './angles.repository.js';
import { AnglesController } from './angles.controller.js';
import { FootageController } from './footage.controller.js';
import { FootageService } from './footage.service.js';

@Module({
  imports: [MediaModule, BinModule, ScoreboardModule],
  controllers: [FootageController, AnglesController],
  providers: [FootageService, AnglesRepository],
  exports: [FootageService],
})
export class FootageModule {}
