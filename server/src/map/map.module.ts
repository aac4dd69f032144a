import { Module } from '@nestjs/common';
import { MapController } from './map.controller.js';
import { MapRepository } from './map.repository.js';
import { MapService } from './map.service.js';
import { PackedStore } from './packedStore.js';

@Module({ controllers: [MapController], providers: [MapService, MapRepository, PackedStore] })
export class MapModule {}
