// The bench for media: stepping through the real screen beside a bare video element on the same file, play slow and backwards, what jobs take.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { freePort } from '../database.mjs';
import { root } from '../paths.mjs';
import { Stop, note } from '../say.mjs';
import { onBareVideo, played, throughScreen } from './moves.mjs';
import { asker, signIn, up } from './product.mjs';
import { measuredOn, median, part, putSection } from './report.mjs';

const need = createRequire(join(root, 'e2e/package.json'));
const ACCOUNT = ['coach@lanternwood.example', 'lanternwood-mat-7'];
const PIECES = [
  ['Harbour Open, second round', 'harbour-open.mp4'],
  ['Early room, round without jackets', 'morning-round.mp4'],
];
const ROUNDS = 3;
const MOVES = 40;
/** As the screen of the bench shows it. */
const SHOWN = { width: 880, height: 525 };
const GOALS = {
  medianMs: 40,
  p95Ms: 100,
  timesBare: 1.5,
  reverse: 24,
  listP95Ms: 200,
  proxyTimes: 2,
  perMinuteS: 10,
  reelS: 180,
};

const random = (seed) => () => {
  seed = (seed * 1664525 + 1013904223) >>> 0;
  return seed / 2 ** 32;
};

/** Frames to go to, one after the other: far away, the next, the one before. */
const movesOf = (frames, seed) => {
  const next = random(seed);
  let at = 0;
  return Array.from({ length: MOVES * 3 }, (_, i) => {
    const kind = ['jump', 'next', 'before'][i % 3];
    at = kind === 'jump' ? 2 + Math.floor(next() * (frames - 4)) : kind === 'next' ? at + 1 : at - 1;
    return { kind, frame: at };
  });
};

const untilReady = async (ask, ids, kinds) => {
  for (;;) {
    const { jobs } = await ask('GET', '/api/under-way');
    const failed = jobs.find((j) => j.state === 'failed');
    if (failed) throw new Stop(`A job failed: ${failed.why}`);
    if (
      ids.every((id) =>
        kinds.every((kind) => jobs.some((j) => j.subjectId === id && j.kind === kind && j.state === 'done')),
      )
    )
      return jobs;
    await pause(100);
  }
};

/** Steps and jumps through one piece, through the screen and on a bare video; then slowly, and backwards. */
const steppedThrough = async ({ url, ask, unpackTimes, context, files, footage, angles }, title, name) => {
  const file = files.find((f) => f.name === name);
  const at = footage.find((f) => f.title === title);
  const angle = angles.find((a) => a.fileId === file.id);
  const answer = await ask('GET', `/api/files/${file.id}/proxy/times`);
  const table = unpackTimes(new Uint8Array(await answer.arrayBuffer()));
  const original = unpackTimes(new Uint8Array(await (await ask('GET', `/api/files/${file.id}/times`)).arrayBuffer()));
  const seconds = [...table.ticks].map((t) => (t * table.timeBaseNum) / table.timeBaseDen);
  const page = await context.newPage();
  const timed = { ours: [], bare: [] };
  const openBench = async () => {
    await page.goto(`${url}/break-down/${at.id}?camera=${angle.id}`);
    await page.locator('[data-testid=picture][data-settled=true]').waitFor();
    await page.locator('video[src^=blob]').waitFor();
  };
  for (let round = 0; round < ROUNDS; round++) {
    const moves = movesOf(file.frames, round + 1);
    await openBench();
    timed.ours.push(...(await page.evaluate(throughScreen, { moves, ticks: [...original.ticks] })));
    await page.goto(`${url}/api/health`);
    timed.bare.push(
      ...(await page.evaluate(onBareVideo, { moves, seconds, src: `/api/files/${file.id}/proxy`, size: SHOWN })),
    );
  }
  const rows = [];
  for (const kind of ['jump', 'next', 'before']) {
    const of = (list) => list.filter((t) => t.kind === kind).map((t) => t.ms);
    rows.push({ name, kind, ours: of(timed.ours), bare: of(timed.bare) });
  }
  await openBench();
  await page.keyboard.press('s');
  await page.keyboard.press('s');
  const slow = await page.evaluate(played, 6000);
  const skipped = (frames, by) => frames.slice(1).filter((f, i) => f !== frames[i] + by).length;
  await page.keyboard.press('s');
  await page.keyboard.press('End');
  await page.locator(`[data-testid=picture][data-settled=true][data-frame="${file.frames - 1}"]`).waitFor();
  await page.keyboard.press('r');
  const back = await page.evaluate(played, 6000);
  const notes = [
    `${name} at a quarter of the speed: ${slow.frames.length} frames one after the other, ${skipped(slow.frames, 1)} left out, ${slow.perSecond.toFixed(1)} a second of ${(file.frames / file.seconds / 4).toFixed(1)}`,
    `${name} backwards: ${back.perSecond.toFixed(1)} frames a second, ${skipped(back.frames, -1)} left out; goal ≥ ${GOALS.reverse}: ${back.perSecond >= GOALS.reverse && !skipped(back.frames, -1) ? 'held' : '**missed**'}`,
  ];
  await page.close();
  return { rows, notes };
};

const stepping = async (url, ask, unpackTimes) => {
  const { chromium } = need('@playwright/test');
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const rows = [];
  const notes = [];
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.request.post(`${url}/api/sign-in`, {
      data: { email: ACCOUNT[0], password: ACCOUNT[1] },
      headers: { origin: url },
    });
    const { files, footage, angles } = await ask('GET', '/api/library');
    for (const [title, name] of PIECES) {
      const found = await steppedThrough({ url, ask, unpackTimes, context, files, footage, angles }, title, name);
      rows.push(...found.rows);
      notes.push(...found.notes);
    }
  } finally {
    await browser.close();
  }
  return { rows, notes };
};

/** Made-up footage with the noise that a camera has: a piece of the demo, over and over. */
const film = (path, { seconds, filter, coded }) => {
  const made = spawnSync('ffmpeg', [
    ...['-nostdin', '-v', 'error', '-y', '-stream_loop', '-1', '-i', join(root, 'demo/footage/guard-class.mp4')],
    ...[
      '-t',
      String(seconds),
      '-vf',
      `${filter},noise=alls=5:allf=t`,
      '-c:v',
      'libx264',
      ...coded,
      '-c:a',
      'aac',
      path,
    ],
  ]);
  if (made.status !== 0) throw new Stop(String(made.stderr));
  return path;
};

/** Has a file made ready and looks on every 20 ms; gives seconds by kind of job, and what `look` gave each time while its proxy was made. */
const madeReady = async (ask, bytes, name, newId, look) => {
  const id = newId();
  await ask('PUT', `/api/files/${id}?name=${name}`, bytes, { 'content-type': 'application/octet-stream' });
  const state = new Map();
  const seen = [];
  for (;;) {
    const one = await look(id);
    const { from, to } = state.get('proxy') ?? {};
    if (from !== undefined && to === undefined) seen.push({ ...one, afterS: (performance.now() - from) / 1000 });
    const { jobs: all } = await ask('GET', '/api/under-way');
    for (const job of all.filter((j) => j.subjectId === id)) {
      const known = state.get(job.kind) ?? {};
      if (job.state === 'running') known.from ??= performance.now();
      if (job.state === 'done') known.to ??= performance.now();
      if (job.state === 'failed') throw new Stop(JSON.stringify(job.why));
      state.set(job.kind, known);
    }
    if (['proxy', 'look', 'sound'].every((kind) => state.get(kind)?.to !== undefined)) break;
    await pause(20);
  }
  const took = (kind) => (state.get(kind).to - (state.get(kind).from ?? state.get(kind).to)) / 1000;
  return { id, took, seen };
};

/** A minute and a half as a good camera writes it, in a container that no browser plays: what making it ready takes beside decoding it, and when one can begin. */
const heavyFilm = async (ask, folder, newId) => {
  const seconds = 90;
  note('Making a minute and a half of 1080 lines …');
  const path = film(join(folder, 'wide.ts'), {
    seconds,
    filter: 'scale=1920:1080,fps=60',
    coded: ['-preset', 'superfast', '-b:v', '16M', '-minrate', '16M', '-maxrate', '16M', '-bufsize', '16M'],
  });
  const megabits = (statSync(path).size * 8) / 1e6 / seconds;
  note('Making it ready …');
  const { took, seen } = await madeReady(ask, readFileSync(path), 'wide.ts', newId, (id) =>
    ask('GET', `/api/files/${id}/prepared`),
  );
  const began = performance.now();
  const decoded = spawnSync('nice', ['-n', '10', 'ffmpeg', '-nostdin', '-v', 'error', '-i', path, '-f', 'null', '-']);
  if (decoded.status !== 0) throw new Stop(String(decoded.stderr));
  const decodingS = (performance.now() - began) / 1000;
  const first = seen.find((one) => one.readyFrames > 0);
  const all = took('proxy') + took('look');
  return [
    `${seconds} s of 1920×1080, 60 frames a second, ${megabits.toFixed(0)} Mbit/s: proxy, strip, movement and cuts in ${all.toFixed(0)} s, ${(seconds / all).toFixed(1)} × real time; decoding it once more and nothing else takes ${decodingS.toFixed(0)} s`,
    first
      ? `of these a browser plays none; the bench begins after ${first.afterS.toFixed(0)} s with ${first.readyFrames} frames`
      : 'no part of it was there before the whole: **missed**',
  ];
};

/** Cuts a reel of twenty clips out of a file; gives the seconds it took and the frames that are in it. */
const reelOf = async (ask, folder, newId, id) => {
  const [angleId, footageId] = [newId(), newId()];
  const athlete = (name) => ({ id: newId(), name });
  await ask('POST', '/api/footage', {
    editId: newId(),
    id: footageId,
    angleId,
    fileId: id,
    title: 'A minute',
    setting: 'training',
    gi: true,
    athleteA: athlete('Orla Venn'),
    athleteB: athlete('Sten Abara'),
  });
  const clips = Array.from({ length: 20 }, (_, i) => ({
    attempt: { id: newId(), subject: 'a' },
    clip: { id: newId(), angleId, inFrame: i * 80, outFrame: i * 80 + 210 },
  }));
  await ask('POST', '/api/clips/many', { editId: newId(), clips });
  note('Cutting a reel …');
  const cut = newId();
  const began = performance.now();
  await ask('POST', '/api/cuts', { id: cut, clipIds: clips.map((c) => c.clip.id), format: 'mp4' });
  await untilReady(ask, [cut], ['cut']);
  const reelS = (performance.now() - began) / 1000;
  const reel = join(folder, 'reel.mp4');
  writeFileSync(reel, Buffer.from(await (await ask('GET', `/api/cuts/${cut}`)).arrayBuffer()));
  const counted = spawnSync(
    'ffprobe',
    [
      '-v',
      'error',
      '-select_streams',
      'v',
      '-count_frames',
      '-show_entries',
      'stream=nb_read_frames',
      '-of',
      'csv=p=0',
      reel,
    ],
    { encoding: 'utf8' },
  ).stdout.trim();
  return { reelS, counted };
};

const jobs = async (url, ask, folder, newId) => {
  const notes = [];
  const say = (what, value, goal, holds) =>
    notes.push(`${what}: ${value}; goal ${goal}: ${holds ? 'held' : '**missed**'}`);
  note('Making a minute of 720 lines …');
  const path = film(join(folder, 'minute.mp4'), {
    seconds: 60,
    filter: 'scale=1280:720',
    coded: ['-preset', 'veryfast', '-crf', '22'],
  });
  note('Making it ready …');
  const { id, took, seen } = await madeReady(ask, readFileSync(path), 'minute.mp4', newId, async () => {
    const began = performance.now();
    await (await fetch(`${url}/api/library/base`, { headers: { cookie: ask.cookie } })).arrayBuffer();
    return { listMs: performance.now() - began };
  });
  const list = seen.map((one) => one.listMs);
  say(
    'a proxy of a minute of 1280×720',
    `${took('proxy').toFixed(1)} s, ${(60 / took('proxy')).toFixed(1)} × real time`,
    `≥ ${GOALS.proxyTimes} ×`,
    60 / took('proxy') >= GOALS.proxyTimes,
  );
  const rest = took('look') + took('sound');
  say(
    'picture strip, activity, cuts and sound of a minute',
    `${rest.toFixed(1)} s (${took('look').toFixed(1)} and ${took('sound').toFixed(1)})`,
    `≤ ${GOALS.perMinuteS} s`,
    rest <= GOALS.perMinuteS,
  );
  say(
    'the footage list while the proxy is made',
    `median ${median(list).toFixed(0)} ms, 95 % within ${part(list, 0.95).toFixed(0)} ms (${list.length} times)`,
    `≤ ${GOALS.listP95Ms} ms`,
    part(list, 0.95) <= GOALS.listP95Ms,
  );
  const { reelS, counted } = await reelOf(ask, folder, newId, id);
  say(
    '20 clips of seven seconds in 1280×720 cut out as one MP4',
    `${reelS.toFixed(0)} s, ${counted} of ${20 * 210} frames`,
    `≤ ${GOALS.reelS} s, every frame`,
    reelS <= GOALS.reelS && Number(counted) === 4200,
  );
  return [...notes, ...(await heavyFilm(ask, folder, newId))];
};

export const media = async () => {
  const { unpackTimes } = await import(join(root, 'core/dist/index.js'));
  const { v7: newId } = need('uuid');
  const folder = mkdtempSync(join(tmpdir(), 'odograph-bench-'));
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const product = await up(folder, port);
  try {
    const cookie = await signIn(url, ...ACCOUNT);
    const ask = Object.assign(asker(url, cookie), { cookie });
    note('Waiting until the demo is ready for stepping …');
    const { files } = await ask('GET', '/api/library');
    await untilReady(
      ask,
      files.map((f) => f.id),
      ['proxy', 'look'],
    );
    note('Stepping …');
    const stepped = await stepping(url, ask, unpackTimes);
    const made = await jobs(url, ask, folder, newId);
    const NAMES = { jump: 'a jump by the line', next: 'a frame on', before: 'a frame back' };
    const ms = (list) => `${median(list).toFixed(0)} / ${part(list, 0.95).toFixed(0)}`;
    const lines = [
      `${measuredOn()} Stepping: through the real screen, beside a bare video element on the same proxy of 360 lines, turn about in one run; milliseconds, median / 95 % within, ${ROUNDS * MOVES} times each.`,
      '',
      '| on | | Odograph | bare video | medians | goal | |',
      '|---|---|---|---|---|---|---|',
      ...stepped.rows.map(({ name, kind, ours, bare }) => {
        const times = median(ours) / median(bare);
        const holds = times <= GOALS.timesBare && median(ours) <= GOALS.medianMs && part(ours, 0.95) <= GOALS.p95Ms;
        return `| ${name} | ${NAMES[kind]} | ${ms(ours)} | ${ms(bare)} | ${times.toFixed(2)} × | ≤ ${GOALS.timesBare} ×, ≤ ${GOALS.medianMs} / ${GOALS.p95Ms} | ${holds ? 'held' : '**missed**'} |`;
      }),
      '',
      ...[...stepped.notes, ...made].map((n) => `- ${n}`),
    ];
    putSection('npm run bench -- media', lines);
    note(lines.join('\n'));
  } finally {
    await product.down();
    rmSync(folder, { recursive: true, force: true });
  }
};
