import { Global, Module } from '@nestjs/common';
import { AccountsController } from './accounts.controller.js';
import { AccountsRepository } from './accounts.repository.js';
import { AccountsService } from './accounts.service.js';

@Global()
@Module({
  controllers: [AccountsController],
  providers: [AccountsRepository, AccountsService],
  exports: [AccountsRepository],
})
export class AccountsModule {}
