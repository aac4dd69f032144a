import { DEMO_SIZE, expect, frameSaid, openBench, settled, signIn, test } from './support/test.js';
import { stepAround } from './support/stepAround.js';
import { frameShown } from './support/strip.js';
import { isThorough } from './support/thorough.js';

const PIECES = [
  ['Lantern Cup, final round', 'lantern-final'],
  ['Lantern Cup, final round', 'lantern-final-phone'],
  ['Harbour Open, second round', 'harbour-open'],
  ['Thursday sparring, third round', 'thursday-round'],
  ['Early room, round without jackets', 'morning-round'],
  ['Guard class: lapels, sweeps, collars', 'guard-class'],
  ['Leg class: into the legs, slowly', 'leg-class'],
] as const;
const MOVES = isThorough ? 60 : 16;
const MOVES_AS_IT_CAME = isThorough ? 40 : 12;
// nothing is written here: the tests may share the workers
test.describe.configure({ mode: 'parallel' });

/** The pieces in two lots, one for each worker; three of them, one of each way of timing, also as they came: a browser shows them so until more is made. */
const ALL_LOTS = [
  { medium: 'proxy', moves: MOVES, files: ['lantern-final', 'lantern-final-phone', 'harbour-open', 'thursday-round'] },
  { medium: 'proxy', moves: MOVES, files: ['morning-round', 'guard-class', 'leg-class'] },
  { medium: 'media', moves: MOVES_AS_IT_CAME, files: ['harbour-open', 'thursday-round', 'morning-round'] },
] as const;
/** A constant and a variable rate, once each. */
const SOME_LOTS = [
  { medium: 'proxy', moves: MOVES, files: ['lantern-final-phone', 'thursday-round'] },
  { medium: 'media', moves: MOVES_AS_IT_CAME, files: ['harbour-open'] },
] as const;
const LOTS = isThorough ? ALL_LOTS : SOME_LOTS;

for (const { medium, moves, files } of LOTS)
  test(`when ${files.join(', ')} (${medium}) are stepped and jumped through, every picture should be exactly the frame that is named`, async ({
    page,
    running,
  }) => {
    test.setTimeout(300_000);
    if (medium === 'media')
      await page.route('**/prepared', (route) =>
        route.fulfill({ json: { proxy: false, look: false, sound: false, isThinned: false } }),
      );
    await signIn(page, running.url);
    for (const file of files) {
      const n = PIECES.findIndex((piece) => piece[1] === file);
      await page.getByRole('link', { name: 'Footage', exact: true }).click();
      await openBench(page, PIECES[n]![0]);
      if (file.endsWith('-phone')) await page.getByText(file, { exact: true }).click();
      const phone = page.getByRole('radio', { name: 'lantern-final-phone' });
      if (file.startsWith('lantern-final')) await expect(phone).toBeChecked({ checked: file.endsWith('-phone') });
      await settled(page);
      // what was made for stepping is played out of the browser's own store
      await expect(page.locator('video')).toHaveAttribute('src', medium === 'proxy' ? /^blob:/ : /\/media$/);
      await stepAround(page, { moves, seed: n + 7 });
    }
  });

test('when any clip is opened, its first and its last frame should be exactly those that are kept', async ({
  page,
  running,
}) => {
  test.setTimeout(300_000);
  await signIn(page, running.url);
  const library = (await (await page.request.get(`${running.url}/api/library`)).json()) as {
    clips: { id: string; angleId: string; in: { frame: number }; out: { frame: number } }[];
    angles: { id: string; footageId: string }[];
  };
  expect(library.clips).toHaveLength(DEMO_SIZE[1]);
  // where there is time, each of them; otherwise those of two cameras, one with a clock of its own
  const cameras = isThorough
    ? library.angles
    : library.angles.filter((a) => [3, 15].includes(library.clips.filter((c) => c.angleId === a.id).length));
  expect(cameras.length).toBe(isThorough ? 7 : 2);
  for (const { id, footageId } of cameras) {
    await page.goto(`${running.url}/break-down/${footageId}?camera=${id}`);
    await settled(page);
    for (const clip of library.clips.filter((c) => c.angleId === id).sort((a, b) => a.in.frame - b.in.frame)) {
      await page.keyboard.press('ArrowDown');
      await page.locator(`[data-testid=picture][data-settled=true][data-frame="${clip.in.frame}"]`).waitFor();
      expect([clip.id, await frameShown(page)]).toEqual([clip.id, clip.in.frame]);
      await page.keyboard.press('End');
      await page.locator(`[data-testid=picture][data-settled=true][data-frame="${clip.out.frame - 1}"]`).waitFor();
      const by = isThorough ? 'screen' : 'video';
      expect([clip.id, await frameShown(page, by)]).toEqual([clip.id, clip.out.frame - 1]);
    }
  }
});

test('when a clip is looped at a quarter of the speed, no frame should be left out, and none outside it be shown', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Thursday sparring, third round');
  await page.keyboard.press('ArrowDown');
  await settled(page);
  await page.keyboard.press('s');
  await page.keyboard.press('s');
  await expect(page.getByTestId('manner')).toContainText('quarter speed');
  const from = await frameSaid(page);
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    const picture = document.querySelector('[data-testid=picture]')!;
    new MutationObserver(() => frames.push(Number(picture.getAttribute('data-frame')))).observe(picture, {
      attributeFilter: ['data-frame'],
    });
  });
  await page.keyboard.press(' ');
  await page.waitForFunction(() => (window as unknown as { frames: number[] }).frames.length >= 20);
  await page.keyboard.press(' ');
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames);
  expect(frames.slice(0, 20)).toEqual(Array.from({ length: 20 }, (_, i) => from + 1 + i));
});
