// A MariaDB of the project's own: its own data folder, loopback only, run as whoever starts it. Never the system's server.
import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { findProgram } from './machine.mjs';
import { giveTo } from './ownUser.mjs';
import { Stop } from './say.mjs';

export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer().once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

const untilGone = async (pid, ms) => {
  for (const end = Date.now() + ms; Date.now() < end; await pause(50)) if (!isAlive(pid)) return true;
  return !isAlive(pid);
};

const isOurs = (pid, dataDir) => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes(dataDir);
  } catch {
    return false;
  }
};

const lastErrors = (log) =>
  existsSync(log)
    ? readFileSync(log, 'utf8')
        .split('\n')
        .filter((l) => l.includes('[ERROR]'))
        .slice(-2)
        .map((l) => l.replace(/^.*\[ERROR\]\s*/, ''))
        .join(' ')
    : '';

/** Room that a start needs at least, in bytes; ODOGRAPH_ROOM_MB says otherwise. */
const mustHaveRoom = (folder) => {
  const needed = Number(process.env.ODOGRAPH_ROOM_MB ?? 200) * 2 ** 20;
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < needed)
    throw new Stop(
      `The disk that holds ${folder} is full: ${Math.floor((bavail * bsize) / 2 ** 20)} MB are left, ${Math.ceil(needed / 2 ** 20)} MB are needed. Make room and start again; what was saved is safe.`,
    );
};

/** A server left over from a start that was killed: it is stopped before a new one is started on the same data. */
const stopLeftover = async (pidFile, dataDir) => {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  if (pid && isAlive(pid) && isOurs(pid, dataDir)) {
    process.kill(pid, 'SIGTERM');
    if (!(await untilGone(pid, 20_000)))
      throw new Stop(`A MariaDB of an earlier start (process ${pid}) does not stop; end it and start again.`);
  }
  rmSync(pidFile, { force: true });
};

/** The folder of a database's socket: a socket path holds 107 characters, so it lives in a short folder of its own, closed to others. */
const socketFolder = (folder, user) =>
  join(tmpdir(), `odograph-${createHash('sha256').update(`${folder} ${user}`).digest('hex').slice(0, 10)}`);

/** Where all of a database on a folder lies, and as whom it runs. */
const placesOf = (folder, as) => {
  const user = as?.name ?? userInfo().username;
  const socketDir = socketFolder(folder, user);
  // temporary tables in a folder of its own: a MariaDB that starts clears away what it takes for leftovers, also another's
  const temporary = join(folder, 'tmp');
  return {
    ...{ folder, as, user, socketDir, temporary },
    dataDir: join(folder, 'data'),
    pidFile: join(folder, 'mariadb.pid'),
    log: join(folder, 'mariadb.log'),
    passwordFile: join(folder, 'password'),
    // how programs reach it is written into files that only this user reads: command lines and their passwords can be read by everybody
    options: join(folder, 'client.cnf'),
    init: join(folder, 'init.sql'),
    socket: join(socketDir, 'db.sock'),
    run: { env: { ...process.env, TMPDIR: temporary }, cwd: folder, ...(as ? { uid: as.uid, gid: as.gid } : {}) },
  };
};

const makeFolders = ({ folder, temporary, socketDir, as }) => {
  try {
    for (const dir of [folder, temporary, socketDir]) mkdirSync(dir, { recursive: true, mode: 0o700 });
    giveTo(as, folder, temporary, socketDir);
  } catch (error) {
    throw new Stop(`The data folder ${folder} cannot be written (${error.code}).`);
  }
};

/** Makes an empty database where there is none: beside, and put in its place whole, so that a start that was killed meanwhile leaves nothing that looks finished. */
const makeData = ({ dataDir, user, run }) => {
  if (existsSync(join(dataDir, 'mysql'))) return;
  const half = `${dataDir}.half`;
  rmSync(half, { recursive: true, force: true });
  rmSync(dataDir, { recursive: true, force: true });
  const made = spawnSync(
    findProgram('mariadb-install-db'),
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${half}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
    ],
    { encoding: 'utf8', ...run },
  );
  if (made.status !== 0) {
    const said = (made.stderr || made.stdout).trim().split('\n');
    const why = said.find((line) => line.includes('ERROR') && !line.includes('Aborting')) ?? said.at(-1);
    throw new Stop(`The database could not be created in ${dataDir}: ${why}`);
  }
  renameSync(half, dataDir);
};

/** Writes how it is reached and what it does first: root only by the socket, the application by name and password. Gives the password. */
const writeAccess = ({ passwordFile, options, init, socket, as }, listen) => {
  if (!existsSync(passwordFile)) writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 });
  const password = readFileSync(passwordFile, 'utf8');
  writeFileSync(options, `[client]\nsocket=${socket}\nuser=odograph\npassword=${password}\n`, { mode: 0o600 });
  writeFileSync(
    init,
    [
      "DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host <> 'localhost');",
      'FLUSH PRIVILEGES;',
      'CREATE DATABASE IF NOT EXISTS odograph CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;',
      ...(listen ? ['localhost', '%'] : ['localhost']).flatMap((from) => [
        `CREATE OR REPLACE USER 'odograph'@'${from}' IDENTIFIED BY '${password}';`,
        `GRANT ALL ON \`odograph%\`.* TO 'odograph'@'${from}';`,
      ]),
      '',
    ].join('\n'),
    { mode: 0o600 },
  );
  giveTo(as, passwordFile, init, options);
  return password;
};

const spawnServer = ({ user, dataDir, socket, pidFile, log, init, run }, { throwAway, listen }) =>
  spawn(
    findProgram('mariadbd'),
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${dataDir}`,
      `--socket=${socket}`,
      ...(listen ? [`--port=${listen.port}`, `--bind-address=${listen.host}`] : ['--skip-networking']),
      '--skip-name-resolve',
      '--skip-log-bin',
      `--pid-file=${pidFile}`,
      `--log-error=${log}`,
      `--init-file=${init}`,
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--innodb-buffer-pool-size=256M',
      '--max-connections=100',
      ...(throwAway
        ? [
            ...['--innodb-flush-log-at-trx-commit=0', '--innodb-doublewrite=0'],
            // tables come and go by the hundred: what is kept about them is in the way of those that change next
            '--innodb-stats-persistent=0',
          ]
        : ['--innodb-flush-log-at-trx-commit=1']),
    ],
    { stdio: 'ignore', detached: true, ...run },
  );

/** Waits until it answers; says why it does not. */
const untilAnswers = async ({ options, log, dataDir }, hasEnded, stop) => {
  const client = findProgram('mariadb');
  const answers = () =>
    spawnSync(client, [`--defaults-file=${options}`, '-e', 'SELECT 1'], { stdio: 'ignore' }).status === 0;
  for (const end = Date.now() + 60_000; !answers(); await pause(60)) {
    if (hasEnded())
      throw new Stop(
        `The database did not start: ${lastErrors(log) || `see ${log}`} Its data in ${dataDir} were left as they are; if they are damaged, put a copy of the folder in their place.`,
      );
    if (Date.now() > end) {
      await stop();
      throw new Stop(`The database did not answer within a minute; see ${log}.`);
    }
  }
};

/**
 * Starts MariaDB on `folder` (made when it is not there) and waits until it answers.
 * `throwAway`: for tests, without waiting for the disk. `listen`: host and port where a second machine is to reach it; otherwise it has its socket only.
 * `as`: the user it runs as. Gives socket, user, password, the file with the options of its clients, and `stop`.
 */
export const startDatabase = async (folder, { throwAway = false, listen, as } = {}) => {
  const places = placesOf(folder, as);
  const { dataDir, pidFile, log, socket, socketDir, options } = places;
  makeFolders(places);
  if (!throwAway) mustHaveRoom(folder);
  await stopLeftover(pidFile, dataDir);
  makeData(places);
  const password = writeAccess(places, listen);
  rmSync(log, { force: true });
  const server = spawnServer(places, { throwAway, listen });
  let ended = false;
  for (const how of ['exit', 'error'])
    server.once(how, () => {
      ended = true;
    });
  const stop = async () => {
    if (ended) return;
    server.kill('SIGTERM');
    if (!(await untilGone(server.pid, 20_000))) server.kill('SIGKILL');
    rmSync(socketDir, { recursive: true, force: true });
  };
  await untilAnswers(places, () => ended, stop);
  return {
    ...{ socket, options, user: 'odograph', password, pid: server.pid, stop },
    onExit: (tell) => server.once('exit', tell),
  };
};

/** How the database on a folder is reached, where it runs; undefined otherwise. */
export const databaseThatRuns = (folder) => {
  const [pidFile, options] = [join(folder, 'mariadb.pid'), join(folder, 'client.cnf')];
  if (!existsSync(pidFile) || !existsSync(options)) return undefined;
  if (!isOurs(Number(readFileSync(pidFile, 'utf8')), join(folder, 'data'))) return undefined;
  const read = (name) => new RegExp(`^${name}=(.*)$`, 'm').exec(readFileSync(options, 'utf8'))[1];
  return { socket: read('socket'), user: read('user'), password: read('password'), options };
};
