import { Global, Inject, Module, type OnModuleDestroy } from '@nestjs/common';
import { Sequelize } from 'sequelize';
import { CONFIG, type Config } from '../config/config.js';
import { connect } from './connect.js';
import { defineModels } from './models.js';
import { MODELS } from './tokens.js';

@Global()
@Module({
  providers: [
    { provide: Sequelize, useFactory: (config: Config) => connect(config), inject: [CONFIG] },
    { provide: MODELS, useFactory: (sequelize: Sequelize) => defineModels(sequelize), inject: [Sequelize] },
  ],
  exports: [Sequelize, MODELS],
})
export class DatabaseModule implements OnModuleDestroy {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  async onModuleDestroy(): Promise<void> {
    await this.sequelize.close();
  }
}
