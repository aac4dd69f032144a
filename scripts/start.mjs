// npm start: everything that is missing is installed, made or built, then database and server run until Ctrl-C.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { build } from './build.mjs';
import { startDatabase } from './database.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main, note } from './say.mjs';

const port = Number(process.env.PORT ?? 4170);
const host = process.env.HOST ?? '127.0.0.1';
/** Where this machine reaches the server itself. */
const near = ['0.0.0.0', '::'].includes(host) ? '127.0.0.1' : host;
const address = process.env.PUBLIC_URL ?? `http://${near}:${port}`;
const folder = process.env.ODOGRAPH_FOLDER ?? join(root, '.odograph');
const running = join(folder, 'running.pid');

const portMustBeFree = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', (error) =>
      reject(
        new Stop(
          error.code === 'EADDRINUSE'
            ? `Port ${port} is taken by another program; choose one with PORT=… npm start.`
            : `Port ${port} cannot be used (${error.code}).`,
        ),
      ),
    );
    probe.listen(port, host, () => probe.close(resolve));
  });

const onlyOne = () => {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    if (existsSync(running)) {
      const pid = Number(readFileSync(running, 'utf8'));
      const command = existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'latin1') : '';
      if (pid !== process.pid && command.includes('start.mjs'))
        throw new Stop(`Odograph is running from this folder already (process ${pid}).`);
    }
    writeFileSync(running, String(process.pid));
  } catch (error) {
    if (error instanceof Stop) throw error;
    throw new Stop(`The folder ${folder} cannot be written (${error.code}).`);
  }
};

const ready = async (server) => {
  for (const end = Date.now() + 120_000; Date.now() < end; await pause(100)) {
    if (server.exitCode !== null) throw new Stop('The server did not start; the reason stands above.');
    const answer = await fetch(`http://${near}:${port}/api/health`).catch(() => undefined);
    if (answer?.ok) return;
  }
  throw new Stop('The server did not answer within two minutes.');
};

/** Ends a process in good order, or after ten seconds in any. */
const ended = async (child) => {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = once(child, 'exit');
  child.kill('SIGTERM');
  const left = await Promise.race([gone, pause(10_000, undefined, { ref: false })]);
  if (!left) child.kill('SIGKILL');
};

/** Keeps a worker there: one that ends unexpectedly is followed by another, its job is taken up again. Gives what ends it. */
const keepWorking = (start) => {
  let isEnding = false;
  let worker;
  const again = () => {
    if (isEnding) return;
    worker = start();
    worker.once('exit', () => setTimeout(again, 1000).unref());
  };
  again();
  return async () => {
    isEnding = true;
    await ended(worker);
  };
};

main(async () => {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT is "${process.env.PORT}", which is no port number (1 to 65535).`);
  await portMustBeFree();
  onlyOne();
  const stops = [() => rmSync(running, { force: true })];
  let ending = false;
  const end = async () => {
    if (ending) return;
    ending = true;
    for (const stop of stops.reverse()) await stop();
  };
  try {
    const asked = Promise.race(
      ['SIGINT', 'SIGTERM', 'SIGHUP'].map(
        (signal) => new Promise((resolve) => process.on(signal, () => resolve({ signal }))),
      ),
    );
    needPrograms(['mariadbd', 'mariadb-install-db', 'mariadb', 'ffmpeg', 'ffprobe']);
    needPackages();
    build(['core', 'server', 'web']);
    const database = await startDatabase(join(folder, 'db'));
    stops.push(database.stop);
    const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
    const part = (file) =>
      spawn(process.execPath, [join(root, 'server/dist', file)], {
        detached: true,
        // the channel is there to be lost: when this process is gone, the server ends itself
        stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
        env: {
          ...process.env,
          NODE_ENV: 'production',
          PORT: String(port),
          ODOGRAPH_DATA: folder,
          ODOGRAPH_DEMO: join(root, 'demo/footage'),
          ODOGRAPH_VERSION: version,
          ODOGRAPH_LOG: process.env.ODOGRAPH_LOG ?? 'warn',
          ODOGRAPH_DB_HOST: database.host,
          ODOGRAPH_DB_PORT: String(database.port),
          ODOGRAPH_DB_USER: database.user,
          ODOGRAPH_DB_PASSWORD: database.password,
        },
      });
    const server = part('main.js');
    const gone = once(server, 'exit');
    stops.push(() => ended(server));
    const first = await Promise.race([asked, ready(server)]);
    if (first?.signal) return await end();
    stops.push(keepWorking(() => part('worker.js')));
    note(`Odograph is at ${address} (sign in as coach@lanternwood.example with lanternwood-mat-7; Ctrl-C stops it)`);
    const why = await Promise.race([
      asked,
      gone.then(() => ({ lost: 'server' })),
      new Promise((resolve) => database.onExit(() => resolve({ lost: 'database' }))),
    ]);
    if (why.lost && !ending)
      throw new Stop(`The ${why.lost} has ended unexpectedly; what was saved is safe. Start again with npm start.`);
  } finally {
    await end();
  }
  process.exit(process.exitCode ?? 0);
});
