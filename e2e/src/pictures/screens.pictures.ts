import { join } from 'node:path';
import { openBench, saved, settled, signIn, test, type Page } from '../support/test.js';

const FOLDER = join(import.meta.dirname, '../../../docs/screenshots');

const take = async (page: Page, name: string): Promise<void> => {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  // small pictures are fetched when they come into view
  await page.waitForFunction(() =>
    [...document.images]
      .filter((image) => image.getBoundingClientRect().top < window.innerHeight)
      .every((image) => image.complete && image.naturalWidth > 0),
  );
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
};

test('pictures of each screen', async ({ page, running }) => {
  await signIn(page, running.url);
  await page.getByText('Thursday sparring, third round').waitFor();
  await take(page, 'footage');

  await openBench(page, 'Lantern Cup, final round');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowDown');
  for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  await page.getByRole('combobox', { name: 'Entry' }).click();
  await page.keyboard.type('knee');
  await take(page, 'break-down');

  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  // why a near finish was none: its details, and what hangs on one of them
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
  await settled(page);
  await page.keyboard.press('y');
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowDown');
  await page.getByTestId('reasons').waitFor();
  await take(page, 'reasons');
  await page.keyboard.press('Escape');

  // what is drawn on it
  for (let i = 0; i < 2; i++) await page.keyboard.press('e');
  await page.getByTestId('drawn').waitFor();
  await settled(page);
  await page.keyboard.press('#');
  await take(page, 'drawing');
  await page.keyboard.press('Escape');

  // another window sees the same
  await page.keyboard.press('>');
  await page.getByTestId('lead-line').getByText('You lead').waitFor();
  const other = await page.context().newPage();
  await other.goto(`${running.url}/follow`);
  await other.getByTestId('drawn').locator('[data-shape]').first().waitFor();
  await settled(other);
  await take(other, 'follow');
  await other.close();
  await page.keyboard.press('>');
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await settled(page);

  // the body board over the picture, with what one hand holds in hand
  await page.keyboard.press('h');
  await page.getByTestId('board').waitFor();
  await page.getByTestId('board').getByRole('button', { pressed: false }).first().click();
  await take(page, 'board');
  await page.keyboard.press('Escape');
  for (const [label, text] of [
    ['Entry', 'the shoulder one?'],
    ['Result', '?'],
  ] as const) {
    await page.getByRole('combobox', { name: label, exact: true }).click();
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
  }
  await saved(page).waitFor();
  await page.goto(`${running.url}/doubts`);
  await page.getByTestId('doubt').nth(1).waitFor();
  await take(page, 'doubts');

  // last attempt of a round: marks waiting, and the next one is being said
  await page.goto(`${running.url}/footage`);
  await openBench(page, 'Harbour Open, second round');
  for (const at of ['#300', '#420', '#640']) {
    await page.keyboard.press('g');
    await page.getByLabel('Go to').fill(at);
    await page.keyboard.press('Enter');
    await page.locator(`[data-testid=picture][data-frame="${at.slice(1)}"][data-settled=true]`).waitFor();
    await page.keyboard.press('d');
  }
  await page.keyboard.press('j');
  await page.getByTestId('mark').waitFor();
  await page.keyboard.type('half top, far underhook, kne slice');
  await page.getByTestId('phrase-line').getByText('knee-through pass').waitFor();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('/');
  await page.keyboard.press('Control+a');
  await page.keyboard.type(
    'clinch, snap down, gravlock, they posture then frmae, front headlock, ok (good timing), mount or side?',
  );
  await page.getByTestId('phrase-line').getByText('not understood').waitFor();
  await take(page, 'phrase');

  await page.goto(`${running.url}/clips`);
  await page.locator('[data-clip]').first().waitFor();
  await take(page, 'clips');

  await page.goto(`${running.url}/map`);
  await page.locator('[data-place]').first().waitFor();
  await take(page, 'map');
  await page.goto(`${running.url}/map?place=closed-guard/bottom`);
  await page
    .getByRole('complementary')
    .getByRole('button', { name: /hip-bump sweep to mount/ })
    .click();
  await page.locator('[data-testid=on-the-spot] [data-testid=picture][data-playing=true]').waitFor();
  await take(page, 'map-place');

  await page.goto(`${running.url}/map/answers?place=half-guard/top`);
  await page.getByTestId('chances').getByText('Steps until then').waitFor();
  await page.locator('[data-cell]').first().click();
  await page.locator('[data-testid=on-the-spot] [data-testid=picture][data-playing=true]').waitFor();
  await take(page, 'answers');
  await page.goto(`${running.url}/map/entry?of=hip-bump`);
  await page.getByRole('button', { name: /^post a hand/ }).click();
  await page.locator('[data-testid=on-the-spot] [data-testid=picture][data-playing=true]').waitFor();
  await take(page, 'entry');

  await page.goto(`${running.url}/routes?from=clinch/even&to=any`);
  await page.getByTestId('route').first().waitFor();
  await take(page, 'routes');
  await page.getByRole('button', { name: 'Keep it' }).first().click();
  await page.getByLabel('Name').fill('From the clinch to the choke');
  await page.keyboard.press('Enter');
  await page.getByLabel('Cue').first().fill('Head outside, then drive');
  await page.getByLabel('Cue').first().blur();
  await saved(page).waitFor();
  await page.locator('[data-step]').first().focus();
  await page.keyboard.press('b');
  await page.getByRole('combobox', { name: 'What they do' }).fill('sprawl');
  await page.getByRole('listbox').getByRole('option').first().waitFor();
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: 'What comes next' }).fill('back take');
  await page.getByRole('listbox').getByRole('option').first().waitFor();
  await page.keyboard.press('Enter');
  await page.getByLabel('then').selectOption({ index: 3 });
  await page.getByLabel('Level').selectOption('intermediate');
  await page.getByLabel('Age').selectOption('adult');
  await page.locator('[data-step]').first().focus();
  await page.getByRole('button', { name: 'Add a drill' }).click();
  await saved(page).waitFor();
  await page.getByRole('main').evaluate((main) => main.scrollTo(0, 0));
  await take(page, 'route-kept');
  await page.getByRole('link', { name: 'On the wall' }).click();
  await page.getByTestId('wall-cue').waitFor();
  await settled(page);
  await take(page, 'wall');
  await page.goto(`${running.url}/principles`);
  await page.getByTestId('principle-case').first().waitFor();
  await take(page, 'principles');
  await page.goto(`${running.url}/to-do`);
  await page.getByTestId('todo').first().waitFor();
  await take(page, 'to-do');
  await page.goto(`${running.url}/academy/words`);
  await page.getByRole('button', { name: 'Change the position back', exact: true }).click();
  await take(page, 'words');
});
