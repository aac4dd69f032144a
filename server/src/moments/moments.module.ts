import { Module } from '@nestjs/common';
import { MediaModule } from '../media/media.module.js';
import { MomentsController } from './moments.controller.js';
import { MomentsService } from './moments.service.js';

@Module({ imports: [MediaModule], controllers: [MomentsController], providers: [MomentsService] })
export class MomentsModule {}
