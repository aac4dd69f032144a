import { createHash } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { frameShown } from './support/strip.js';
import {
  DEMO_SIZE,
  expect,
  frameSaid,
  libraryOf,
  openBench,
  settled,
  signIn,
  test,
  type Page,
} from './support/test.js';
import { madeOf, numbersIn } from './support/video.js';

test.use({ product: 'intake' });

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
const row = (page: Page, name: string) => page.locator('[data-coming]').filter({ hasText: name });

/** Lets files leave the page no faster than so many bytes a second. */
const slowly = async (page: Page, bytesPerS: number): Promise<void> => {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 5,
    downloadThroughput: -1,
    uploadThroughput: bytesPerS,
  });
};

test('when three odd files are dropped at once and the server is killed in the middle, each should go on where it was', async ({
  page,
  running,
}) => {
  test.setTimeout(240_000);
  const cut = ['-t', '3'];
  const files = [
    madeOf('harbour-open', 'IMG_0418.MOV', ['-c:v', 'libx265', '-x265-params', 'log-level=error', '-c:a', 'aac'], cut),
    madeOf('morning-round', 'old camera.avi', ['-c:v', 'mpeg4', '-q:v', '4', '-an'], cut),
    madeOf('thursday-round', 'recorder.ts', ['-c:v', 'libx264', '-preset', 'veryfast', '-an'], cut),
  ];
  await signIn(page, running.url);
  await expect(page.getByRole('link', { name: /^Break down / })).toHaveCount(DEMO_SIZE[0]);
  const least = Math.min(...files.map((path) => statSync(path).size));
  await slowly(page, least / 3);
  await page.getByTestId('file-picker').setInputFiles(files);
  await expect(row(page, 'recorder.ts')).toContainText('Waits for its turn');
  await expect(row(page, 'IMG_0418.MOV')).toContainText(/MB of .* a second|kB of .* a second/);
  await running.killHard();
  await expect(row(page, 'IMG_0418.MOV')).toContainText('No connection');
  await running.up();
  // the page goes on by itself; left and opened again, the files are chosen once more
  await expect(row(page, 'IMG_0418.MOV')).toContainText('a second', { timeout: 60_000 });
  await page.reload();
  const broken = row(page, 'IMG_0418.MOV');
  await expect(broken).toContainText('Broke off at');
  await slowly(page, -1);
  await page.getByTestId('file-picker').setInputFiles(files);
  for (const [path, frames] of [
    ['IMG_0418.MOV', 90],
    ['old camera.avi', 180],
    ['recorder.ts', null],
  ] as const)
    await expect(row(page, path)).toContainText(
      frames === null ? /Taken in: \d+ frames/ : `Taken in: ${frames} frames`,
      {
        timeout: 60_000,
      },
    );
  expect(await page.locator('[data-coming]').count()).toBe(3);
  const library = (await (await page.request.get(`${running.url}/api/library`)).json()) as {
    files: { id: string; name: string; sha256: string }[];
  };
  const taken = files.map((path) => library.files.find((f) => f.sha256 === sha256(readFileSync(path)))!);
  expect(taken.map((f) => f?.name)).toEqual(['IMG_0418.MOV', 'old camera.avi', 'recorder.ts']);

  // what no browser shows is shown from what was made of it, frame for frame, also when the worker was killed meanwhile
  running.killWorker();
  await row(page, 'IMG_0418.MOV').getByRole('button', { name: 'Say what it is' }).click();
  const form = page.getByRole('form', { name: 'Who’s who?' });
  await form.getByLabel('First athlete (us)').fill('Orla Venn');
  await form.getByLabel('Second athlete (them)').fill('Sten Abara');
  await form.getByText('every attempt, both sides').click();
  await page.keyboard.press('Enter');
  await page.waitForURL('**/break-down/*');
  await page.locator('[data-testid=picture][data-settled=true]').waitFor({ timeout: 90_000 });
  for (const press of ['ArrowRight', 'Shift+ArrowRight', 'Shift+ArrowRight', 'ArrowLeft', 'End', 'ArrowLeft']) {
    await page.keyboard.press(press);
    await settled(page);
    expect(await frameShown(page, 'screen')).toBe(await frameSaid(page));
  }
  expect(await frameSaid(page)).toBe(88);
});

test('when a file comes that is here already, it should be offered as what it is', async ({ page, running }) => {
  await signIn(page, running.url);
  await page.getByTestId('file-picker').setInputFiles(join(import.meta.dirname, '../../demo/footage/guard-class.mp4'));
  const here = row(page, 'guard-class.mp4');
  await expect(here).toContainText('This file is already here');
  await here.getByRole('link', { name: /^Go to “Guard class/ }).click();
  await page.waitForURL('**/break-down/*');
});

test('when a second camera is taken in, it should be lined up from the sound, and the instant stay when cameras change', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const file = madeOf('lantern-final-phone', 'from the corner.mp4');
  await page.getByTestId('file-picker').setInputFiles(file);
  // a single file opens its sheet at once; this one is no footage of its own
  await page.getByRole('form', { name: 'Who’s who?' }).getByRole('button', { name: 'Cancel' }).click();
  const coming = row(page, 'from the corner.mp4');
  await expect(coming).toContainText('Taken in');
  await coming.getByRole('combobox', { name: 'Another camera of' }).selectOption({ label: 'Lantern Cup, final round' });
  await page.waitForURL('**/break-down/*camera=*');
  await settled(page);
  const panel = page.getByTestId('line-up');
  await expect(panel).toContainText('0.000 s after lantern-final');
  await expect(async () => {
    await panel.getByRole('button', { name: 'Find it from the sound' }).click();
    await expect(panel).toContainText('Found.', { timeout: 3000 });
  }).toPass({ timeout: 60_000 });
  const startsAt = async (): Promise<number> =>
    Number(/Starts ([\d.]+) s after/.exec((await panel.textContent())!)![1]);
  const starts = await startsAt();
  expect(Math.abs(starts - 3.72)).toBeLessThan(1 / 30);
  // a frame by hand, and back
  await page.keyboard.press('.');
  await expect.poll(async () => Math.abs((await startsAt()) - starts - 1 / 30)).toBeLessThan(0.002);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => Math.abs((await startsAt()) - starts)).toBeLessThan(0.002);
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  const before = await frameSaid(page);
  const mine = new URL(page.url()).searchParams.get('camera')!;
  await page.getByText('lantern-final', { exact: true }).click();
  await page.waitForURL((url) => !url.href.includes(mine));
  await settled(page);
  // the first camera films 25 a second and began that much earlier
  await expect.poll(async () => Math.abs((await frameSaid(page)) / 25 - (starts + before / 30))).toBeLessThan(1 / 25);
  await settled(page);
  expect(await frameShown(page, 'screen')).toBe(await frameSaid(page));
});

test('when the clock is noted once, a reading should lead to its frame, and a reel of clips be read off its strip', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  await page.keyboard.press('t');
  await page.getByLabel('The clock shows').fill('2:00');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('match-clock')).toHaveText('2:00 left');
  await page.keyboard.press('g');
  await page.getByLabel('Go to').fill('1:48 left');
  await page.keyboard.press('Enter');
  await settled(page);
  await expect(page.getByTestId('match-clock')).toHaveText('1:48 left');
  // twelve seconds of 30000/1001 frames
  expect(Math.abs((await frameSaid(page)) - (12 * 30_000) / 1001)).toBeLessThanOrEqual(1);
  expect(await frameShown(page, 'screen')).toBe(await frameSaid(page));
  await page.keyboard.press('t');
  await page.getByLabel('The clock shows').fill('1:40');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('clock-here').getByRole('alert')).toContainText('don’t agree');

  await page.goto(`${running.url}/clips?text=${encodeURIComponent('Thursday sparring')}`);
  await page.getByRole('button', { name: 'Save as a video' }).click();
  const take = page.getByRole('link', { name: 'Take the video' });
  await expect(take).toBeVisible({ timeout: 60_000 });
  const library = await libraryOf(page, running.url);
  const ids = await page.locator('[data-clip]').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-clip')));
  const expected = ids.flatMap((id) => {
    const clip = library.clips.find((c) => c.id === id)!;
    return Array.from({ length: clip.out.frame - clip.in.frame }, (_, i) => clip.in.frame + i);
  });
  const video = await (await page.request.get(`${running.url}${await take.getAttribute('href')}`)).body();
  expect(numbersIn(video)).toEqual(expected);
});
