import { readFileSync } from 'node:fs';
import { frameShown } from './support/strip.js';
import { takeIn, untilMade } from './support/takeIn.js';
import { madeOf, numbersIn } from './support/video.js';
import { expect, frameSaid, openAbout, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

test.use({ product: 'written' });
test.describe.configure({ mode: 'serial' });

/** Goes to a frame by its number. */
const goTo = async (page: Page, frame: number): Promise<void> => {
  await page.keyboard.press('g');
  await page.getByLabel('Go to').fill(`#${frame}`);
  await page.keyboard.press('Enter');
  await expect.poll(() => frameSaid(page)).toBe(frame);
  await settled(page);
};
/** Marks the frames [from, to) and asks what they are. */
const mark = async (page: Page, from: number, to: number): Promise<void> => {
  await page.keyboard.press('n');
  await goTo(page, from);
  await page.keyboard.press('i');
  await goTo(page, to - 1);
  await page.keyboard.press('x');
  await expect(page.getByTestId('span')).toContainText('is what?');
};
const technical = (page: Page) => page.getByTestId('technical');

test('when a stretch is no technique, it should not be counted, be passed over in play, and be taken off again', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Thursday sparring, third round');
  await openAbout(page);
  await expect(technical(page)).toContainText('Technique 0:29 of 0:29');
  await mark(page, 100, 350);
  await page.keyboard.press('3');
  await expect(page.getByTestId('span').getByRole('button', { name: 'dead time' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  // 250 frames of a rate that varies, some thirty a second
  const left = async (): Promise<number> =>
    Number(/Technique 0:(\d\d)/.exec((await technical(page).textContent())!)![1]);
  expect(await left()).toBeLessThan(22);
  await saved(page).waitFor();
  await page.keyboard.press('Escape');
  await goTo(page, 90);
  const seen: number[] = [];
  await page.exposeFunction('noteFrame', (frame: number) => seen.push(frame));
  await page.evaluate(() => {
    const picture = document.querySelector('[data-testid=picture]')!;
    new MutationObserver(() =>
      (window as unknown as { noteFrame: (n: number) => void }).noteFrame(Number(picture.getAttribute('data-frame'))),
    ).observe(picture, { attributes: true, attributeFilter: ['data-frame'] });
  });
  await page.keyboard.press(' ');
  await expect.poll(() => seen.at(-1) ?? 0).toBeGreaterThan(352);
  await page.keyboard.press(' ');
  await settled(page);
  // at full speed one frame of what is left out may flash by before it is left, a later one where the machine is slow
  expect(new Set(seen.filter((f) => f >= 100 && f < 350)).size).toBeLessThanOrEqual(1);
  expect(await frameShown(page, 'screen')).toBe(await frameSaid(page));
  // begun inside, it is shown
  await goTo(page, 200);
  const before = seen.length;
  await page.keyboard.press(' ');
  await expect.poll(() => seen.at(-1)).toBeGreaterThan(205);
  await page.keyboard.press(' ');
  expect(new Set(seen.slice(before).filter((f) => f > 200 && f < 350)).size).toBeGreaterThan(1);
  await settled(page);
  await page.keyboard.press('x');
  await page.keyboard.press('Delete');
  await expect(technical(page)).toContainText('Technique 0:29 of 0:29');
  await saved(page).waitFor();
});

test('when a stretch of picked footage is logged throughout, its attempts should give rates', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const rated = async (): Promise<number> => {
    await page.goto(`${running.url}/map`);
    const says = page.getByTestId('map-totals');
    await expect(says).toContainText(/attempts/);
    return Number(/^(\d+) attempts/.exec((await says.textContent())!)![1]);
  };
  const before = await rated();
  await page.goto(`${running.url}/footage`);
  await openBench(page, 'Thursday sparring, third round');
  await mark(page, 0, 600);
  await page.getByTestId('span').getByRole('button', { name: 'logged throughout' }).click();
  await saved(page).waitFor();
  expect(await rated()).toBeGreaterThan(before);
});

test('when a stretch is a replay, it should be a camera of its own, lined up by instants that are seen on both', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Early room, round without jackets');
  await mark(page, 600, 900);
  await page.keyboard.press('4');
  const camera = page.getByRole('radio', { name: 'morning-round, replay' });
  await expect(camera).toBeAttached();
  await page.keyboard.press('Escape');
  // two instants: what it shows at its frames 640 and 840 was at 120 and 220, half as fast
  for (const [here, there] of [
    [120, 640],
    [220, 840],
  ] as const) {
    await goTo(page, here);
    await page.getByRole('button', { name: 'Remember this instant' }).click();
    await page.keyboard.press('c');
    await expect(page.getByTestId('line-up')).toContainText('Find the remembered instant');
    await goTo(page, there);
    await page.keyboard.press('m');
    await expect(page.getByTestId('line-up')).toContainText('Lined up by');
    await page.keyboard.press('c');
    await expect(page.getByRole('button', { name: 'Remember this instant' })).toBeVisible();
    await settled(page);
  }
  // sixty frames a second: between the two instants the replay shows what was in the middle
  await goTo(page, 170);
  await page.keyboard.press('c');
  await expect(page.getByTestId('line-up')).toContainText('50 % of the speed');
  await settled(page);
  await expect.poll(async () => Math.abs((await frameSaid(page)) - 740)).toBeLessThanOrEqual(1);
  // it ends where it ends
  await page.keyboard.press('End');
  await expect.poll(() => frameSaid(page)).toBe(899);
  await page.keyboard.press('Home');
  await expect.poll(() => frameSaid(page)).toBe(600);
  await page.getByRole('button', { name: 'Remove this camera' }).click();
  await expect(camera).not.toBeAttached();
});

test('when a stretch of a file shows other footage, that should go on the shelf with just those frames', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Guard class: lapels, sweeps, collars');
  await mark(page, 300, 400);
  await page.keyboard.press('5');
  await page.getByRole('combobox', { name: 'Which' }).selectOption({ label: 'footage that isn’t here yet' });
  const sheet = page.getByRole('form', { name: 'Who’s who?' });
  await expect(sheet).toContainText('Frames 300 to 399 of guard-class.mp4');
  await sheet.getByLabel('Title').fill('A breakdown in the middle');
  await sheet.getByLabel('First athlete').fill('Orla Venn');
  await sheet.getByLabel('Second athlete').fill('Sten Abara');
  await sheet.getByText('highlights only').click();
  await sheet.getByRole('button', { name: 'Add to library' }).click();
  await page.waitForURL('**/break-down/*');
  await expect.poll(() => frameSaid(page)).toBe(300);
  await settled(page);
  expect(await frameShown(page, 'screen')).toBe(300);
  await page.keyboard.press('End');
  await expect.poll(() => frameSaid(page)).toBe(399);
  await settled(page);
  expect(await frameShown(page, 'screen')).toBe(399);
});

test('when the clip in hand is saved as a video, it should hold exactly its frames', async ({ page, running }) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await page.keyboard.press('ArrowDown');
  await settled(page);
  const from = await frameSaid(page);
  await page.keyboard.press('End');
  await expect.poll(() => frameSaid(page)).toBeGreaterThan(from);
  await settled(page);
  const last = await frameSaid(page);
  await openAbout(page);
  await page.getByRole('combobox', { name: 'Kind of video' }).selectOption('webm');
  await page.getByRole('button', { name: 'Save this clip as a video' }).click();
  const take = page.getByRole('link', { name: 'Take the video' });
  await expect(take).toBeVisible({ timeout: 60_000 });
  const video = await (await page.request.get(`${running.url}${await take.getAttribute('href')}`)).body();
  expect(numbersIn(video)).toEqual(Array.from({ length: last - from + 1 }, (_, i) => from + i));
});

test('when nothing moves for a while, that should be asked about, and not be counted once it is said to be dead time', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const film = madeOf(
    'leg-class',
    'rest.mp4',
    ['-vf', 'tpad=stop_mode=clone:stop_duration=6', '-c:v', 'libx264', '-preset', 'ultrafast', '-an'],
    ['-t', '5'],
  );
  const { file, bench } = await takeIn(page.request, running.url, 'With a rest', readFileSync(film));
  await untilMade(page.request, running.url, file.id, 'look');
  await page.goto(running.url + bench);
  await settled(page);
  await openAbout(page);
  await expect(technical(page)).toContainText('Technique 0:11 of 0:11');
  await technical(page).getByRole('button', { name: 'Look for lulls' }).click();
  const span = page.getByTestId('span');
  await expect(span).toContainText('moves little');
  // it begins where the pictures stop, after five seconds of 25
  await expect.poll(async () => Math.abs((await frameSaid(page)) - 125)).toBeLessThanOrEqual(5);
  await page.keyboard.press('3');
  await expect(technical(page)).toContainText('Technique 0:05 of 0:11');
  await saved(page).waitFor();
  await expect(page.getByRole('status').filter({ hasText: 'No unlogged lull of three seconds' })).toBeVisible();
});

test('when the line is pointed at, a picture of that time should stand there', async ({ page, running }) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await expect(page.getByTestId('over-activity')).toBeAttached();
  const box = (await page.getByTestId('line').boundingBox())!;
  await page.mouse.move(box.x + 640, box.y + 40);
  await expect(page.getByTestId('pointed')).toBeVisible();
  await page.mouse.move(box.x + 640, box.y - 300);
  await expect(page.getByTestId('pointed')).toHaveCount(0);
});
