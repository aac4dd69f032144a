import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { PeopleController } from './people.controller.js';
import { PeopleRepository } from './people.repository.js';
import { PeopleService } from './people.service.js';

@Module({
  imports: [BinModule],
  controllers: [PeopleController],
  providers: [PeopleRepository, PeopleService],
  exports: [PeopleService],
})
export class PeopleModule {}
