import { expect, libraryOf, saved, signIn, test } from './support/test.js';

test.use({ product: 'detail' });

test('a route built by hand out of clips and lines, with a branch that joins again, should be kept, taken back, and played by keys', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.getByRole('navigation').getByRole('link', { name: 'Routes' }).click();
  await page.getByRole('button', { name: 'Build one by hand' }).click();
  const next = page.getByRole('combobox', { name: 'What comes next' });
  const offered = page.getByRole('listbox').getByRole('option').first();
  const add = async (typed: string): Promise<void> => {
    await next.fill(typed);
    await expect(offered).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(next).toHaveCount(0);
  };
  // any clip from anywhere begins it: nothing has to be on the map
  await add('double leg');
  const rows = page.locator('[data-step]');
  await expect(rows).toHaveCount(1);
  const name = page.getByLabel('Name of the route');
  await name.fill('For Tuesday');
  await page.keyboard.press('Enter');
  await rows.first().focus();
  await page.keyboard.press('a');
  await add('knee-through');
  await rows.nth(1).focus();
  await page.keyboard.press('a');
  await add('armlock');
  await expect(rows).toHaveCount(3);
  const names = async (): Promise<readonly string[]> =>
    (await rows.allInnerTexts()).map((text) => text.split('\n')[0]!);
  expect(await names()).toEqual(['1. double-leg takedown', '2. knee-through pass', expect.stringContaining('3. ')]);

  // by keys: a step moved, doubled, and taken out again
  await rows.nth(1).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(rows.first()).toContainText('knee-through pass');
  await rows.first().focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(rows.first()).toContainText('double-leg takedown');
  await rows.first().focus();
  await page.keyboard.press('d');
  await expect(rows).toHaveCount(4);
  await rows.nth(1).focus();
  await page.keyboard.press('Delete');
  await expect(rows).toHaveCount(3);

  // a branch by what they do, which joins the main line again
  await rows.first().focus();
  await page.keyboard.press('b');
  await page.getByRole('combobox', { name: 'What they do' }).fill('sprawl');
  await expect(offered).toContainText('sprawl');
  await page.keyboard.press('Enter');
  await add('back take');
  const branch = page.locator('[data-branch]');
  await expect(branch).toContainText('If they sprawl:');
  await branch.getByLabel('then').selectOption({ label: 'on at 2. knee-through pass' });
  await page.getByLabel('Cue', { exact: true }).fill('Chest on their back');
  await page.keyboard.press('Tab');
  await page.getByRole('textbox', { name: 'one more cue' }).fill('Hips heavy');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  const kept = (await libraryOf(page, running.url)).routes.find((r) => r.name === 'For Tuesday')!;
  expect(kept.branches).toMatchObject([{ from: kept.steps[0]!.id, on: { kind: 'reaction', reaction: 'sprawls' } }]);
  expect(kept.steps.find((s) => s.branch !== null)).toMatchObject({
    cue: 'Chest on their back',
    cues: [{ text: 'Hips heavy', weight: 'usual' }],
  });

  // played by keys: the branch by its number, and on from where it joins
  await page.getByRole('link', { name: 'Play it' }).click();
  await expect(page.getByTestId('step')).toHaveText('step 1 of 3');
  await page.keyboard.press('1');
  await expect(page.getByTestId('step')).toHaveText('in a branch');
  await expect(page.getByTestId('cue')).toHaveText('Chest on their back');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('step')).toHaveText('step 2 of 3');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('step')).toHaveText('in a branch');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('step')).toHaveText('step 1 of 3');
});
