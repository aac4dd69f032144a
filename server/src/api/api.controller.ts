import { Controller, Get, Inject, type Type } from '@nestjs/common';
import { ModulesContainer } from '@nestjs/core';
import { Public } from '../doors/doors.js';
import { CONFIG, type Config } from '../config/config.js';
import { Says } from './describe.js';
import { describeApi, type OpenApi } from './openApi.js';

@Controller()
export class ApiController {
  constructor(
    @Inject(ModulesContainer) private readonly modules: ModulesContainer,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Public()
  @Says('This description')
  @Get('openapi.json')
  description(): OpenApi {
    const controllers = [...this.modules.values()].flatMap((m) =>
      [...m.controllers.values()].flatMap((c) => (c.metatype ? [c.metatype as Type] : [])),
    );
    return describeApi([...new Set(controllers)], this.config.version);
  }
}
