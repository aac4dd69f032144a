import { mkdirSync } from 'node:fs';
import { Module } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import { MediaController } from './media.controller.js';
import { MediaRepository } from './media.repository.js';
import { MediaService } from './media.service.js';
import { MediaStore } from './mediaStore.js';
import { ROOM, roomOf } from './room.js';
import { Stills } from './stills.js';

@Module({
  controllers: [MediaController],
  providers: [
    MediaService,
    MediaRepository,
    MediaStore,
    Stills,
    {
      provide: ROOM,
      useFactory: ({ dataDir }: Config) => {
        mkdirSync(dataDir, { recursive: true });
        return roomOf(dataDir);
      },
      inject: [CONFIG],
    },
  ],
  exports: [MediaService, MediaStore, ROOM],
})
export class MediaModule {}
