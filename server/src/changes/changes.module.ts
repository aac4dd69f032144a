import { Global, Module } from '@nestjs/common';
import { AmendmentsController } from './amendments.controller.js';
import { AmendmentsService } from './amendments.service.js';
import { ChangesController } from './changes.controller.js';
import { ChangesService } from './changes.service.js';

@Global()
@Module({
  controllers: [ChangesController, AmendmentsController],
  providers: [ChangesService, AmendmentsService],
  exports: [ChangesService],
})
export class ChangesModule {}
