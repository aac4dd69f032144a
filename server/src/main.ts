import { readConfig } from './config/config.js';
import { bootstrap } from './bootstrap.js';
import { DemoService } from './demo/demo.service.js';

const config = readConfig(process.env);
const app = await bootstrap(config);
app.enableShutdownHooks();
const demo = process.env['ODOGRAPH_DEMO'];
if (demo) await app.get(DemoService).load(demo);
await app.listen(config.port, '127.0.0.1');
