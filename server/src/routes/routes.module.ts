import { Module } from '@nestjs/common';
import { BinModule } from '../bin/bin.module.js';
import { RoutesController } from './routes.controller.js';
import { RoutesService } from './routes.service.js';

@Module({ imports: [BinModule], controllers: [RoutesController], providers: [RoutesService] })
export class RoutesModule {}
