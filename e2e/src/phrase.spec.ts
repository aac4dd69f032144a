import type { Library } from '@odograph/core';
import { expect, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

/** Marks a clip at the end of the footage, where nothing is said yet. */
const markClip = async (page: Page): Promise<void> => {
  await page.keyboard.press('End');
  await settled(page);
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
  const library = (await (await page.request.get(`${running.url}/api/library`)).json()) as Library;
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

  // said again it adds what is new, Escape leaves the line as it was, and undo takes one change back after the other
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
  await page.keyboard.type('standing, trip, ok');
  const entry = page.locator('[data-testid=phrase-line] [data-part=entry]');
  await expect(entry).toContainText('(↓ or ');
  const before = (await entry.textContent())!.split(' (')[0]!;
  const other = /\(↓ or ([^,)]+)/.exec((await entry.textContent())!)![1]!;
  await page.keyboard.press('ArrowDown');
  await expect(entry).toHaveText(new RegExp(`^${other} \\(↓ or .*${before}`));
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await expect(lastClip(page)).toContainText(other);
  await page.keyboard.press('Delete');
});
