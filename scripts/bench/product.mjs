// The product as npm start runs it, for what is measured on it.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { root } from '../paths.mjs';
import { Stop } from '../say.mjs';

/** Starts it on a folder and a port, and waits for its address; gives how long that took and what ends it. */
export const up = async (folder, port) => {
  const child = spawn(process.execPath, [join(root, 'scripts/start.mjs')], {
    env: { ...process.env, PORT: String(port), ODOGRAPH_FOLDER: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const began = performance.now();
  await new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk) => String(chunk).includes('Odograph is at') && resolve());
    child.once('exit', () => reject(new Stop('It did not start.')));
  });
  const ms = performance.now() - began;
  /** Settles when it has ended, by itself or otherwise. */
  const gone = once(child, 'exit');
  return {
    ms,
    pid: child.pid,
    gone,
    down: () => {
      child.kill('SIGTERM');
      return gone;
    },
  };
};

/** Waits until the libraries that wait in a folder of the product are taken in. */
export const untilTakenIn = async (folder) => {
  const waiting = join(folder, 'waiting');
  while (readdirSync(waiting).some((name) => name.endsWith('.json'))) await pause(200);
};

/** Signs in; gives the cookie. */
export const signIn = async (url, email, password) => {
  const answer = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  if (!answer.ok) throw new Stop(`Signing in as ${email} gave ${answer.status}.`);
  return answer.headers.get('set-cookie').split(';')[0];
};

/** Asks a route with a session; gives the body of the answer. */
export const asker =
  (url, cookie) =>
  async (method, path, body, headers = {}) => {
    const isJson = body !== undefined && !headers['content-type'];
    // on a connection of its own: one that is kept may have been killed with the server
    const answer = await fetch(`${url}${path}`, {
      method,
      headers: { cookie, connection: 'close', ...(isJson ? { 'content-type': 'application/json' } : {}), ...headers },
      ...(body === undefined ? {} : { body: isJson ? JSON.stringify(body) : body, duplex: 'half' }),
    });
    if (!answer.ok) throw new Stop(`${method} ${path} gave ${answer.status}: ${await answer.text()}`);
    return answer.headers.get('content-type')?.includes('json') ? answer.json() : answer;
  };

/** The head coach of the demo: email and password. */
export const DEMO_COACH = ['coach@lanternwood.example', 'lanternwood-mat-7'];

/** Waits until all is made of the demo's footage that is made in the background: until then the processors are not free. */
export const untilDemoMade = async (url) => {
  const ask = asker(url, await signIn(url, ...DEMO_COACH));
  for (;;) {
    const { jobs } = await ask('GET', '/api/under-way');
    if (jobs.length && jobs.every((j) => j.state === 'done')) return;
    await pause(500);
  }
};

const used = () => {
  const times = cpus().map((cpu) => cpu.times);
  const all = (of) => times.reduce((sum, t) => sum + of(t), 0);
  return { idle: all((t) => t.idle), whole: all((t) => Object.values(t).reduce((a, b) => a + b, 0)) };
};

/** Waits until the processors have been idle for nine tenths of three seconds: a database writes what it took in long after it has it. At most two minutes. */
export const untilIdle = async () => {
  for (let left = 40; left > 0; left--) {
    const before = used();
    await pause(3000);
    const after = used();
    if ((after.idle - before.idle) / (after.whole - before.whole) >= 0.9) return;
  }
};
