import { Module } from '@nestjs/common';
import { MapController } from './map.controller.js';
import { MapRepository } from './map.repository.js';
import { MapService } from './map.service.js';

@Module({ controllers: [MapController], providers: [MapService, MapRepository] })
export class MapModule {}
