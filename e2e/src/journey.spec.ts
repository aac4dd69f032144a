import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readGraphml } from './support/graphml.js';
import { impliedLines, type ImpliedLine } from './support/implied.js';

import { Running } from './support/running.js';
import { frameShown } from './support/strip.js';
import { expect, frameSaid, saved, settled, signIn, test, type Page } from './support/test.js';
import { madeOf } from './support/video.js';

const ROOT = join(import.meta.dirname, '../..');
const KNOWN_FRAME = 250;

/** Types into the part of the phrase that has the hand, and takes what stands first. */
const say = async (page: Page, part: string, text: string): Promise<void> => {
  await expect(page.getByRole('combobox', { name: part })).toBeFocused();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
};

const goToFrame = async (page: Page, frame: number): Promise<void> => {
  for (let at = await frameSaid(page); at !== frame; at = await frameSaid(page)) {
    const by = frame - at;
    await page.keyboard.press(`${Math.abs(by) >= 10 ? 'Shift+' : ''}${by > 0 ? 'ArrowRight' : 'ArrowLeft'}`);
    await page.locator(`[data-testid=picture][data-settled=true]:not([data-frame="${at}"])`).waitFor();
  }
};

const lineOf = ({
  from,
  action,
  to,
  count,
  attempts,
  successes,
}: Record<string, string> | ImpliedLine): ImpliedLine => ({
  from: from,
  action: action,
  to: to,
  count: Number(count),
  attempts: Number(attempts),
  successes: Number(successes),
});
const inOrder = (lines: readonly ImpliedLine[]): ImpliedLine[] =>
  [...lines].sort((a, b) => (`${a.from} ${a.action} ${a.to}` < `${b.from} ${b.action} ${b.to}` ? -1 : 1));

test('when an instructor does the whole job once, with a restart in the middle, nothing should be missing at the end', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const running = await Running.start();
  try {
    await signIn(page, running.url);

    // take a file in, by keyboard from the form on
    await page.getByTestId('file-picker').setInputFiles(madeOf('lantern-final', 'club-evening.mp4'));
    await expect(page.getByTestId('taking-in')).toContainText('1,084 frames');
    const form = page.getByRole('form', { name: 'Who’s who?' });
    await form.getByLabel('Title').fill('Club evening, first round');
    await form.getByLabel('First athlete (us)').fill('Orla Venn');
    await form.getByLabel('Second athlete (them)').fill('Sten Abara');
    await form.getByText('every attempt, both sides').click();
    await page.keyboard.press('Enter');
    await page.waitForURL('**/break-down/*');
    await settled(page);

    // step to a known frame, mark in and out
    await goToFrame(page, KNOWN_FRAME);
    expect(await frameShown(page, 'screen')).toBe(KNOWN_FRAME);
    await page.keyboard.press('i');
    await goToFrame(page, KNOWN_FRAME + 40);
    await page.keyboard.press('o');

    // say it, by keyboard only: abbreviations, aliases, a slip of the key
    await say(page, 'From position', 'meia guarda top');
    await say(page, 'Grips', 'r arm underhook');
    await say(page, 'Grips', 'lh slevee');
    await page.keyboard.press('Enter');
    await say(page, 'Entry', 'knee slcie');
    await say(page, 'Their reaction', 'framing');
    await page.keyboard.press('Enter');
    await say(page, 'Finish', 'mount top');
    await say(page, 'Result', 'ok');
    await saved(page).waitFor();
    const clip = page.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem');
    await expect(clip).toContainText(
      'Orla Venn from half guard, top with right arm underhook and left hand on their sleeve, knee-through pass; they frame; ends in mount, top, worked',
    );
    await expect(page.getByTestId('clip-count')).toHaveText('1 clip');

    // undo and say it again
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect(clip).toContainText('result not said');
    await expect(page.getByTestId('clip-count')).toContainText('1 draft');
    await page.getByRole('combobox', { name: 'Result' }).click();
    await say(page, 'Result', 'worked');
    await saved(page).waitFor();

    // the server is restarted; what was saved is there
    const address = page.url();
    expect(await running.down()).toBe(0);
    await running.up();
    await page.goto(address);
    await expect(clip).toContainText('knee-through pass; they frame; ends in mount, top, worked');

    // find it by an alias
    await page.getByRole('navigation').getByRole('link', { name: 'Clips' }).click();
    await page.getByRole('heading', { name: 'Clips', exact: true }).waitFor();
    await page.getByRole('combobox', { name: 'Entry' }).click();
    await say(page, 'Entry', 'knee cut');
    await page.getByRole('combobox', { name: 'Position' }).click();
    await say(page, 'Position', 'one leg caught top');
    await expect(page.getByTestId('clips-shown')).toHaveText('2 of 67');
    await expect(page.getByRole('listitem').filter({ hasText: 'Orla Venn' })).toHaveCount(1);
    await page.getByRole('link', { name: /Orla Venn from half guard/ }).click();
    await page.locator(`[data-testid=picture][data-settled=true][data-frame="${KNOWN_FRAME}"]`).waitFor();
    expect(await frameShown(page)).toBe(KNOWN_FRAME);

    // see it on the map, and its clip on the spot
    await page.getByRole('navigation').getByRole('link', { name: 'Map' }).click();
    await expect(page.getByTestId('map-totals')).toContainText('29 attempts on 54 lines');
    await page.getByRole('button', { name: 'half guard, top', exact: true }).focus();
    await page.keyboard.press('Enter');
    await page
      .getByRole('complementary', { name: 'half guard, top' })
      .getByRole('button', { name: /knee-through pass to mount, top/ })
      .click();
    await expect(page.getByTestId('on-the-spot')).toContainText('Orla Venn');
    await page.locator('[data-testid=on-the-spot] [data-testid=picture][data-playing=true]').waitFor();

    // two places: a route between them
    await page.getByRole('link', { name: 'Routes to any submission' }).click();
    const route = page.getByTestId('route').filter({ hasText: 'mount' });
    await expect(route).toContainText('2 steps');
    await route.getByRole('link', { name: 'Play it' }).click();

    // play it to the end: each clip loops until one goes on
    await expect(page.getByTestId('step')).toHaveText('step 1 of 2');
    await settled(page);
    const frames = new Set<number>();
    for (
      let i = 0;
      i < 200 && !(frames.has(KNOWN_FRAME) && frames.size > 20 && Math.max(...frames) >= KNOWN_FRAME + 35);
      i++
    ) {
      frames.add(await frameSaid(page));
      await page.evaluate(() => new Promise(requestAnimationFrame));
    }
    expect([...frames].every((f) => f >= KNOWN_FRAME && f <= KNOWN_FRAME + 41)).toBe(true);
    await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('step')).toHaveText('step 2 of 2');
    await expect(page.getByRole('note', { name: 'Caution' })).toContainText('Caution, straight armlock');
    await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('route-over')).toContainText('whole route');

    // take it out: the map is what the scripts of the bouts imply, and the one line that was said here
    const folder = mkdtempSync(join(tmpdir(), 'odograph-out-'));
    const take = async (name: string, file: string): Promise<string> => {
      await page.getByRole('button', { name: 'Lanternwood Grappling Room' }).click();
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('menuitem', { name }).click(),
      ]);
      await download.saveAs(join(folder, file));
      return readFileSync(join(folder, file), 'utf8');
    };
    const graph = readGraphml(await take('Save the map as GraphML', 'map.graphml'));
    const own = {
      from: ['half-guard', 'top'],
      action: 'knee-through',
      finish: { state: ['mount', 'top'] },
      result: 'success',
    } as const;
    expect(inOrder(graph.edges.map(lineOf))).toEqual(inOrder(impliedLines([own])));

    // and the analysis of the exported library, without server or browser, is the same map
    await take('Save the library as JSON', 'library.json');
    execFileSync(
      process.execPath,
      [
        join(ROOT, 'scripts/analyse.mjs'),
        '--library',
        join(folder, 'library.json'),
        '--out',
        folder,
        '--route',
        'half-guard/top to any submission',
      ],
      { cwd: ROOT },
    );
    // but for what its lines met, which only the analysis goes into
    const analysed = readFileSync(join(folder, 'map.graphml'), 'utf8');
    expect(analysed).toContain('edge-met');
    expect(analysed.replaceAll(/^.*"edge-(?:met|opened)".*\n/gm, '')).toBe(
      await (await page.request.get(`${running.url}/api/export/map.graphml`)).text(),
    );
    const analysis = JSON.parse(readFileSync(join(folder, 'analysis.json'), 'utf8')) as {
      routes: { best: { places: string[] }[] }[];
    };
    expect(analysis.routes[0]!.best.map((r) => r.places)).toContainEqual([
      'half-guard/top',
      'mount/top',
      'won:straight-armlock',
    ]);
  } finally {
    await running.dispose();
  }
});

test('when the demo map is exported, it should be exactly what the scripts of the bouts imply', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const xml = await (await page.request.get(`${running.url}/api/export/map.graphml`)).text();
  const graph = readGraphml(xml);
  expect(inOrder(graph.edges.map(lineOf))).toEqual(inOrder(impliedLines()));
  const places = new Set(impliedLines().flatMap((l) => [l.from, l.to]));
  expect(new Set(graph.nodes.map((n) => n['id']))).toEqual(places);
  for (const node of graph.nodes)
    expect([node['id'], node['terminal']]).toEqual([node['id'], String(!node['id']!.includes('/'))]);
});
