import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { PassThrough, Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import { done, type PackingTask } from './packing.js';

/** Where the program is once the server is built; the server's own tests run what is not built. */
const PROGRAM = fileURLToPath(new URL('./packing.process.js', import.meta.url));
/** What the process may have, in MB: a library of 100,000 clips takes less than half of it. */
const MOST_MB = 1024;

/** Does a task in a process of its own, where the server is built, and otherwise in this one: what comes of it, as it comes. The server has neither the work nor the memory of it. */
export const apart = (task: PackingTask): Readable => {
  if (!existsSync(PROGRAM)) return Readable.from(inHere(task));
  const out = new PassThrough();
  const child = spawn(process.execPath, [`--max-old-space-size=${MOST_MB}`, PROGRAM], {
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
    serialization: 'advanced',
  });
  const ended = new Promise<void>((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) => {
      if (code === 0) resolve();
      else reject(new Error(`the process for packed rows ended with ${code}`));
    });
  });
  // whoever reads no longer ends it
  out.once('close', () => child.kill());
  child.send(task, (error) => error && out.destroy(error));
  Promise.all([pipeline(child.stdout!, out, { end: false }), ended]).then(
    () => out.end(),
    (error: unknown) => out.destroy(error as Error),
  );
  return out;
};

async function* inHere(task: PackingTask): AsyncGenerator<Uint8Array> {
  yield await done(task);
}
