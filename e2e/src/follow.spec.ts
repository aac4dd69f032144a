import { slowness } from './support/slowness.js';
import { COACH, expect, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

test.use({ product: 'detail' });

const picture = (page: Page) => page.getByTestId('picture');
const frameOf = async (page: Page): Promise<number> => Number(await picture(page).getAttribute('data-frame'));

/** From now on, notes when keys are pressed, and when which frame is shown, by the clock of the machine. */
const note = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const log: { frames: Record<string, number>; keys: number[] } = { frames: {}, keys: [] };
    const now = (): number => performance.timeOrigin + performance.now();
    Object.assign(window, { log });
    window.addEventListener('keydown', () => log.keys.push(now()), true);
    const shown = document.querySelector('[data-testid=picture]')!;
    new MutationObserver(() => {
      if (shown.getAttribute('data-settled') === 'true') log.frames[shown.getAttribute('data-frame')!] ??= now();
    }).observe(shown, { attributes: true });
  });
type Noted = { readonly frames: Record<string, number>; readonly keys: readonly number[] };
const noted = (page: Page): Promise<Noted> => page.evaluate(() => (window as unknown as { log: Noted }).log);

test('when a second browser follows the bench, it should be right at once however late it comes, go along, look for itself and come back, and get the wheel it asks for', async ({
  page,
  browser,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowDown');
  await settled(page);
  await page.keyboard.press('>');
  const lead = page.getByTestId('lead-line');
  await expect(lead).toContainText('You lead: nobody follows yet');
  await page.keyboard.press('z');
  await page.keyboard.press('s');

  // who comes late is right at once: frame, mirror, speed and loop
  const context = await browser.newContext();
  const other = await context.newPage();
  await signIn(other, running.url, COACH);
  await other.goto(`${running.url}/follow`);
  await expect(lead).toContainText('1 window follows');
  await expect(other.getByTestId('lead-line')).toContainText('Maren Oxblood leads');
  await expect.poll(() => frameOf(other)).toBe(await frameOf(page));
  await expect(picture(other)).toHaveAttribute('data-mirrored', 'true');
  await page.keyboard.press('z');
  await expect(picture(other)).toHaveAttribute('data-mirrored', 'false');

  // from key to the follower's frame
  await Promise.all([note(page), note(other)]);
  const first = await frameOf(page);
  const STEPS = 15;
  for (let i = 1; i <= STEPS; i++) {
    await page.keyboard.press('ArrowRight');
    await expect(picture(other)).toHaveAttribute('data-frame', String(first + i));
    await expect(picture(other)).toHaveAttribute('data-settled', 'true');
  }
  const [{ keys }, { frames }] = await Promise.all([noted(page), noted(other)]);
  const lags = keys.map((at, i) => frames[String(first + i + 1)]! - at).sort((a, b) => a - b);
  expect(lags).toHaveLength(STEPS);
  expect(lags[Math.floor(STEPS / 2)]! / slowness()).toBeLessThan(120);

  // a drawing and the pointer go along; words and shapes come by the library
  await page.keyboard.press('#');
  await page.keyboard.press('Enter');
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Enter');
  await expect(other.getByTestId('drawn').locator('[data-shape=arrow]')).toBeVisible();
  await page.keyboard.press('Escape');
  const box = (await picture(page).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  const dot = other.getByTestId('pointer');
  await expect.poll(async () => Number(await dot.getAttribute('cx')) > 0).toBe(true);

  // back to where we were: one keeps the instant, goes on, and brings both back
  await page.keyboard.press('<');
  const kept = await frameOf(page);
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(() => frameOf(other)).toBe(kept + 30);
  await page.keyboard.press('<');
  await expect.poll(() => frameOf(other)).toBe(kept);

  // the other looks for itself, and comes back by one key
  await other.keyboard.press('ArrowRight');
  await other.keyboard.press('ArrowRight');
  await expect.poll(() => frameOf(other)).toBe(kept + 2);
  await expect(other.getByTestId('lead-line')).toContainText('looking for yourself');
  await other.keyboard.press('b');
  await expect.poll(() => frameOf(other)).toBe(kept);

  // the wheel is asked for and given; then it is the bench that follows nobody, and the other who leads
  await other.getByRole('button', { name: 'Ask for the wheel' }).click();
  await lead.getByRole('button', { name: 'Give it' }).click();
  await expect(other.getByTestId('lead-line')).toContainText('You lead');
  await expect(lead.getByRole('button', { name: 'Ask for the wheel' })).toBeVisible();
  const third = await context.newPage();
  await third.goto(`${running.url}/follow`);
  await expect.poll(() => frameOf(third)).toBe(kept);
  await other.bringToFront();
  await picture(other).click();
  await other.keyboard.press('ArrowRight');
  await third.bringToFront();
  await expect.poll(() => frameOf(third)).toBe(kept + 1);
  await saved(page).waitFor();

  // a route that is played leads too: whoever follows sees each step's clip as it is looked at
  await other.getByTestId('lead-line').getByRole('button', { name: 'Stop' }).click();
  await page.goto(`${running.url}/routes/play?from=clinch/even&to=any&route=0`);
  await page.bringToFront();
  await settled(page);
  await page.keyboard.press('>');
  await expect(page.getByTestId('lead-line')).toContainText('You lead');
  const seen: number[] = [];
  for (const step of ['1', '2']) {
    await expect(page.getByTestId('step')).toContainText(step);
    await expect(picture(page)).toHaveAttribute('data-playing', 'true');
    await page.keyboard.press(' ');
    await expect(picture(page)).toHaveAttribute('data-playing', 'false');
    await settled(page);
    seen.push(await frameOf(page));
    await expect.poll(() => frameOf(third)).toBe(seen.at(-1));
    await page.keyboard.press('ArrowRight');
  }
  expect(seen[1]).not.toBe(seen[0]);
  await context.close();
});
