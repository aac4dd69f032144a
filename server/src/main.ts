import { bootstrap } from './bootstrap.js';
import { readConfig } from './config/config.js';
import { StartFault } from './config/startFault.js';
import { DemoService } from './demo/demo.service.js';
import { SeededService } from './demo/seeded.service.js';

const start = async (): Promise<void> => {
  const config = readConfig(process.env);
  const app = await bootstrap(config);
  app.enableShutdownHooks();
  // started by a parent: without it there is nobody to end this process later
  process.once('disconnect', () => void app.close().then(() => process.exit(0)));
  if (config.demoDir !== null) {
    await app.get(DemoService).load(config.demoDir);
    await app.get(SeededService).takeInWaiting(config.demoDir);
  }
  await app.listen(config.port, config.host);
};

try {
  await start();
} catch (error) {
  if (!(error instanceof StartFault)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
}
