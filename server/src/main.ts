import { bootstrap } from './bootstrap.js';
import { readConfig } from './config/config.js';
import { endWithStarter } from './config/lifeline.js';
import { StartFault } from './config/startFault.js';
import { DemoService } from './demo/demo.service.js';

const lifeline = endWithStarter();

const start = async (): Promise<void> => {
  const config = readConfig(process.env);
  const app = await bootstrap(config);
  app.enableShutdownHooks();
  lifeline.inGoodOrder(() => app.close());
  if (config.demoDir !== null) {
    await app.get(DemoService).load(config.demoDir);
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
