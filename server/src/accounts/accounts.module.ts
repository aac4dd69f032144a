import { Global, Module } from '@nestjs/common';
import { OutboxModule } from '../outbox/outbox.module.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsRepository } from './accounts.repository.js';
import { AccountsService } from './accounts.service.js';

@Global()
@Module({
  imports: [OutboxModule],
  controllers: [AccountsController],
  providers: [AccountsRepository, AccountsService],
  exports: [AccountsRepository, AccountsService],
})
export class AccountsModule {}
