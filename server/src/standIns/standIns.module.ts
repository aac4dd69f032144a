import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module.js';
import { MediaModule } from '../media/media.module.js';
import { Phones } from './phones.js';
import { StandInsController } from './standIns.controller.js';

@Module({ imports: [MediaModule, AccountsModule], controllers: [StandInsController], providers: [Phones] })
export class StandInsModule {}
