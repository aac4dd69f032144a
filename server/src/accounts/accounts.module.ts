import { Global, Module } from '@nestjs/common';
import { LettersModule } from '../letters/letters.module.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsRepository } from './accounts.repository.js';
import { AccountsService } from './accounts.service.js';
import { Founding } from './founding.js';
import { Resets } from './resets.js';
import { TriesRepository } from './tries.repository.js';
import { TriesService } from './tries.service.js';

@Global()
@Module({
  imports: [LettersModule],
  controllers: [AccountsController],
  providers: [AccountsRepository, AccountsService, Founding, Resets, TriesRepository, TriesService],
  exports: [AccountsRepository, AccountsService, Founding, LettersModule, Resets, TriesRepository, TriesService],
})
export class AccountsModule {}
