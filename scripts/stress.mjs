// npm run stress: what takes too long for npm test. A file of 3 GB sent while server and database are killed; many files at once over a bad connection; workers killed over and over.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { asker, signIn, up } from './bench/product.mjs';
import { measuredOn, putSection } from './bench/report.mjs';
import { build } from './build.mjs';
import { freePort } from './database.mjs';
import { needPrograms } from './machine.mjs';
import { needPackages } from './packages.mjs';
import { root } from './paths.mjs';
import { coaches } from './stress/coaches.mjs';
import { flood } from './stress/flood.mjs';
import { Stop, main, note } from './say.mjs';

const { v7: newId } = createRequire(join(root, 'e2e/package.json'))('uuid');
const ACCOUNT = ['coach@lanternwood.example', 'lanternwood-mat-7'];
const MB = 2 ** 20;
const LARGE = 3 * 1024 * MB;
const PIECE = 16 * MB;
const MEMORY_GOAL_MB = 300;
const AT_ONCE = 8;
const BROKEN_EVERY = 3;
const WORKER_KILLS = 12;

const childrenOf = (pid) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((name) => {
      try {
        return readFileSync(`/proc/${name}/stat`, 'utf8').split(') ')[1]?.split(' ')[1] === String(pid);
      } catch {
        return false;
      }
    })
    .map(Number);

/** The process of the product that runs a file of the server. */
const processOf = (product, file) =>
  childrenOf(product.pid).find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes(`server/dist/${file}`));

/** Resident memory of a process in MB; 0 where it is gone. */
const memoryOf = (pid) => {
  try {
    return Number(/VmRSS:\s*(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;
  } catch {
    return 0;
  }
};

/** Watches the memory of a process from now on; gives the most it took. */
const watched = (pid) => {
  let most = memoryOf(pid);
  const timer = setInterval(() => (most = Math.max(most, memoryOf(pid))), 100);
  return () => {
    clearInterval(timer);
    return most;
  };
};

const text = (of) => Buffer.from(of).toString('base64');
const TUS = { 'tus-resumable': '1.0.0' };

/** A video that is as long as asked for: after its pictures comes a box of nothing in particular. Each is another file. */
class LongFile {
  constructor(bytes) {
    this.video = readFileSync(join(root, 'demo/footage/leg-class.mp4'));
    this.bytes = bytes;
    const head = Buffer.alloc(16);
    head.writeUInt32BE(1, 0);
    head.write('free', 4);
    head.writeBigUInt64BE(BigInt(bytes - this.video.length), 8);
    this.start = Buffer.concat([this.video, head]);
    this.filling = randomBytes(MB);
  }

  /** The bytes [from, to). */
  piece(from, to) {
    const out = Buffer.alloc(to - from);
    for (let at = from; at < to;) {
      const [source, begin] =
        at < this.start.length ? [this.start, at] : [this.filling, (at - this.start.length) % this.filling.length];
      at += source.copy(out, at - from, begin, Math.min(source.length, begin + to - at));
    }
    return out;
  }

  hash() {
    const hash = createHash('sha256');
    for (let at = 0; at < this.bytes; at += PIECE) hash.update(this.piece(at, Math.min(this.bytes, at + PIECE)));
    return hash.digest('hex');
  }
}

const begin = (ask, id, name, size) =>
  ask('POST', '/api/incoming', undefined, {
    ...TUS,
    'upload-length': String(size),
    'upload-metadata': `id ${text(id)},name ${text(name)}`,
  });
const offsetOf = async (ask, id) =>
  Number((await ask('HEAD', `/api/incoming/${id}`, undefined, TUS)).headers.get('upload-offset'));
const send = (ask, id, offset, bytes) =>
  ask('PATCH', `/api/incoming/${id}`, bytes, {
    ...TUS,
    'upload-offset': String(offset),
    'content-type': 'application/offset+octet-stream',
  });
const untilTaken = async (ask, id) => {
  for (;;) {
    const { uploads } = await ask('GET', '/api/under-way');
    const found = uploads.find((u) => u.id === id);
    if (found?.state === 'refused') throw new Stop(found.why);
    if (found?.state === 'taken') return found;
    await pause(200);
  }
};

/** Ends server and database of the product by `kill -9`. */
const killHard = async (product, folder) => {
  process.kill(processOf(product, 'main.js'), 'SIGKILL');
  process.kill(Number(readFileSync(join(folder, 'db/mariadb.pid'), 'utf8')), 'SIGKILL');
  await product.gone;
};

const large = async (world) => {
  note('A file of 3 GB …');
  const file = new LongFile(LARGE);
  const id = newId();
  const idle = memoryOf(processOf(world.product, 'main.js'));
  let most = 0;
  let isWatched = watched(processOf(world.product, 'main.js'));
  const began = performance.now();
  await begin(world.ask, id, 'three gigabytes.mp4', LARGE);
  const kills = [LARGE / 3, (LARGE * 2) / 3];
  let [at, away] = [0, 0];
  while (at < LARGE) {
    if (kills.length && at >= kills[0]) {
      kills.shift();
      const from = performance.now();
      most = Math.max(most, isWatched());
      // in the middle of a piece
      const broken = send(world.ask, id, at, file.piece(at, at + PIECE)).catch(() => undefined);
      await pause(60);
      await killHard(world.product, world.folder);
      await broken;
      await world.up();
      isWatched = watched(processOf(world.product, 'main.js'));
      at = await offsetOf(world.ask, id);
      away += performance.now() - from;
      continue;
    }
    await send(world.ask, id, at, file.piece(at, Math.min(LARGE, at + PIECE)));
    at = Math.min(LARGE, at + PIECE);
  }
  most = Math.max(most, isWatched());
  const sentS = (performance.now() - began - away) / 1000;
  const worker = processOf(world.product, 'worker.js');
  const [workerIdle, workerWatched] = [memoryOf(worker), watched(worker)];
  const read = performance.now();
  await world.ask('POST', `/api/uploads/${id}/done`, { sha256: file.hash() });
  const { frames } = await untilTaken(world.ask, id);
  const readS = (performance.now() - read) / 1000;
  const workerMost = workerWatched();
  const over = [most - idle, workerMost - workerIdle];
  world.say(
    `a file of 3 GB in pieces of 16 MB, server and database killed twice on the way: ${sentS.toFixed(0)} s (${(LARGE / MB / sentS).toFixed(0)} MB a second, without the two starts), checked by its hash and read in ${readS.toFixed(0)} s, ${frames} frames`,
  );
  world.say(
    `resident memory meanwhile: server at most ${over[0].toFixed(0)} MB above its ${idle.toFixed(0)} MB at rest, worker ${over[1].toFixed(0)} MB above ${workerIdle.toFixed(0)} MB; goal under ${MEMORY_GOAL_MB} MB: ${over.every((mb) => mb < MEMORY_GOAL_MB) ? 'held' : '**missed**'}`,
  );
};

const many = async (world) => {
  note('Many files at once over a bad connection …');
  const began = performance.now();
  let breaks = 0;
  const one = async (n) => {
    const file = new LongFile(60 * MB);
    const id = newId();
    await begin(world.ask, id, `at once ${n}.mp4`, file.bytes);
    for (let [at, piece] = [0, 0]; at < file.bytes; piece++) {
      const bytes = file.piece(at, Math.min(file.bytes, at + 4 * MB));
      if (piece % BROKEN_EVERY === 1) {
        breaks++;
        const broken = new AbortController();
        const lost = fetch(`${world.url}/api/incoming/${id}`, {
          method: 'PATCH',
          headers: {
            cookie: world.cookie,
            ...TUS,
            'upload-offset': String(at),
            'content-type': 'application/offset+octet-stream',
          },
          body: bytes,
          signal: broken.signal,
        }).catch(() => undefined);
        await pause(10);
        broken.abort();
        await lost;
      } else await send(world.ask, id, at, bytes).catch(() => undefined);
      at = await offsetOf(world.ask, id).catch(() => at);
    }
    await world.ask('POST', `/api/uploads/${id}/done`, { sha256: file.hash() });
    return untilTaken(world.ask, id);
  };
  const taken = await Promise.all(Array.from({ length: AT_ONCE }, (_, n) => one(n)));
  world.say(
    `${AT_ONCE} files of 60 MB at once, the connection broken ${breaks} times in the middle of a piece: all taken in, each the same by its hash (${taken.filter((t) => t.frames === 722).length} of ${AT_ONCE} with all 722 frames), ${((performance.now() - began) / 1000).toFixed(0)} s`,
  );
};

const killedWorkers = async (world) => {
  note('Killing workers …');
  const { files } = await world.ask('GET', '/api/library');
  const began = performance.now();
  let kills = 0;
  const told = async () => (await world.ask('GET', '/api/under-way')).jobs;
  for (;;) {
    const all = await told();
    const failed = all.filter((j) => j.state === 'failed');
    if (failed.length) throw new Stop(`A job failed: ${failed[0].why}`);
    const running = all.some((j) => j.state === 'running');
    if (kills < WORKER_KILLS && running) {
      await pause(700);
      const worker = processOf(world.product, 'worker.js');
      if (worker) {
        process.kill(worker, 'SIGKILL');
        kills++;
      }
      // the lease of what it did runs out after 15 s; jobs are begun three times at most
      await pause(kills % 2 ? 16_500 : 25_000);
      continue;
    }
    const ready = await Promise.all(files.map(({ id }) => world.ask('GET', `/api/files/${id}/prepared`)));
    if (ready.every((r) => r.proxy && r.look)) break;
    await pause(500);
  }
  const jobs = await told();
  world.say(
    `the worker killed ${kills} times while files were made ready: ${files.length} of ${files.length} ready, ${jobs.filter((j) => j.state === 'failed').length} jobs failed, ${((performance.now() - began) / 1000).toFixed(0)} s`,
  );
};

/** All journeys, also those that npm test leaves out, each looking at all it can; and the tests of the server that look at a part otherwise. */
const thoroughly = ({ say }) => {
  note('All journeys, every kind of video, many steps; a worker killed in each kind of job …');
  const began = performance.now();
  const run = spawnSync(
    process.execPath,
    [
      join(root, 'node_modules/@playwright/test/cli.js'),
      'test',
      '--config',
      'e2e/playwright.config.ts',
      '--reporter',
      'json',
    ],
    { cwd: root, encoding: 'utf8', maxBuffer: 2 ** 28, env: { ...process.env, ODOGRAPH_THOROUGH: '1' } },
  );
  const compared = spawnSync(
    process.execPath,
    [join(root, 'node_modules/jest/bin/jest.js'), 'server/src/jobs', 'server/src/demo'],
    {
      cwd: root,
      encoding: 'utf8',
      env: { ...process.env, ODOGRAPH_THOROUGH: '1' },
    },
  );
  if (compared.status !== 0) throw new Stop(compared.stderr.slice(-4000));
  const { stats } = JSON.parse(run.stdout.slice(run.stdout.indexOf('{')));
  const moves = 7 * 60 + 3 * 40 + 8 * 60 + 5 * 40;
  say(
    `${moves.toLocaleString()} steps and jumps through the screen on the demo's files and eight further kinds, 130 edges of clips, a worker killed in each kind of job, the database killed under one, two servers and two workers: ${stats.expected} of ${stats.expected + stats.unexpected} journeys passed, ${((performance.now() - began) / 1000).toFixed(0)} s`,
  );
  if (stats.unexpected) throw new Stop(run.stdout.slice(-4000));
};

const STRESSES = {
  /** What takes too long for npm test: a large file, many over a bad line, killed workers. */
  files: async (world) => {
    await killedWorkers(world);
    await large(world);
    await many(world);
  },
  journeys: thoroughly,
  coaches,
  flood,
};

main(async () => {
  needPrograms(['mariadbd', 'ffmpeg', 'ffprobe', 'chromium']);
  needPackages();
  build();
  const folder = mkdtempSync(join(tmpdir(), 'odograph-stress-'));
  const port = await freePort();
  const lines = [];
  const world = {
    folder,
    url: `http://127.0.0.1:${port}`,
    say: (line) => {
      lines.push(`- ${line}`);
      note(line);
    },
    up: async () => {
      world.product = await up(folder, port);
      world.cookie = await signIn(world.url, ...ACCOUNT);
      world.ask = asker(world.url, world.cookie);
    },
  };
  // those who are invented here all come from one address
  process.env.ODOGRAPH_SIGN_IN_TRIES ??= '1000';
  await world.up();
  try {
    const which = process.argv[2] ?? 'files';
    const stress = STRESSES[which];
    if (!stress) throw new Stop(`There is ${Object.keys(STRESSES).join(', ')}, and no "${which}".`);
    await stress(world);
    putSection(which === 'files' ? 'npm run stress' : `npm run stress -- ${which}`, [measuredOn(), '', ...lines]);
  } finally {
    await world.product.down();
    rmSync(folder, { recursive: true, force: true });
  }
});
