import { Module } from '@nestjs/common';
import { MAILER } from './mailer.js';
import { OutboxController } from './outbox.controller.js';
import { OutboxService } from './outbox.service.js';

@Module({
  controllers: [OutboxController],
  providers: [OutboxService, { provide: MAILER, useExisting: OutboxService }],
  exports: [MAILER],
})
export class OutboxModule {}
