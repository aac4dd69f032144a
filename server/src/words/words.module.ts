import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { WordsController } from './words.controller.js';
import { WordsRepository } from './words.repository.js';
import { WordsService } from './words.service.js';

@Module({ imports: [BinModule], controllers: [WordsController], providers: [WordsService, WordsRepository] })
export class WordsModule {}
