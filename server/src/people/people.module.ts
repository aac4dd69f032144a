import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { OutboxModule } from '../outbox/outbox.module.js';
import { PeopleController } from './people.controller.js';
import { PeopleRepository } from './people.repository.js';
import { PeopleService } from './people.service.js';

@Module({
  imports: [OutboxModule, BinModule],
  controllers: [PeopleController],
  providers: [PeopleRepository, PeopleService],
  exports: [PeopleService],
})
export class PeopleModule {}
