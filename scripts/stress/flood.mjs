// npm run stress -- flood: what one asks for in floods, and how long others wait meanwhile.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { untilTakenIn } from '../bench/product.mjs';
import { root } from '../paths.mjs';
import { Stop, note } from '../say.mjs';
import { Clock, Guest, PASSWORD, academyWith, newId, untilReady } from './world.mjs';

const MEMORY_GOAL_MB = 400;
const ME_GOAL_MS = 150;

/** Asks who is signed in, again and again, until told to stop; every answer is noted. */
const asking = (guest, clock, everyMs = 15) => {
  let isOver = false;
  const all = (async () => {
    while (!isOver) {
      await guest.ask('GET', '/api/me', undefined, { clock, kind: 'me' });
      await pause(everyMs);
    }
  })();
  return async () => {
    isOver = true;
    await all;
  };
};

const memoryOf = (pid) => Number(/VmRSS:\s*(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
/** The processes that run a program of the server. */
const running = (program) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/cmdline`, 'latin1').includes(join(root, 'server/dist', program));
      } catch {
        return false;
      }
    });
/** What all of them have together, in MB; one that ends meanwhile counts for nothing. */
const memoryOfAll = (program) =>
  running(program).reduce((sum, pid) => {
    try {
      return sum + memoryOf(pid);
    } catch {
      return sum;
    }
  }, 0);

/** Does something while another academy asks; gives how long its answers took, and the most memory the server had. */
const meanwhile = async (guest, use) => {
  const clock = new Clock();
  const [pid] = running('main.js');
  let [mostMb, besideMb] = [memoryOf(pid), 0];
  const watch = setInterval(() => {
    mostMb = Math.max(mostMb, memoryOf(pid));
    besideMb = Math.max(besideMb, memoryOfAll('map/packing.process.js'));
  }, 100);
  const stop = asking(guest, clock);
  const began = performance.now();
  const done = await use();
  const seconds = (performance.now() - began) / 1000;
  await stop();
  clearInterval(watch);
  return { clock, mostMb, besideMb, seconds, done };
};

const meText = (clock) =>
  `/api/me of another academy ${[0.5, 0.95, 0.99].map((p) => clock.at('me', p).toFixed(0)).join('/')} ms (median/p95/p99 of ${clock.count('me')})`;

const exportsOfL = async (world, other) => {
  note('The library L: making it and taking it in …');
  mkdirSync(join(world.folder, 'waiting'), { recursive: true });
  const made = spawnSync(
    process.execPath,
    [join(root, 'demo/dist/cli/seeded.js'), 'L', '1', join(world.folder, 'waiting/seeded-L.json')],
    { encoding: 'utf8' },
  );
  if (made.status !== 0) throw new Stop(made.stderr);
  await world.product.down();
  const began = performance.now();
  await world.up();
  const answeredS = (performance.now() - began) / 1000;
  await untilTakenIn(world.folder);
  world.say(
    `L (100,000 clips) waits: the server answers after ${answeredS.toFixed(1)} s, all of it is there after ${((performance.now() - began) / 1000).toFixed(0)} s`,
  );
  await world.product.down();
  const again = performance.now();
  await world.up();
  world.say(
    `started once more with L in it, the server answers after ${((performance.now() - again) / 1000).toFixed(1)} s`,
  );
  const guest = new Guest(world.url);
  await guest.enter('/api/sign-in', { email: 'coach@seeded-l.example', password: 'seeded-mat-5' });
  const held = (clock, mostMb) =>
    clock.at('me', 0.99) < ME_GOAL_MS && mostMb < MEMORY_GOAL_MB ? 'held' : '**missed**';
  const goal = `goal p99 under ${ME_GOAL_MS} ms, server under ${MEMORY_GOAL_MB} MB`;
  for (const [what, path] of [
    ['L as JSON', '/api/export/library.json'],
    ['the packed rows of L, cold', '/api/map/rows'],
    ['the map of L as GraphML', '/api/export/map.graphml'],
  ]) {
    note(`${what} …`);
    const { clock, mostMb, besideMb, seconds, done } = await meanwhile(other, () => guest.ask('GET', path));
    if (done.status !== 200) throw new Stop(`${path} gave ${done.status}`);
    world.say(
      `${what}: ${(done.body.length / 1e6).toFixed(1)} MB in ${seconds.toFixed(1)} s; meanwhile ${meText(clock)}, server at most ${mostMb.toFixed(0)} MB, its helper beside it ${besideMb.toFixed(0)} MB; ${goal}: ${held(clock, mostMb)}`,
    );
  }
  note('Eight exports at once …');
  const { clock, mostMb, besideMb, seconds, done } = await meanwhile(other, () =>
    Promise.all(
      Array.from({ length: 8 }, () => new Guest(world.url, guest.cookie).ask('GET', '/api/export/map.graphml')),
    ),
  );
  world.say(
    `eight exports at once: answers ${done.map((d) => d.status).join(' ')} in ${seconds.toFixed(1)} s; meanwhile ${meText(clock)}, server at most ${mostMb.toFixed(0)} MB, its helper beside it ${besideMb.toFixed(0)} MB; ${goal}: ${held(clock, mostMb)}`,
  );
};

const junk = async (world, other) => {
  for (const [what, path, body] of [
    [
      'links that were never made (POST /api/password), 100 connections',
      '/api/password',
      () => ({ token: newId(), password: PASSWORD }),
    ],
    [
      'sign-ins with ever new mails, 100 connections',
      '/api/sign-in',
      () => ({ email: `${newId()}@x.example`, password: PASSWORD }),
    ],
    ['wishes for new passwords, 100 connections', '/api/password-resets', () => ({ email: `${newId()}@x.example` })],
  ]) {
    note(`${what} …`);
    const statuses = new Map();
    const { clock } = await meanwhile(other, async () => {
      const until = Date.now() + 10_000;
      await Promise.all(
        Array.from({ length: 100 }, async () => {
          const guest = new Guest(world.url);
          while (Date.now() < until) {
            const { status } = await guest.ask('POST', path, body());
            statuses.set(status, (statuses.get(status) ?? 0) + 1);
          }
        }),
      );
    });
    world.say(
      `${what}, for 10 s: ${[...statuses].map(([s, n]) => `${n} × ${s}`).join(', ')}; meanwhile ${meText(clock)}`,
    );
  }
};

const stills = async (world, other, academy) => {
  note('A hundred and fifty cold pictures …');
  const own = await academyWith(world.url, world.folder, 2, 10, 'student');
  await untilReady(own);
  const [, student] = own.people;
  const { clock, seconds } = await meanwhile(other, async () => {
    const all = Promise.all(
      Array.from({ length: 150 }, (_, i) =>
        new Guest(world.url, student.cookie).ask('GET', `/api/files/${own.fileId}/stills/${i * 4}.jpg`),
      ),
    );
    await pause(50);
    const began = performance.now();
    await other.ask('GET', `/api/files/${academy.fileId}/stills/333.jpg`);
    const oneMs = performance.now() - began;
    await all;
    world.say(
      `150 cold pictures asked for by one student at once: one of another academy came after ${oneMs.toFixed(0)} ms`,
    );
  });
  world.say(`all 150 after ${seconds.toFixed(1)} s; meanwhile ${meText(clock)}`);
};

const studentsNews = async (world) => {
  note('What one edit costs a student …');
  const guest = new Guest(world.url);
  await guest.enter('/api/sign-in', { email: 'coach@lanternwood.example', password: 'lanternwood-mat-7' });
  const student = new Guest(world.url);
  await student.enter('/api/sign-in', { email: 'student@lanternwood.example', password: 'lanternwood-mat-8' });
  const library = await guest.json('GET', '/api/library');
  const { version } = await student.json('GET', '/api/news/since');
  const [attempt] = library.attempts;
  await guest.json('PATCH', `/api/attempts/${attempt.id}`, {
    editId: newId(),
    baseVersion: attempt.version,
    changes: { depth: ((attempt.depth ?? 0) + 1) % 5 },
  });
  const clock = new Clock();
  const answer = await student.ask('GET', `/api/news/since?version=${version}`, undefined, { clock, kind: 'news' });
  const { whole } = JSON.parse(answer.body);
  world.say(
    `one edit costs each student 1 request, ${(answer.body.length / 1000).toFixed(1)} kB, ${clock.at('news', 0.5).toFixed(0)} ms (the library anew: ${whole})`,
  );
};

export const flood = async (world) => {
  const academy = await academyWith(world.url, world.folder, 1, 10);
  await untilReady(academy);
  await studentsNews(world);
  await stills(world, academy.head, academy);
  await exportsOfL(world, academy.head);
  await junk(world, academy.head);
};
