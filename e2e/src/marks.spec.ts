import type { Moment } from '@odograph/core';
import {
  expect,
  frameSaid,
  libraryOf,
  openAbout,
  openBench,
  saved,
  settled,
  signIn,
  test,
  type Page,
} from './support/test.js';

test.use({ product: 'marks' });

/** The footage in the demo has 25 frames a second. */
const FRAMES_A_S = 25;

/** Plays on until a frame has gone by. */
const playedTo = (page: Page, frame: number): Promise<void> =>
  expect.poll(() => frameSaid(page), { intervals: [20] }).toBeGreaterThan(frame);

test('when marks are dropped while it plays, each should lie where its key was pressed, less the lag, and the picture go on', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await page.keyboard.press('Space');
  const pressed: number[] = [];
  for (const frame of [40, 90, 140]) {
    await playedTo(page, frame);
    pressed.push(await frameSaid(page));
    await page.keyboard.press('d');
    expect(await page.getByTestId('picture').getAttribute('data-playing')).toBe('true');
  }
  await page.keyboard.press('Space');
  await settled(page);
  await saved(page).waitFor();
  await openAbout(page);
  await expect(page.getByTestId('marks-here')).toContainText('3 marks waiting.');
  const { moments } = await libraryOf(page, running.url);
  expect(moments).toHaveLength(3);
  for (const [i, { at, pressed: key, speed, settled: isSettled }] of moments.entries()) {
    // between asking for the frame and pressing the key the picture went on a little
    expect(key.frame - pressed[i]!).toBeGreaterThanOrEqual(0);
    expect(key.frame - pressed[i]!).toBeLessThan(FRAMES_A_S / 2);
    expect([key.frame - at.frame, speed, isSettled]).toEqual([Math.floor(0.25 * FRAMES_A_S), 1, false]);
  }
  // where the picture stands nobody reacted to anything
  await page.keyboard.press('Home');
  await settled(page);
  await page.keyboard.press('d');
  await saved(page).waitFor();
  const still = (await libraryOf(page, running.url)).moments.find((m) => m.speed === 0)!;
  expect(still.at).toEqual(still.pressed);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('marks-here')).toContainText('3 marks waiting.');
  await page.goto(`${running.url}/footage`);
  await expect(page.getByText('3 marks waiting')).toBeVisible();
});

test('when marks are gone through one after the other, each should go round, be put right, said, and be learned from', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  const marks = page.getByTestId('marks-here');
  await openAbout(page);
  await expect(marks).toContainText('3 marks waiting.');
  const before = await libraryOf(page, running.url);
  await page.keyboard.press('j');
  const line = page.getByRole('textbox', { name: 'The whole attempt in one line' });
  await expect(line).toBeFocused();
  await expect(page.getByTestId('mark')).toContainText('Mark 1 of 3');

  // put right by two frames, the loop longer, once more and slower, a beat back: single keys
  await page.keyboard.press('Escape');
  await page.keyboard.press(',');
  await page.keyboard.press(',');
  await expect(page.getByTestId('picture')).toHaveAttribute('data-playing', 'false');
  await expect(page.getByTestId('mark')).toContainText('Its end is a guess');
  await page.keyboard.press('+');
  await expect(page.getByTestId('mark')).toContainText('loop of 4 s');
  await expect(page.getByTestId('mark')).toContainText('It ends where you said');
  await page.keyboard.press('v');
  await expect(page.getByText('in a loop, half speed')).toBeVisible();
  await page.keyboard.press('Home');
  await page.keyboard.press('p');
  await page.keyboard.type('clinch, double leg, they sprawl, legs free top');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await expect(marks).toContainText('2 marks waiting.');
  await expect(marks).toContainText('learned from 1');
  const [first] = before.moments as readonly [Moment];
  const now = await libraryOf(page, running.url);
  const mark = now.moments.find((m) => m.id === first.id)!;
  const attempt = now.attempts.find((a) => a.id === mark.attemptId)!;
  expect(mark).toMatchObject({ settled: true, at: { frame: first.at.frame - 2 } });
  expect(attempt).toMatchObject({
    state: { position: 'clinch', role: 'even' },
    action: 'double-leg',
    result: 'success',
    start: { frame: first.at.frame - 2 },
  });
  const clip = now.clips.find((c) => c.attemptId === attempt.id)!;
  expect([clip.in.frame < attempt.start.frame, clip.out.frame > attempt.start.frame]).toEqual([true, true]);

  // one that was nothing is taken off; how far marks are put back can be set
  await page.keyboard.press('j');
  await expect(page.getByTestId('mark')).toContainText('of 2');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Delete');
  await saved(page).waitFor();
  await expect(marks).toContainText('1 mark waiting.');
  await marks.getByRole('button', { name: 'Move marks back more' }).click();
  await expect(marks).toContainText('0.30 s, as set');
  await page.reload();
  await expect(marks).toContainText('0.30 s, as set');
  await marks.getByRole('button', { name: 'as learned' }).click();
  await expect(marks).toContainText('learned from 1');

  // the clip in the bin: its mark waits again
  await page.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem').first().click();
  await page.keyboard.press('Delete');
  await expect(marks).toContainText('2 marks waiting.');
});
