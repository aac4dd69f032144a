import { mirrorControl } from '@odograph/core';
import { expect, frameSaid, libraryOf, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

test.use({ product: 'phrase' });

/** Marks a clip at the end of the footage, where nothing is said yet. */
const markClip = async (page: Page): Promise<void> => {
  const before = await frameSaid(page);
  // the bench may still be making itself ready: a key that comes before it is goes nowhere
  await expect(async () => {
    await page.keyboard.press('End');
    await settled(page);
    expect(await frameSaid(page)).toBeGreaterThan(before + 200);
  }).toPass();
  for (const press of ['Shift+ArrowLeft', 'Shift+ArrowLeft', 'i', 'Shift+ArrowRight', 'o']) {
    await page.keyboard.press(press);
    await settled(page);
  }
  await expect(page.getByRole('combobox', { name: 'From position' })).toBeFocused();
};

const lastClip = (page: Page) =>
  page.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem').last();

test('when a whole attempt is typed in one line, its parts should be kept, and what was not understood be a note', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await markClip(page);
  await page.keyboard.type('half top, far underhook, kne slice, zorblat, he frmaes then hips out, side contrl');
  const line = page.getByRole('textbox', { name: 'The whole attempt in one line' });
  await expect(line).toBeFocused();
  const understood = page.getByRole('status', { name: 'Understood so far' });
  await expect(understood).toHaveText(
    /from half guard, top.*with far underhook.*knee-through pass.*they frame.*then hip out.*ends in side control, top.*unless you say otherwise: worked.*not understood, kept as a note: “zorblat”/,
  );
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await expect(lastClip(page)).toContainText(
    'from half guard, top with far underhook, knee-through pass; they frame, then hip out; ends in side control, top, worked',
  );
  await page.reload();
  await settled(page);
  const library = await libraryOf(page, running.url);
  const clip = library.clips.find((c) => c.note === 'zorblat')!;
  const attempt = library.attempts.find((a) => a.id === clip.attemptId)!;
  expect(attempt).toMatchObject({
    state: { position: 'half-guard', role: 'top' },
    action: 'knee-through',
    finish: { kind: 'state', position: 'side-control', role: 'top' },
    result: 'success',
    controls: [{ limb: 'arm', kind: 'underhook', target: 'underarm', reach: 'far' }],
    reactions: [{ what: 'frames' }, { what: 'hips-out' }],
  });

  // what nobody typed is told apart until it is confirmed
  expect([...attempt.proposed].sort()).toEqual(['finishRole', 'result']);
  await expect(page.getByTestId('clip-count')).toContainText('1 with something proposed');
  await page.getByTestId('picture').click();
  await page.keyboard.press('=');
  await saved(page).waitFor();
  await expect(page.getByTestId('clip-count')).not.toContainText('proposed');
  expect((await libraryOf(page, running.url)).attempts.find((a) => a.id === attempt.id)!.proposed).toEqual([]);

  // opened again it stands in the line: what is added there is added, Escape leaves the line as it was, and undo takes one change back after the other
  await page.getByTestId('picture').click();
  await page.keyboard.press('/');
  await page.keyboard.type('they invert, because late');
  await page.keyboard.press('Escape');
  await expect(line).toBeHidden();
  await page.keyboard.press('/');
  await page.keyboard.type('they invert');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await expect(lastClip(page)).toContainText('they frame, then hip out, then invert');
  await page.keyboard.press('Control+z');
  await expect(lastClip(page)).not.toContainText('invert');
  await page.keyboard.press('Delete');
});

test('when a word may mean two things, the other reading should be offered and taken by key', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  await markClip(page);
  await page.keyboard.type('they torreando, failed');
  const asked = page.locator('[data-testid=phrase-line] [data-status=asked]');
  await expect(asked).toHaveText('they bullfighter pass? ↓ yes, ↓↓ or what is done: bullfighter pass');
  await page.keyboard.press('ArrowDown');
  await expect(asked).toHaveCount(0);
  await expect(page.locator('[data-testid=phrase-line] [data-part=reaction]')).toContainText('they bullfighter pass');
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-testid=phrase-line] [data-part=entry]')).toContainText('bullfighter pass');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await expect(lastClip(page)).toContainText('they bullfighter pass');

  // what cannot be is named at once, and left as it was said
  await page.keyboard.press('/');
  await page.keyboard.type('with right hand left collar and right hand left sleeve');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('odd')).toContainText(/the right hand of .* is in two places at once/);
  await expect(lastClip(page)).toContainText('right hand on their left collar and right hand on their left sleeve');
  await page.keyboard.press('Delete');
});

test('when something is done again, one key should say so; when it is the same try, it should become another look at it', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  const library = () => libraryOf(page, running.url);
  const before = await library();
  await markClip(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('y');
  await saved(page).waitFor();
  await expect(lastClip(page)).toContainText('straight armlock');
  const after = await library();
  const known = new Set(before.attempts.map((a) => a.id));
  const again = after.attempts.find((a) => !known.has(a.id))!;
  const parent = after.attempts.find((a) => a.id === again.parentId)!;
  expect(again).toMatchObject({ action: 'armlock', series: 2, subject: parent.subject, state: parent.state });
  const sides = (list: typeof again.controls) => list.map((c) => [c.limbSide, c.targetSide]);
  expect(sides(again.controls)).not.toEqual(sides(parent.controls));
  expect(sides(again.controls.map((c) => mirrorControl(c)))).toEqual(sides(parent.controls));
  await page.keyboard.press('Delete');

  // over an attempt that is told already, with the same side and entry: asked about, not counted twice
  const told = before.clips.find((c) => c.attemptId === parent.id)!;
  await page.keyboard.press('n');
  await page.keyboard.press('g');
  await page.keyboard.type(`#${told.in.frame + 1}`);
  await page.keyboard.press('Enter');
  await settled(page);
  for (const press of ['i', 'Shift+ArrowRight', 'Shift+ArrowRight', 'Shift+ArrowRight', 'o']) {
    await page.keyboard.press(press);
    await settled(page);
  }
  await page.getByRole('combobox', { name: 'Entry' }).click();
  await page.keyboard.type('armlock');
  await page.keyboard.press('Enter');
  const isLook = page.getByRole('button', { name: 'Same try, another look' });
  await isLook.click();
  await saved(page).waitFor();
  await expect(isLook).toBeHidden();
  const looked = await library();
  expect(looked.attempts.map((a) => a.id).sort()).toEqual(before.attempts.map((a) => a.id).sort());
  expect(looked.clips.filter((c) => c.attemptId === parent.id)).toHaveLength(
    before.clips.filter((c) => c.attemptId === parent.id).length + 1,
  );
});
