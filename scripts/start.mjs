// npm start: everything that is missing is installed, made or built, then database and server run until Ctrl-C.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { build } from './build.mjs';
import { startDatabase } from './database.mjs';
import { needPrograms } from './machine.mjs';
import { ownUser } from './ownUser.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { Stop, main, note } from './say.mjs';

const port = Number(process.env.PORT ?? 4170);
const host = process.env.HOST ?? '127.0.0.1';
/** Several times what the server ever holds. Where the heap may grow without end, Node tidies up late, and holds half as much again. */
const SERVER_HEAP = '--max-old-space-size=1024';
/** Where this machine reaches the server itself. */
const near = ['0.0.0.0', '::'].includes(host) ? '127.0.0.1' : host;
const address = process.env.PUBLIC_URL ?? `http://${near}:${port}`;
const folder = process.env.ODOGRAPH_FOLDER ?? join(root, '.odograph');
const running = join(folder, 'running.pid');

/** Others than this machine reach it: then the demo, whose passwords everybody knows, is there only on wish. */
const isOpen = process.env.PUBLIC_URL !== undefined || !/^(localhost|127\.\d+\.\d+\.\d+|::1)$/.test(host);
const withDemo = !isOpen || process.env.DEMO === '1';

/** Where a second machine is to reach the database: ODOGRAPH_DB_LISTEN=ADDRESS:PORT. Otherwise it has its socket only. */
const databaseListens = () => {
  const wish = process.env.ODOGRAPH_DB_LISTEN;
  if (wish === undefined) return undefined;
  const [, at, number] = /^(.+):(\d+)$/.exec(wish) ?? [];
  if (!at) throw new Stop(`ODOGRAPH_DB_LISTEN is "${wish}"; it has to be an address and a port, like 192.0.2.7:3306.`);
  return { host: at.replace(/^\[|\]$/g, ''), port: Number(number) };
};

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
    if (server.exitCode !== null || server.signalCode !== null)
      throw new Stop('The server did not start; the reason stands above.');
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

/** Seeded libraries that wait are taken in beside the server, which answers meanwhile; one that is cut off goes on at the next start. Gives what ends it. */
const takeInWaiting = (part) => {
  const waiting = join(folder, 'waiting');
  const names = existsSync(waiting) ? readdirSync(waiting).filter((name) => name.endsWith('.json')) : [];
  if (names.length === 0) return async () => undefined;
  note(`Taking in ${names.join(', ')} in the background …`);
  const taking = part('seeded.js', { stdout: 'inherit' });
  taking.once('exit', (code) => code && note('Taking in has broken off; it goes on at the next start.'));
  return () => ended(taking);
};

/** Starts the parts of the product, each as a process of its own that ends itself when this one is gone. */
const starter =
  ({ as, database, version }) =>
  (file, { stdout = 'ignore', flags = [] } = {}) =>
    spawn(process.execPath, [...flags, join(root, 'server/dist', file)], {
      detached: true,
      cwd: folder,
      ...(as ? { uid: as.uid, gid: as.gid } : {}),
      // the channel is there to be lost
      stdio: ['ignore', stdout, 'inherit', 'ipc'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        PORT: String(port),
        ODOGRAPH_DATA: folder,
        ...(withDemo ? { ODOGRAPH_DEMO: join(root, 'demo/footage') } : {}),
        ODOGRAPH_VERSION: version,
        ODOGRAPH_LOG: process.env.ODOGRAPH_LOG ?? 'warn',
        ODOGRAPH_DB_SOCKET: database.socket,
        ODOGRAPH_DB_USER: database.user,
        ODOGRAPH_DB_PASSWORD: database.password,
      },
    });

/** For what whoever runs it does beside it. */
const tellWhereItRuns = () => {
  const told = Object.entries({
    PORT: String(port),
    HOST: host,
    PUBLIC_URL: process.env.PUBLIC_URL,
    SMTP_URL: process.env.SMTP_URL,
  });
  const said = Object.fromEntries(told.filter(([, v]) => v !== undefined));
  writeFileSync(join(folder, 'running.json'), JSON.stringify(said), { mode: 0o600 });
};

/** All of it, until it is asked to end or a part is lost; what is to be stopped at the end goes into `stops`. */
const untilItEnds = async (stops) => {
  const asked = Promise.race(
    ['SIGINT', 'SIGTERM', 'SIGHUP'].map(
      (signal) => new Promise((resolve) => process.on(signal, () => resolve({ signal }))),
    ),
  );
  needPrograms(['mariadbd', 'mariadb-install-db', 'mariadb', 'ffmpeg', 'ffprobe']);
  needPackages();
  build(['core', 'server', 'web']);
  const as = ownUser(folder);
  const database = await startDatabase(join(folder, 'db'), { as, listen: databaseListens() });
  stops.push(database.stop);
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  const part = starter({ as, database, version });
  tellWhereItRuns();
  const server = part('main.js', { flags: [SERVER_HEAP] });
  const gone = once(server, 'exit');
  stops.push(() => ended(server));
  const first = await Promise.race([asked, ready(server)]);
  if (first?.signal) return;
  stops.push(keepWorking(() => part('worker.js')));
  if (withDemo) stops.push(takeInWaiting(part));
  note(
    withDemo
      ? `Odograph is at ${address} (sign in as coach@lanternwood.example with lanternwood-mat-7; Ctrl-C stops it)`
      : `Odograph is at ${address} (npm run invite -- E-MAIL invites somebody to found an academy; Ctrl-C stops it)`,
  );
  const why = await Promise.race([
    asked,
    gone.then(() => ({ lost: 'server' })),
    new Promise((resolve) => database.onExit(() => resolve({ lost: 'database' }))),
  ]);
  if (why.lost)
    throw new Stop(`The ${why.lost} has ended unexpectedly; what was saved is safe. Start again with npm start.`);
};

main(async () => {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT is "${process.env.PORT}", which is no port number (1 to 65535).`);
  await portMustBeFree();
  onlyOne();
  const stops = [() => rmSync(running, { force: true }), () => rmSync(join(folder, 'running.json'), { force: true })];
  try {
    await untilItEnds(stops);
  } finally {
    for (const stop of stops.reverse()) await stop();
  }
  process.exit(process.exitCode ?? 0);
});
