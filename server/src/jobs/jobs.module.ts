import { Module } from '@nestjs/common';
import { MediaModule } from '../media/media.module.js';
import { UploadsModule } from '../uploads/uploads.module.js';
import { Cuts } from './cuts.js';
import { CutsController } from './cuts.controller.js';
import { Handlers } from './handlers.js';
import { Prepare } from './prepare.js';
import { JobRunner } from './runner.js';

@Module({
  imports: [MediaModule, UploadsModule],
  controllers: [CutsController],
  providers: [Prepare, Cuts, Handlers, JobRunner],
  exports: [JobRunner],
})
export class JobsModule {}
