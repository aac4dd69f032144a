import { Controller, Get, Inject } from '@nestjs/common';
import type { HealthAnswer } from '@odograph/core/contract';
import { QueryTypes, Sequelize } from 'sequelize';
import { Public } from '../doors/doors.js';
import { Says } from '../api/describe.js';
import { CONFIG, type Config } from '../config/config.js';

@Controller('health')
export class HealthController {
  constructor(
    @Inject(Sequelize) private readonly sequelize: Sequelize,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Public()
  @Says('Whether server and database answer')
  @Get()
  async health(): Promise<HealthAnswer> {
    await this.sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
    return { status: 'ok', database: 'ok', version: this.config.version };
  }
}
