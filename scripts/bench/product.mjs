// The product as npm start runs it, for what is measured on it.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync } from 'node:fs';
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
