import { setTimeout as pause } from 'node:timers/promises';
import { NestFactory } from '@nestjs/core';
import { pino } from 'pino';
import { Sequelize } from 'sequelize';
import { AppModule } from './app.module.js';
import { readConfig } from './config/config.js';
import { endWithStarter } from './config/lifeline.js';
import { isMigrated } from './database/migrate.js';
import { logged } from './errors/logged.js';
import { JobRunner } from './jobs/runner.js';

const lifeline = endWithStarter();

/** Does the jobs of all academies in the database, apart from the web server; any number of these may run beside each other. */
const start = async (): Promise<void> => {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel }, pino.destination({ dest: 2, sync: true }));
  const app = await NestFactory.createApplicationContext(AppModule.with(config), { logger: false });
  app.enableShutdownHooks();
  lifeline.inGoodOrder(() => app.close());
  // the web server brings the database to this version
  while (!(await isMigrated(app.get(Sequelize)).catch(() => false))) await pause(300);
  app.get(JobRunner).start((error) => log.warn({ err: logged(error) }, 'a worker could not look for jobs'));
};

await start();
