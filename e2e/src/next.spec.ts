import { expect, libraryOf, openBench, saved, settled, signIn, sayIn, test } from './support/test.js';

test.use({ product: 'detail' });

test('from a hole in the table of answers to the list, a clip told for it, and the hole gone; and from a chance down to its clips', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  // the map leads to what is missing
  await page.getByRole('link', { name: 'Map', exact: true }).click();
  await page.getByRole('link', { name: 'Find or film next' }).click();
  const hole = page.getByTestId('hole').filter({ hasText: 'against bridge and roll from mount, bottom' });
  await expect(hole).toContainText('they post a hand');
  await expect(hole).toContainText('no answer');
  await hole.getByRole('button', { name: 'Why here?' }).click();
  await expect(hole).toContainText('of all counted attempts');
  await hole.getByRole('link', { name: 'Table of answers' }).click();

  // the same in the table, put on the list by one key
  const panel = page.getByRole('complementary', { name: 'bridge and roll, they post a hand' });
  await expect(panel).toContainText('Nothing on film answers it yet.');
  await panel.getByText('no answer').click();
  await page.keyboard.press('f');
  await expect(panel.getByRole('link', { name: 'On the list' })).toBeVisible();
  await saved(page).waitFor();
  expect((await libraryOf(page, running.url)).todos).toContainEqual(
    expect.objectContaining({ kind: 'find', action: 'bridge-and-roll', reaction: 'posts', status: 'open' }),
  );
  await panel.getByRole('link', { name: 'On the list' }).click();
  const entry = page.getByTestId('todo').filter({ hasText: 'they post a hand, against bridge and roll' });
  await expect(entry).toContainText('Not found yet.');

  // a clip is told that answers it
  await page.getByRole('link', { name: 'Footage', exact: true }).click();
  await openBench(page, 'Harbour Open, second round');
  await page.keyboard.press('End');
  await settled(page);
  for (const key of ['i', 'Shift+ArrowRight', 'Shift+ArrowRight', 'o']) await page.keyboard.press(key);
  await sayIn(page, 'From position', ['mount bottom']);
  await sayIn(page, 'Entry', ['elbow escape']);
  await sayIn(page, 'Finish', ['half guard bottom']);
  await sayIn(page, 'Result', ['worked']);
  await page.getByRole('textbox', { name: 'Note' }).focus();
  await sayIn(page, 'Answers', ['post a hand against bridge']);
  await expect(page.getByRole('button', { name: /Take back: post a hand, against bridge and roll/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page).waitFor();

  await page.goto(`${running.url}/to-do?kind=find&status=done`);
  await expect(entry).toContainText('Found: one clip answers it.');
  await page.goto(`${running.url}/map/next`);
  await expect(page.getByTestId('hole').first()).toBeVisible();
  await expect(hole).toHaveCount(0);
  await page.goto(`${running.url}/map/answers?place=mount%2Fbottom`);
  await page.getByRole('button', { name: /^bridge and roll, they post a hand: works/ }).click();
  await expect(page.getByRole('complementary')).toContainText('hip escape worked 1 of 1');

  // why a chance is as it is: its steps, and the clips behind one of them
  const chances = page.getByTestId('chances');
  await expect(chances).toContainText('Steps until then');
  await chances.getByRole('button', { name: 'Why?' }).click();
  await chances
    .getByRole('link', { name: /^bridge and roll →/ })
    .first()
    .click();
  await expect(page.getByTestId('on-the-spot')).toContainText('bridge and roll');
});

test('two views held against each other should say what is only in one, and lead from an entry to its clips', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.getByRole('link', { name: 'Map', exact: true }).click();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const comparison = page.getByTestId('comparison');
  await page.getByRole('group', { name: 'Counted:' }).getByLabel('Setting').selectOption('competition');
  await expect(comparison).toContainText('Only in the first');
  // the same twice: nothing is left to tell
  const against = page.getByRole('group', { name: 'against:' });
  await against.getByLabel('Setting').selectOption('competition');
  await expect(comparison).not.toContainText('Only in the first');
  await expect(comparison).toContainText('No difference to be seen');
  await page.reload();
  await expect(against.getByLabel('Setting')).toHaveValue('competition');

  const entry = comparison
    .getByTestId('compared')
    .getByRole('link', { name: /^back take from/ })
    .first();
  const [said] = (await entry.innerText()).split(' from ');
  await entry.click();
  await expect(page.locator('[data-clip]').first()).toContainText(said!);
});

test('clips kept as a collection should be found again by its address, and narrow the map to themselves', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/clips?result=failed`);
  const failed = await page.getByTestId('clips-shown').innerText();
  await page.getByRole('button', { name: 'Keep these as a collection' }).click();
  await page.getByLabel('Name of the collection').fill('What failed');
  await page.keyboard.press('Enter');
  const collections = page.getByTestId('collections');
  await expect(collections).toContainText('finds its clips by a sentence');
  await expect(page.getByTestId('clips-shown')).toHaveText(failed);
  await saved(page).waitFor();

  // the address is enough, and what is left of it can be kept by hand
  await page.goto(page.url());
  await expect(page.getByTestId('clips-shown')).toHaveText(failed);
  await expect(collections.getByLabel('Collection')).toContainText('What failed');

  await page.goto(`${running.url}/map`);
  const counted = page.getByRole('group', { name: 'Counted:' });
  const told = page.getByTestId('map-totals');
  await expect(told).toContainText('attempts');
  const all = await told.innerText();
  await counted.getByLabel('Collection').selectOption('What failed');
  await expect(told).not.toHaveText(all);
  await page.getByText('table', { exact: true }).click();
  // nothing in it worked
  const worked = page.getByTestId('map-table').locator('tbody td:nth-child(5)');
  await expect(worked.first()).toBeVisible();
  expect((await worked.allInnerTexts()).filter((n) => n !== '' && n !== '0')).toEqual([]);
});

test('a map that is saved should come in again as what is planned, told what is seen of it, stand at its place on the map, and be taken away', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/map/next`);
  const text = await (await page.request.get(`${running.url}/api/export/map.graphml`)).text();
  const elsewhere = text.replaceAll('"closed-guard/bottom"', '"lockdown/bottom"');
  const picker = page.getByTestId('plan-picker');
  await picker.setInputFiles({ name: 'broken.graphml', mimeType: 'application/xml', buffer: Buffer.from('<graphml>') });
  await expect(page.getByText('This isn’t a map')).toBeVisible();
  const file = { name: 'the other room.graphml', mimeType: 'application/xml', buffer: Buffer.from(elsewhere) };
  await picker.setInputFiles(file);
  const plan = page.getByTestId('plan');
  await expect(plan.getByRole('heading', { name: 'the other room' })).toBeVisible();
  await expect(plan.getByText('scissor sweep from lockdown, bottom').first()).toBeVisible();
  await saved(page).waitFor();
  const again = await (await page.request.get(`${running.url}/api/export/map.graphml`)).text();
  expect(again).toContain('source="lockdown/bottom"');
  await page.goto(`${running.url}/map?place=${encodeURIComponent('lockdown/bottom')}`);
  await expect(page.getByTestId('map').getByText('scissor sweep (planned)')).toBeVisible();
  // cold, or as an answer: two parts of one whole
  await page.getByRole('button', { name: 'Whole map' }).click();
  const totals = page.getByTestId('map-totals');
  const attempts = async (): Promise<number> => Number(/^(\d+) attempt/.exec((await totals.textContent())!)![1]);
  const all = await attempts();
  await page.getByLabel('How it began').selectOption('cold');
  await expect.poll(attempts).toBeLessThan(all);
  const cold = await attempts();
  await page.getByLabel('How it began').selectOption('after a reaction');
  await expect.poll(attempts).toBe(all - cold);
  await page.getByLabel('How it began').selectOption('however begun');
  // the magnifier
  await page.getByRole('button', { name: 'Larger' }).click();
  await expect(page.getByRole('button', { name: 'Back to its own size' })).toHaveText('125 %');
  await page.goto(`${running.url}/map/next`);
  await plan.getByRole('button', { name: 'Remove' }).click();
  await expect(plan).toHaveCount(0);
});

test('a use of a hold should open its clips, a line of an entry go into a route, and reactions and the shape of the map be told', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.getByRole('link', { name: 'Map', exact: true }).click();
  const pages = page.getByRole('navigation', { name: 'What the map says' });
  await pages.getByRole('link', { name: 'Holds' }).click();
  await page.getByLabel('Which hold').selectOption({ label: 'hand on collar' });
  await page.getByRole('button', { name: /^cross collar choke from mount, top/ }).click();
  const clips = page.getByRole('complementary', { name: 'Clips: cross collar choke from mount, top' });
  await expect(clips.getByTestId('on-the-spot')).toContainText('cross collar choke');
  // the address tells the line in hand
  await page.reload();
  await expect(clips).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(clips).toHaveCount(0);

  await pages.getByRole('link', { name: 'Entries' }).click();
  await page.getByLabel('Which entry').selectOption({ label: 'straight armlock' });
  await page.getByRole('button', { name: /^mount, top → straight armlock won/ }).click();
  await page.getByLabel('Put into which route').selectOption({ label: 'a new route' });
  await page.getByRole('button', { name: 'Put into a route' }).click();
  await expect(page.getByText('Put into straight armlock from mount, top')).toBeVisible();
  await saved(page).waitFor();
  expect((await libraryOf(page, running.url)).routes).toContainEqual(
    expect.objectContaining({
      name: 'straight armlock from mount, top',
      steps: [expect.objectContaining({ from: 'mount/top', action: 'armlock', to: 'won:straight-armlock' })],
    }),
  );

  await pages.getByRole('link', { name: 'Reactions' }).click();
  await page.getByLabel('Which reaction').selectOption({ label: 'post a hand' });
  await expect(page.getByRole('heading', { name: 'When they post a hand' })).toBeVisible();
  await page
    .getByRole('button', { name: /^bridge and roll from mount, bottom/ })
    .first()
    .click();
  await expect(page.getByTestId('on-the-spot')).toContainText('post a hand');

  await pages.getByRole('link', { name: 'Shape' }).click();
  await page.getByRole('button', { name: /^side control, top .*% of all ways/ }).click();
  await expect(page.getByTestId('on-the-spot')).toContainText('side control, top');

  // on the map a place unfolds: what was met, and the way on from there
  await page.goto(`${running.url}/map?place=closed-guard%2Fbottom`);
  await page.getByRole('link', { name: /^hip-bump sweep, they post a hand: / }).click();
  await expect(page.getByRole('complementary', { name: 'hip-bump sweep, they post a hand' })).toBeVisible();

  // what more film could change about the best way, and the line of which it is
  await page.goto(`${running.url}/routes?from=clinch/even&to=any`);
  const reach = page.getByTestId('reach');
  await expect(reach).toContainText('Ten more tries could make another way the best');
  const step = reach.getByRole('link').first();
  const [entry] = (await step.innerText()).split(' from ');
  await step.click();
  await expect(page.getByTestId('on-the-spot')).toContainText(entry!);
});
