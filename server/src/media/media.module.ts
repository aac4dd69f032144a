import { Module } from '@nestjs/common';
import { FrameSeek } from './frameSeek.js';
import { MediaController } from './media.controller.js';
import { MediaRepository } from './media.repository.js';
import { MediaService } from './media.service.js';
import { MediaStore } from './mediaStore.js';
import { Room } from './room.js';
import { Stills } from './stills.js';

@Module({
  controllers: [MediaController],
  providers: [MediaService, MediaRepository, MediaStore, FrameSeek, Stills, Room],
  exports: [MediaService, MediaStore, Room, FrameSeek, Stills],
})
export class MediaModule {}
