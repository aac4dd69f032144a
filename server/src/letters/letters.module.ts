import { Module } from '@nestjs/common';
import { LettersController } from './letters.controller.js';
import { LettersRepository } from './letters.repository.js';
import { LettersService } from './letters.service.js';
import { Post } from './post.js';
import { LetterSecrets } from './secrets.js';

@Module({
  controllers: [LettersController],
  providers: [LettersRepository, LetterSecrets, LettersService, Post],
  exports: [LettersService, Post],
})
export class LettersModule {}
