// How smoothly a map moves under the hand: larger, smaller, dragged; at rest, with as many places as it shows at most, and round a place that is picked.
// M, and W: a map with more than 500 places and some 5,600 lines.
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../database.mjs';
import { root } from '../paths.mjs';
import { Stop, note } from '../say.mjs';
import { untilDemoMade, untilIdle, untilTakenIn, up } from './product.mjs';
import { measuredOn, median, putSection } from './report.mjs';

const need = createRequire(join(root, 'e2e/package.json'));
const SIZES = ['M', 'W'];
const accountOf = (size) => ({ email: `coach@seeded-${size.toLowerCase()}.example`, password: 'seeded-mat-5' });
const TIMES = 5;
const GOALS = { atRest: 50, atMost: 10, completeMs: 300, taskMs: 50 };

/** In the page: waits until nothing has held it up for a second: the rest of the library has come. */
const untilQuiet = async () => {
  let lastAt = performance.now();
  const watch = new PerformanceObserver(() => (lastAt = performance.now()));
  watch.observe({ type: 'longtask' });
  while (performance.now() - lastAt < 1000) await new Promise((next) => setTimeout(next, 50));
  watch.disconnect();
};

/** In the page: pictures a second while it is made larger and smaller, and dragged, without a pause for so long; and the longest task meanwhile. */
const moved = async (ms) => {
  const frame = document.querySelector('[data-testid=map-frame]');
  const { left, top, width, height } = frame.getBoundingClientRect();
  const at = { clientX: left + width / 3, clientY: top + height / 2, ctrlKey: true, bubbles: true, cancelable: true };
  const tasks = [];
  const watch = new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration)));
  watch.observe({ type: 'longtask' });
  const began = performance.now();
  let pictures = 0;
  while (performance.now() - began < ms) {
    const way = Math.floor((performance.now() - began) / 500) % 2 ? 40 : -40;
    frame.dispatchEvent(new WheelEvent('wheel', { ...at, deltaY: way }));
    frame.scrollBy(way / 4, way / 4);
    await new Promise((next) => requestAnimationFrame(next));
    pictures++;
  }
  const took = performance.now() - began;
  await new Promise((next) => setTimeout(next, 100));
  watch.disconnect();
  return { perSecond: (1000 * pictures) / took, longestMs: Math.round(Math.max(0, ...tasks)) };
};

/** In the page: the slider is moved along to its end; from its last move, when nothing on the map changes any more, in ms, and the longest task until then. */
const slid = async () => {
  const slider = document.querySelector('input[type=range]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const tasks = [];
  const held = new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration)));
  held.observe({ type: 'longtask' });
  let changedAt = performance.now();
  const watch = new MutationObserver(() => (changedAt = performance.now()));
  watch.observe(document.querySelector('[data-testid=map]'), { childList: true, subtree: true, attributes: true });
  for (let value = Number(slider.value); value < Number(slider.max); value += 4) {
    set.call(slider, String(Math.min(value + 4, Number(slider.max))));
    slider.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((next) => requestAnimationFrame(next));
  }
  const stood = performance.now();
  while (performance.now() - Math.max(stood, changedAt) < 1000) await new Promise((next) => setTimeout(next, 20));
  watch.disconnect();
  held.disconnect();
  return { completeMs: Math.max(0, Math.round(changedAt - stood)), slidMs: Math.round(Math.max(0, ...tasks)) };
};

const measured = async (url, size) => {
  const { chromium } = need('@playwright/test');
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.request.post(`${url}/api/sign-in`, { data: accountOf(size), headers: { origin: url } });
    const runs = [];
    for (let i = 0; i < TIMES; i++) {
      const page = await context.newPage();
      await page.goto(`${url}/map`);
      await page.locator('[data-place]').first().waitFor();
      await page.evaluate(untilQuiet);
      const lines = () => page.locator('[data-line]').count();
      const said = await page.evaluate(() =>
        [document.querySelector('label:has(input[type=range])'), document.querySelector('[data-testid=map-totals]')]
          .map((e) => e.textContent.trim())
          .join('; '),
      );
      const rest = { lines: await lines(), ...(await page.evaluate(moved, 2000)) };
      const { completeMs, slidMs } = await page.evaluate(slid);
      const full = { lines: await lines(), ...(await page.evaluate(moved, 2000)) };
      await page.locator('[data-place]').first().press('Enter');
      await page.locator('aside').first().waitFor();
      await page.evaluate(untilQuiet);
      const near = { lines: await lines(), ...(await page.evaluate(moved, 2000)) };
      runs.push({ said, rest, completeMs, slidMs, full, near });
      await page.close();
    }
    return runs;
  } finally {
    await browser.close();
  }
};

const held = (is) => (is ? 'held' : '**missed**');

/** What was measured of one map, as lines of the report. */
const reported = (size, runs) => {
  const of = (pick) => runs.map(pick);
  const rates = (pick) =>
    `${median(of(pick)).toFixed(0)} (${of(pick)
      .map((n) => n.toFixed(0))
      .join(', ')})`;
  const moves = [
    ['at rest', 'rest', GOALS.atRest],
    ['slider at its end', 'full', GOALS.atMost],
    ['round a place that is picked', 'near', GOALS.atRest],
  ];
  const tasks = [
    ['while it was moved at rest', of((r) => r.rest.longestMs)],
    ['while the slider moved to its end', of((r) => r.slidMs)],
    ['with the slider there', of((r) => r.full.longestMs)],
    ['round a place', of((r) => r.near.longestMs)],
  ];
  const complete = of((r) => r.completeMs);
  const rate = (key) => median(of((r) => r[key].perSecond));
  const longest = Math.max(...tasks.map(([, ms]) => median(ms)));
  return {
    lines: [
      `The map of ${size} (${runs[0].said}) at 1280×800, made larger and smaller with the wheel and dragged for 2 s without a pause, ${TIMES} times; medians, and each time.`,
      '',
      ...moves.map(
        ([said, key, goal]) =>
          `- ${said}, ${runs[0][key].lines} strokes: ${rates((r) => r[key].perSecond)} pictures a second; goal ${goal}: ${held(rate(key) >= goal)}`,
      ),
      `- complete ${median(complete)} ms (${complete.join(', ')}) after the slider stood still at its end; goal ${GOALS.completeMs}: ${held(median(complete) <= GOALS.completeMs)}`,
      `- longest task ${tasks.map(([said, ms]) => `${said}: ${median(ms)} ms (${ms.join(', ')})`).join('; ')}; 0 = none over 50 ms; goal ${GOALS.taskMs}: ${held(longest <= GOALS.taskMs)}`,
    ],
    short: `${size}: ${moves.map(([, key]) => rate(key).toFixed(0)).join(', ')} pictures a second; complete after ${median(complete)} ms; longest task ${longest} ms`,
  };
};

/** npm run bench -- map */
export const mapMoves = async () => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-map-'));
  const port = await freePort();
  const waiting = join(folder, 'waiting');
  mkdirSync(waiting, { recursive: true });
  for (const size of SIZES) {
    const out = join(waiting, `seeded-${size}.json`);
    const made = spawnSync(process.execPath, [join(root, 'demo/dist/cli/seeded.js'), size, '1', out]);
    if (made.status !== 0) throw new Stop(String(made.stderr));
  }
  const product = await up(folder, port);
  try {
    note(`Taking ${SIZES.join(' and ')} in …`);
    await untilTakenIn(folder);
    await untilDemoMade(`http://127.0.0.1:${port}`);
    await untilIdle();
    const section = [];
    for (const size of SIZES) {
      note(`Moving the map of ${size} …`);
      const { lines, short } = reported(size, await measured(`http://127.0.0.1:${port}`, size));
      section.push('', ...lines);
      note(short);
    }
    putSection('npm run bench -- map', [measuredOn(), ...section]);
  } finally {
    await product.down();
    rmSync(folder, { recursive: true, force: true });
  }
};
