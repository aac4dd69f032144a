import { Module } from '@nestjs/common';
import { MediaController } from './media.controller.js';
import { MediaRepository } from './media.repository.js';
import { MediaService } from './media.service.js';
import { MediaStore } from './mediaStore.js';
import { Stills } from './stills.js';

@Module({
  controllers: [MediaController],
  providers: [MediaService, MediaRepository, MediaStore, Stills],
  exports: [MediaService, MediaStore],
})
export class MediaModule {}
