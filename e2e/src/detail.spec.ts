import type { Attempt, Clip } from '@odograph/core';
import { AxeBuilder } from '@axe-core/playwright';
import {
  clipInHand,
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

test.use({ product: 'detail' });

/** The clip that the bench has in hand, and its attempt, as the server has them. */
const inHand = async (page: Page, url: string): Promise<{ readonly clip: Clip; readonly attempt: Attempt }> => {
  await saved(page).waitFor();
  const library = await libraryOf(page, url);
  const id = await clipInHand(page);
  const clip = library.clips.find((c) => c.id === id)!;
  return { clip, attempt: library.attempts.find((a) => a.id === clip.attemptId)! };
};
const pick = async (page: Page, nth: number): Promise<void> => {
  for (let i = 0; i < nth; i++) await page.keyboard.press('ArrowDown');
  await settled(page);
};
const noFaults = async (page: Page): Promise<void> =>
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]);

test('when instants are named by digits and a detail is looped, both should be kept, gone to, and taken off again', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  await pick(page, 4);
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  const at = await frameSaid(page);
  await page.keyboard.press('3');
  expect((await inHand(page, running.url)).clip.keyMoments).toMatchObject([{ name: 'grips on', at: { frame: at } }]);
  // the end cannot come before the commit: it is said, and nothing is changed
  const before = (await inHand(page, running.url)).attempt;
  await page.keyboard.press('Home');
  await settled(page);
  await page.keyboard.press('8');
  await expect(page.getByRole('alert')).toContainText('Start, commit and end have to come in that order');
  expect((await inHand(page, running.url)).attempt.end).toEqual(before.end);
  await page.getByRole('button', { name: 'Go to grips on' }).click();
  await settled(page);
  expect(await frameSaid(page)).toBe(at);
  // a detail of ten frames at half speed
  await page.keyboard.press('s');
  await page.keyboard.press('u');
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  await page.keyboard.press('u');
  await expect(page.getByTestId('detail-loop')).toContainText('loop 1, half speed');
  expect((await inHand(page, running.url)).clip.loops).toMatchObject([
    { in: { frame: at }, out: { frame: at + 11 }, speed: 0.5 },
  ]);
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('detail-loop')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('detail-loop')).toHaveCount(1);
});

test('when a hold is set on the body board by keys, it should be kept with all that is said of it, and what cannot be be named', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await pick(page, 8);
  const { attempt: before } = await inHand(page, running.url);
  await page.keyboard.press('h');
  const board = page.getByTestId('board');
  await expect(board).toBeFocused();
  await page.keyboard.type('rightfo');
  await page.keyboard.press('Enter');
  await expect(board).toContainText('right foot: what does it hold?');
  await page.keyboard.type('lefthip');
  await page.keyboard.press('Enter');
  await expect(board).toContainText('feet 1 of 2');
  for (const what of ['howdeep', 'taken']) {
    await page.keyboard.type(what);
    await page.keyboard.press('Enter');
    // letters after this belong to the next word
    await page.keyboard.press('Shift');
  }
  const made = async () =>
    (await inHand(page, running.url)).attempt.controls.filter((c) => !before.controls.some((b) => b.id === c.id));
  await expect.poll(made).toMatchObject([
    {
      limb: 'foot',
      limbSide: 'right',
      kind: 'hook',
      target: 'hip',
      targetSide: 'left',
      depth: 'shallow',
      cloth: false,
    },
  ]);
  expect((await made())[0]!.gained?.frame).toBe(await frameSaid(page));
  await noFaults(page);
  await page.keyboard.press('Escape');
  await expect(board).toHaveCount(0);
  // opened by the field, it stays when it is clicked; an arm on the chest is an underhook, and each way of holding is one press
  const { attempt: then } = await inHand(page, running.url);
  await page.keyboard.press('p');
  await page.keyboard.press('Tab');
  await expect(board).toBeVisible();
  await board.getByRole('button', { name: 'left arm', exact: true }).click();
  await board.getByRole('button', { name: 'right chest', exact: true }).click();
  const clicked = async () =>
    (await inHand(page, running.url)).attempt.controls.filter((c) => !then.controls.some((b) => b.id === c.id));
  await expect.poll(clicked).toMatchObject([{ limb: 'arm', limbSide: 'left', kind: 'underhook', target: 'underarm' }]);
  await board.getByRole('button', { name: 'frame', exact: true }).click();
  await expect.poll(clicked).toMatchObject([{ limb: 'arm', kind: 'frame' }]);
  await board.getByRole('button', { name: 'off', exact: true }).click();
  await expect.poll(clicked).toEqual([]);
  await page.keyboard.press('Escape');
  // the same hand in two places
  await page.keyboard.press('p');
  await page.keyboard.press('Tab');
  const grips = page.getByRole('combobox', { name: 'Grips' });
  const hand = before.controls.find((c) => c.limb === 'hand' && c.limbSide)!;
  await grips.fill(`${hand.limbSide} hand their waist`);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('odd')).toContainText(`the ${hand.limbSide} hand`);
});

test('when the picture is turned over, sides should be told turned, and what is said then be kept as it was', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Thursday sparring, third round');
  await pick(page, 1);
  const phrase = page.getByTestId('phrase');
  await expect(phrase).toContainText('right hand on their left sleeve');
  await page.keyboard.press('z');
  await expect(page.getByTestId('picture')).toHaveAttribute('data-mirrored', 'true');
  await expect(phrase).toContainText('left hand on their right sleeve');
  await page.keyboard.press('p');
  await page.keyboard.press('Tab');
  await page.keyboard.type('rfoot');
  await expect(page.getByRole('listbox', { name: 'Grips' }).getByRole('option').first()).toBeVisible();
  await page.getByRole('combobox', { name: 'Grips' }).fill('right foot left hip');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  const { attempt } = await inHand(page, running.url);
  expect(attempt.controls.at(-1)).toMatchObject({ limb: 'foot', limbSide: 'left', target: 'hip', targetSide: 'right' });
  await page.keyboard.press('z');
  await expect(phrase).toContainText('left foot hooking their right hip');
});

test('when a part has no word yet, it should wait among the doubts, be settled for all at once and be known from then on', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  const ids: string[] = [];
  for (const nth of [1, 1]) {
    await pick(page, nth);
    await page.keyboard.press('p');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.type(ids.length ? 'Tumble through?' : 'tumble through?');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('phrase')).toContainText('umble through”?');
    await page.keyboard.press('Escape');
    ids.push((await inHand(page, running.url)).attempt.id);
  }
  // a part that is said, but not for sure
  await page.keyboard.press('p');
  await page.keyboard.type('?');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await saved(page).waitFor();
  await page.getByRole('link', { name: '3 doubts' }).click();
  const doubts = page.getByTestId('doubt');
  await expect(doubts).toHaveCount(2);
  await expect(doubts.first()).toContainText('“tumble through”, entry');
  await expect(doubts.first()).toContainText('seen 2 times');
  await noFaults(page);
  await doubts.first().getByText('and use that name from now on').click();
  await doubts.first().getByRole('combobox').fill('shoulder roll');
  await page.keyboard.press('Enter');
  await expect(doubts).toHaveCount(1);
  await page.getByRole('button', { name: 'Keep it as it is' }).click();
  await expect(doubts).toHaveCount(0);
  await saved(page).waitFor();
  const { attempts, wordChanges } = await libraryOf(page, running.url);
  for (const id of ids)
    expect(attempts.find((a) => a.id === id)).toMatchObject({ action: 'shoulder-roll', doubts: [] });
  expect(wordChanges.find((c) => c.key === 'shoulder-roll')?.aliases?.map((a) => a.alias)).toEqual(['tumble through']);
});

test('when a link is cut and one is set by hand, the line should show it; what answers what is told', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await pick(page, 7);
  const chain = page.getByTestId('chain');
  await expect(chain).toContainText('Right after the one at');
  await expect(chain).toContainText('It answers');
  await page.keyboard.press('9');
  await expect(chain).toContainText('Cut by hand');
  expect((await inHand(page, running.url)).attempt.isCut).toBe(true);
  await page.keyboard.press('9');
  await expect(chain).toContainText('Right after the one at');
  // what it answers besides, whatever footage that was met in, is said by hand
  await page.getByRole('textbox', { name: 'Note' }).focus();
  const answers = page.getByRole('combobox', { name: 'Answers' });
  await answers.fill('post a hand');
  await expect(page.getByRole('option', { name: /^post a hand, against/ }).first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Take back: post a hand, against/ })).toContainText(
    '(starts elsewhere)',
  );
  expect((await inHand(page, running.url)).attempt.answers).toMatchObject([{ reaction: 'posts' }]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await inHand(page, running.url)).attempt.answers).toEqual([]);
  // the first follows nothing; nothing can be set before it
  await page.keyboard.press('n');
  await page.keyboard.press('Home');
  await pick(page, 1);
  await expect(chain).toContainText('It follows nothing that’s logged.');
});

test('when captions are given to the file, they should lie behind the line and on the picture; a key put elsewhere should do its work there', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await openAbout(page);
  await page.getByTestId('captions-file').setInputFiles({
    name: 'voice.vtt',
    mimeType: 'text/vtt',
    buffer: Buffer.from('WEBVTT\n\n00:00.000 --> 00:03.000\nHips before hands\n'),
  });
  await expect(page.getByTestId('captions-here')).toContainText('1 caption');
  const overlay = page.getByTestId('overlay');
  await expect(overlay).toHaveText('0 activity');
  for (let i = 0; i < 4 && (await overlay.textContent()) !== '0 captions'; i++) await page.keyboard.press('0');
  await expect(overlay).toHaveText('0 captions');
  await expect(page.getByTestId('caption')).toHaveText('Hips before hands');

  await page.keyboard.press('?');
  const sheet = page.getByTestId('key-sheet');
  await noFaults(page);
  const change = sheet.getByRole('button', { name: 'change: drop a mark' });
  await change.click();
  await page.keyboard.press('o');
  await expect(sheet.getByRole('alert')).toContainText('O is taken by “out”');
  await page.keyboard.press('Control+r');
  await expect(sheet.getByRole('alert')).toContainText('belong to the browser');
  await page.keyboard.press('}');
  await page.getByRole('button', { name: 'Back to the clips' }).click();
  await page.keyboard.press('d');
  await expect(page.getByTestId('marks-here')).toContainText('No marks waiting. } drops one while it plays.');
  await page.keyboard.press('}');
  await expect(page.getByTestId('marks-here')).toContainText('1 mark waiting.');
  await page.reload();
  await settled(page);
  // only where they are is said of it: a sighting
  await page.keyboard.press('j');
  await page.keyboard.type('standing');
  await expect(page.getByText(/a sighting until you/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('marks-here')).toContainText('No marks waiting.');
  await expect(page.getByTestId('sighting')).toHaveCount(1);
  await saved(page).waitFor();
  expect((await libraryOf(page, running.url)).moments).toMatchObject([
    { state: { position: 'standing', role: 'even' }, attemptId: null },
  ]);

  // what they did there is said of it after all: it is no sighting any more
  await page.getByTestId('sighting').click();
  await expect(page.getByTestId('mark')).toContainText('Sighting,');
  await page.keyboard.type('standing, single leg, failed');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('sighting')).toHaveCount(0);
  await saved(page).waitFor();
  const { attempts, moments } = await libraryOf(page, running.url);
  expect(moments).toMatchObject([{ state: null, subject: null }]);
  expect(attempts.find((a) => a.id === moments[0]!.attemptId)).toMatchObject({ action: 'single-leg' });
});
