import { once } from 'node:events';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { done, type PackingTask } from './packing.js';

// one task, one answer; then the process ends and its memory with it
const [task] = (await once(process, 'message')) as [PackingTask];
process.disconnect();
await pipeline(Readable.from([await done(task)]), process.stdout);
