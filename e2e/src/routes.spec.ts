import { AxeBuilder } from '@axe-core/playwright';
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

  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]);

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

test('a route on the wall should say cue after cue, drill by its clock with a bell, take a branch by a key, and be read from across the mat', async ({
  page,
  running,
}) => {
  // when the bell is to ring, by the sound card's clock, in seconds
  await page.addInitScript(() => {
    const rung: number[] = [];
    Object.assign(window, { rung });
    const { start } = OscillatorNode.prototype;
    OscillatorNode.prototype.start = function (this: OscillatorNode, at?: number): void {
      if (this.frequency.value === 880) rung.push(at ?? 0);
      start.call(this, at);
    };
  });
  await signIn(page, running.url);
  const id = (n: number): string => `0190aaaa-0000-7000-8000-00000000000${n}`;
  const drill = { form: 'whole', resistance: 'none', kinds: 1, isBothSides: false, seconds: 30, reps: null, change: 5 };
  const line = { from: 'mount/top', action: 'armlock', to: 'won:straight-armlock' };
  const steps = [
    { ...line, id: id(1), cue: 'Hips close', cues: [{ text: 'Knees tight', weight: 'usual' }], drill },
    { id: id(2), kind: 'talk', title: 'What if they stack', cue: 'Look where they look' },
    { id: id(3), kind: 'look', title: 'The elbow', branch: id(4), cue: 'Turn with them' },
  ];
  const branches = [{ id: id(4), from: id(1), on: { kind: 'choice', text: 'they turn in' }, joins: id(2) }];
  const route = { editId: id(5), id: id(6), name: 'On the wall', steps, branches };
  const origin = { origin: running.url };
  expect((await page.request.post(`${running.url}/api/routes`, { data: route, headers: origin })).status()).toBe(200);

  await page.goto(`${running.url}/routes/${id(6)}`);
  await page.getByRole('link', { name: 'On the wall' }).click();
  const cue = page.getByTestId('wall-cue');
  await expect(cue).toHaveText('Hips close');
  // nothing on it is too small for the back of the room, nor faint
  const small = await page.evaluate(() => {
    const walk = document.createTreeWalker(document.querySelector('[data-testid=wall]')!, NodeFilter.SHOW_TEXT);
    const found: string[] = [];
    for (let node = walk.nextNode(); node; node = walk.nextNode())
      if (node.textContent?.trim() && parseFloat(getComputedStyle(node.parentElement!).fontSize) < 28)
        found.push(node.textContent);
    return found;
  });
  expect(small).toEqual([]);
  const sizeOf = (testId: string): Promise<number> =>
    page.getByTestId(testId).evaluate((e) => parseFloat(getComputedStyle(e).fontSize));
  expect(await sizeOf('wall-cue')).toBeGreaterThanOrEqual(56);
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]);
  await expect(page.getByRole('note').first()).toBeVisible();

  await page.keyboard.press('ArrowRight');
  await expect(cue).toHaveText('Knees tight');
  // a reload changes nothing
  await page.reload();
  await expect(cue).toHaveText('Knees tight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('wall-turn')).toHaveText('A on B');
  expect(await sizeOf('wall-timer')).toBeGreaterThanOrEqual(160);
  await expect(page.getByRole('note').first()).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByTestId('wall-timer')).toHaveText('29');
  const rung = await page.evaluate(() => (window as unknown as { rung: number[] }).rung);
  // to the millisecond after the first
  expect(rung.map((s) => Math.round((s - rung[0]!) * 1000) / 1000)).toEqual([0, 30, 35, 65]);

  // back to the cue, and the branch by its number; it joins the main line
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('1');
  await expect(cue).toHaveText('Turn with them');
  await page.keyboard.press('ArrowRight');
  await expect(cue).toHaveText('Look where they look');
  await page.keyboard.press('b');
  await expect(page.getByTestId('wall-black')).toBeVisible();
  await page.keyboard.press('b');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status')).toContainText('That was the whole route.');
});

test('a step held back from beginners should be struck through and nowhere on the wall under one policy, reach and let go under the other', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const id = (n: number): string => `0190aaaa-0000-7000-8000-00000000001${n}`;
  const lock = { from: 'eighty-twenty/attacker', action: 'leg-lock', to: 'won:leg-lock' };
  const steps = [
    { id: id(1), kind: 'talk', title: 'Whose knee is inside', cue: 'Knee line first' },
    { id: id(2), kind: 'line', ...lock, cue: 'Hold, then let go' },
  ];
  const route = { editId: id(3), id: id(4), name: 'Into the legs', steps, branches: [] };
  const answer = await page.request.post(`${running.url}/api/routes`, {
    data: route,
    headers: { origin: running.url },
  });
  expect([answer.status(), answer.ok() ? '' : await answer.text()]).toEqual([200, '']);
  await page.goto(`${running.url}/routes/${id(4)}`);
  await page.getByLabel('Level').selectOption('beginner');
  await page.getByLabel('Age').selectOption('adult');
  const form = page.getByTestId('form');
  await expect(form).toHaveText('not taught to them: the academy’s policy');
  await saved(page).waitFor();
  const cue = page.getByTestId('wall-cue');
  await page.goto(`${running.url}/wall/${id(4)}`);
  await expect(cue).toHaveText('Knee line first');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status')).toContainText('That was the whole route.');

  await page.goto(`${running.url}/academy/policy`);
  await page.getByText('early, controlled', { exact: true }).click();
  await expect(page.getByLabel('twisting lock, beginner')).toHaveValue('reach and let go');
  await saved(page).waitFor();
  await page.goto(`${running.url}/routes/${id(4)}`);
  await expect(form).toContainText('reach and let go');
  await page.goto(`${running.url}/wall/${id(4)}`);
  await expect(cue).toHaveText('Knee line first');
  await page.keyboard.press('ArrowRight');
  await expect(cue).toHaveText('Hold, then let go');
  await expect(page.getByTestId('wall-form')).toHaveText('reach and let go');

  // the academy's own word goes before the school's
  await page.goto(`${running.url}/academy/policy`);
  await page.getByLabel('twisting lock, beginner').selectOption('not at all');
  await saved(page).waitFor();
  await page.goto(`${running.url}/routes/${id(4)}`);
  await expect(form).toContainText('not taught to them');
});
