import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { MediaModule } from '../media/media.module.js';
import { Inbox } from './inbox.js';
import { UploadsController } from './uploads.controller.js';
import { UploadsRepository } from './uploads.repository.js';
import { UploadsService } from './uploads.service.js';

@Module({
  imports: [MediaModule, AccountsModule],
  controllers: [UploadsController],
  providers: [UploadsService, UploadsRepository, JobsRepository, Inbox],
  exports: [UploadsService, UploadsRepository, JobsRepository, Inbox],
})
export class UploadsModule {}
