import { DEMO_SIZE, expect, frameSaid, openBench, settled, signIn, test } from './support/test.js';
import { frameShown } from './support/strip.js';

const PIECES = [
  ['Lantern Cup, final round', 'lantern-final'],
  ['Lantern Cup, final round', 'lantern-final-phone'],
  ['Harbour Open, second round', 'harbour-open'],
  ['Thursday sparring, third round', 'thursday-round'],
  ['Early room, round without jackets', 'morning-round'],
  ['Guard class: lapels, sweeps, collars', 'guard-class'],
  ['Leg class: into the legs, slowly', 'leg-class'],
] as const;
const MOVES = 50;
const MOVES_AS_IT_CAME = 25;
// nothing is written here: the tests may share the workers
test.describe.configure({ mode: 'parallel' });

/** A repeatable stream of numbers from 0 to 1 (mulberry32). */
const random = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
};

/** Each piece as it was made ready for stepping, and as it came: a browser shows it so until that is done. */
const PLAYED = PIECES.flatMap(([title, file], n) => [
  { title, file, n, moves: MOVES, medium: 'proxy' },
  { title, file, n, moves: MOVES_AS_IT_CAME, medium: 'media' },
]);

for (const { title, file, n, moves, medium } of PLAYED)
  test(`when ${file} (${medium}) is stepped and jumped through, every picture should be exactly the frame that is named`, async ({
    page,
    running,
  }) => {
    test.setTimeout(240_000);
    if (medium === 'media')
      await page.route('**/prepared', (route) => route.fulfill({ json: { proxy: false, look: false, sound: false } }));
    await signIn(page, running.url);
    await openBench(page, title);
    if (file.endsWith('-phone')) await page.getByText(file, { exact: true }).click();
    const phone = page.getByRole('radio', { name: 'lantern-final-phone' });
    if (title === PIECES[1][0]) await expect(phone).toBeChecked({ checked: n === 1 });
    await settled(page);
    const next = random(n + 7);
    const line = (await page.getByRole('slider', { name: 'Frame' }).boundingBox())!;
    const wrong: unknown[] = [];
    const steps = { ArrowRight: 1, ArrowLeft: -1, 'Shift+ArrowRight': 10, 'Shift+ArrowLeft': -10 } as const;
    await expect(page.locator('video')).toHaveAttribute('src', new RegExp(`/${medium}$`));
    for (let move = 0; move < moves; move++) {
      const before = await frameSaid(page);
      let expected: number | undefined;
      if (next() < 0.5) {
        const key = (Object.keys(steps) as (keyof typeof steps)[])[Math.floor(next() * 4)]!;
        await page.keyboard.press(key);
        const last = Number(await page.getByRole('slider', { name: 'Frame' }).getAttribute('aria-valuemax'));
        expected = Math.min(last, Math.max(0, before + steps[key]));
        await page.locator(`[data-testid=picture][data-frame="${expected}"]`).waitFor();
      } else await page.mouse.click(line.x + next() * line.width, line.y + line.height / 2);
      await settled(page);
      const said = await frameSaid(page);
      const shown = await frameShown(page, move % 8 === 0 ? 'screen' : 'video');
      if (shown !== said || (expected !== undefined && said !== expected))
        wrong.push({ move, before, expected, said, shown });
    }
    expect(wrong).toEqual([]);
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
  for (const { id, footageId } of library.angles) {
    await page.goto(`${running.url}/break-down/${footageId}?camera=${id}`);
    await settled(page);
    for (const clip of library.clips.filter((c) => c.angleId === id).sort((a, b) => a.in.frame - b.in.frame)) {
      await page.keyboard.press('ArrowDown');
      await page.locator(`[data-testid=picture][data-settled=true][data-frame="${clip.in.frame}"]`).waitFor();
      expect([clip.id, await frameShown(page)]).toEqual([clip.id, clip.in.frame]);
      await page.keyboard.press('End');
      await page.locator(`[data-testid=picture][data-settled=true][data-frame="${clip.out.frame - 1}"]`).waitFor();
      expect([clip.id, await frameShown(page, 'screen')]).toEqual([clip.id, clip.out.frame - 1]);
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
