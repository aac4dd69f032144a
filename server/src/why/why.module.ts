import { Module } from '@nestjs/common';
import { MediaModule } from '../media/media.module.js';
import { CollectionsController } from './collections.controller.js';
import { DrawingsController } from './drawings.controller.js';
import { PlansController } from './plans.controller.js';
import { PolicyController } from './policy.controller.js';
import { PrinciplesController } from './principles.controller.js';
import { TodosController } from './todos.controller.js';
import { WhyService } from './why.service.js';

@Module({
  imports: [MediaModule],
  controllers: [
    PrinciplesController,
    TodosController,
    DrawingsController,
    PlansController,
    CollectionsController,
    PolicyController,
  ],
  providers: [WhyService],
  exports: [WhyService],
})
export class WhyModule {}
