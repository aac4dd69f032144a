import { Module } from '@nestjs/common';
import { MediaModule } from '../media/media.module.js';
import { UploadsModule } from '../uploads/uploads.module.js';
import { DiskController } from './disk.controller.js';
import { DiskRepository } from './disk.repository.js';
import { DiskService } from './disk.service.js';

@Module({
  imports: [MediaModule, UploadsModule],
  controllers: [DiskController],
  providers: [DiskService, DiskRepository],
})
export class DiskModule {}
