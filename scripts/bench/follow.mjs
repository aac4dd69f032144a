// How soon whoever follows sees what whoever leads sees, and whether two hundred shapes on a picture hold anything up.
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../database.mjs';
import { root } from '../paths.mjs';
import { note } from '../say.mjs';
import { DEMO_COACH, asker, signIn, untilDemoMade, up } from './product.mjs';
import { measuredOn, median, part, putSection } from './report.mjs';

const need = createRequire(join(root, 'e2e/package.json'));
const TITLE = 'Harbour Open, second round';
const STEPS = 60;
const SHAPES = 200;
const GOALS = { lagMs: 120, taskMs: 50 };

/** In the page: when keys are pressed, when which frame is shown, and what the browser calls a long task. */
const watch = () => {
  const seen = { frames: {}, keys: [], tasks: [] };
  globalThis.odographSeen = seen;
  const now = () => performance.timeOrigin + performance.now();
  addEventListener('keydown', () => seen.keys.push(now()), true);
  const picture = document.querySelector('[data-testid=picture]');
  new MutationObserver(() => {
    if (picture.getAttribute('data-settled') === 'true') seen.frames[picture.getAttribute('data-frame')] ??= now();
  }).observe(picture, { attributes: true });
  new PerformanceObserver((list) => seen.tasks.push(...list.getEntries().map((e) => e.duration))).observe({
    type: 'longtask',
  });
};
const seenIn = (page) => page.evaluate(() => globalThis.odographSeen);
const at = (page, frame) =>
  page.locator(`[data-testid=picture][data-frame="${frame}"][data-settled=true]`).waitFor({ timeout: 60_000 });

const bench = async (context, url, frame) => {
  const page = await context.newPage();
  await page.goto(`${url}/footage`);
  await page.getByRole('link', { name: `Break down ${TITLE}`, exact: true }).click();
  await page.waitForURL('**/break-down/*');
  await page.goto(`${page.url()}?frame=${frame}`);
  await page.locator('video[src^=blob]').waitFor({ timeout: 60_000 });
  await at(page, frame);
  return page;
};

/** From each key of who leads to the frame of who follows, in ms. */
const lags = async (context, url) => {
  const [first, page] = [100, await bench(context, url, 100)];
  await page.keyboard.press('>');
  const other = await context.newPage();
  await other.goto(`${url}/follow`);
  await at(other, first);
  for (const p of [page, other]) await p.evaluate(watch);
  for (let i = 1; i <= STEPS; i++) {
    await page.keyboard.press('ArrowRight');
    await at(other, first + i);
  }
  const [{ keys }, { frames }] = [await seenIn(page), await seenIn(other)];
  await page.close();
  await other.close();
  return keys.map((pressed, i) => frames[first + i + 1] - pressed);
};

const newId = (i) => `01c29c73-0000-7000-8000-${String(i).padStart(12, '0')}`;
/** Puts two hundred shapes of all kinds on a stretch and steps through it; gives the long tasks meanwhile. */
const tasks = async (context, url, ask) => {
  const { angles, footage } = await ask('GET', '/api/library');
  const { id: footageId } = footage.find((f) => f.title === TITLE);
  const { id: angleId } = angles.find((a) => a.footageId === footageId);
  const kinds = Object.entries({ arrow: 2, line: 8, region: 5, circle: 2, angle: 3, label: 1, number: 1 });
  const shapes = Array.from({ length: SHAPES }, (_, i) => {
    const [kind, points] = kinds[i % kinds.length];
    const spread = (k) => ({ x: ((i * 37 + k * 11) % 100) / 100, y: ((i * 53 + k * 17) % 100) / 100 });
    return {
      ...{ id: newId(i + 10), kind, whose: [null, 'a', 'b'][i % 3], text: kind === 'label' ? `here ${i}` : '' },
      ...{ order: kind === 'number' ? i + 1 : null, points: Array.from({ length: points }, (__, k) => spread(k)) },
    };
  });
  const drawing = { editId: newId(1), id: newId(2), angleId, fromFrame: 210, toFrame: 260, shapes };
  await ask('POST', '/api/drawings', drawing);
  const page = await bench(context, url, 200);
  await page.evaluate(watch);
  for (let frame = 201; frame <= 270; frame++) {
    await page.keyboard.press('ArrowRight');
    await at(page, frame);
  }
  await page.keyboard.press('#');
  await page.keyboard.press('z');
  return (await seenIn(page)).tasks;
};

export const follow = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-follow-'));
  const port = await freePort();
  const product = await up(folder, port);
  try {
    const url = `http://127.0.0.1:${port}`;
    note('Waiting until the demo is ready for stepping …');
    await untilDemoMade(url);
    const ask = asker(url, await signIn(url, ...DEMO_COACH));
    const { chromium } = need('@playwright/test');
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    });
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.request.post(`${url}/api/sign-in`, {
      data: { email: DEMO_COACH[0], password: DEMO_COACH[1] },
      headers: { origin: url },
    });
    const [lag, long] = [await lags(context, url), await tasks(context, url, ask)];
    await browser.close();
    const longest = Math.max(0, ...long);
    const isHeld = (held) => (held ? 'held' : 'missed');
    putSection('npm run bench -- follow', [
      `${measuredOn()} One browser with a window that leads on the bench and one that follows; ${STEPS} single steps, each awaited. Then ${SHAPES} shapes of all kinds over 51 frames of one camera: 70 single steps onto them, across and off them, drawing begun, the picture turned over.`,
      '',
      '| what | measured | goal | |',
      '|---|---|---|---|',
      `| from the key to the follower's frame, median ms | ${median(lag).toFixed(0)} (p95 ${part(lag, 0.95).toFixed(0)}) | ≤ ${GOALS.lagMs} | ${isHeld(median(lag) <= GOALS.lagMs)} |`,
      `| longest task with ${SHAPES} shapes, ms (over ${GOALS.taskMs}: ${long.filter((t) => t > GOALS.taskMs).length}) | ${longest ? longest.toFixed(0) : `none over ${GOALS.taskMs}`} | ≤ ${GOALS.taskMs} | ${isHeld(longest <= GOALS.taskMs)} |`,
    ]);
  } finally {
    await product.down();
    rmSync(folder, { recursive: true, force: true });
  }
};
