import { NestFactory } from '@nestjs/core';
import { AppModule } from './app.module.js';
import { readConfig } from './config/config.js';
import { endWithStarter } from './config/lifeline.js';
import { SeededService } from './demo/seeded.service.js';

// takes in the seeded libraries that wait, beside the server, which answers meanwhile
const lifeline = endWithStarter();
const config = readConfig(process.env);
const app = await NestFactory.createApplicationContext(AppModule.with(config), { logger: false });
lifeline.inGoodOrder(() => app.close());
const say = (name: string, what: string): void => void process.stdout.write(`${name}: ${what}\n`);
if (config.demoDir !== null) await app.get(SeededService).takeInWaiting(config.demoDir, say);
await app.close();
process.exit(0);
