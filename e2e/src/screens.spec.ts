import { AxeBuilder } from '@axe-core/playwright';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OTHER_COACH, expect, openBench, saved, settled, signIn, test, type Page } from './support/test.js';
import { isThorough } from './support/thorough.js';

const ALIKE = ['[data-clip]', '[data-word]', '[data-testid=map-table] tr'];

const clean = async (page: Page, name: string): Promise<void> => {
  // only what is wrong is gathered: what is right takes most of the time
  // and of rows that are all alike the first ones do
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  const { violations } = await ALIKE.reduce((all, row) => all.exclude(`${row}:nth-of-type(n+8)`), axe).analyze();
  expect(violations.map((v) => `${name}: ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([]);
};

/** Walks once round the screen by Tab: everything that takes the focus has to show it. */
const visibleFocus = async (page: Page): Promise<string[]> => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const names: string[] = [];
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    const seen = await page.evaluate(() => {
      const element = document.activeElement;
      if (!element || element === document.body) return null;
      const style = getComputedStyle(element.matches('.sr-only') ? element.parentElement! : element);
      const isShown =
        style.outlineStyle !== 'none' || style.boxShadow !== 'none' || style.borderStyle.includes('solid');
      return `${isShown ? '' : 'UNSEEN '}${element.getAttribute('aria-label') ?? element.textContent?.slice(0, 30) ?? element.tagName}`;
    });
    if (seen === null) break;
    names.push(seen);
  }
  return names;
};

/** What reaches beyond the window, and can't be scrolled to within something smaller. */
const beyond = (): readonly string[] => {
  const isScrolled = (element: Element | null): boolean =>
    element !== null &&
    element !== document.body &&
    (/auto|scroll/.test(getComputedStyle(element).overflowX) || isScrolled(element.parentElement));
  return [...document.querySelectorAll('main *')]
    .filter((e) => e.getBoundingClientRect().right > innerWidth + 1 && !e.closest('svg, .sr-only') && !isScrolled(e))
    .map((e) => `${e.tagName} ${(e.textContent ?? '').slice(0, 30)}`);
};

/** A telephone, a window at 200 %, and a small one: nothing reaches beyond it. */
const WINDOWS = [
  [390, 800],
  [640, 400],
  [1024, 768],
] as const;
const fits = async (page: Page, name: string, windows: number = WINDOWS.length): Promise<void> => {
  const size = page.viewportSize()!;
  for (const [width, height] of WINDOWS.slice(0, windows)) {
    await page.setViewportSize({ width, height });
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth), `${name} at ${width}`)
      .toBeLessThanOrEqual(width);
    await expect.poll(() => page.evaluate(beyond), `${name} at ${width}`).toEqual([]);
  }
  await page.setViewportSize(size);
};

/** Screens of whose kind another is examined: of these it is only seen that they fit a telephone; all of them are examined by `npm run stress`. */
const ALIKE_SCREENS = [
  ...['map with a place', 'a route played', 'the map as a table'],
  ...['a hold', 'a reaction', 'the shape of the map', 'words', 'the bin', 'the disk', 'letters', 'sessions'],
];

type Screens = readonly (readonly [name: string, path: string, there: string])[];
const ON_THE_MAP: Screens = [
  ['map', '/map', '[data-place]'],
  ['map with a place', '/map?place=mount/top', 'aside'],
  ['answers', '/map/answers', '[data-testid=answers]'],
  ['an entry', '/map/entry', '[data-testid=sheet] [aria-pressed]'],
  ['a hold', '/map/hold', '[data-testid=sheet] [aria-pressed]'],
  ['a reaction', '/map/reaction', '[data-testid=sheet] [aria-pressed]'],
  ['the shape of the map', '/map/shape', '[data-testid=sheet] [aria-pressed]'],
  ['find or film next', '/map/next', '[data-testid=hole]'],
  ['two views compared', '/map/compare', '[data-testid=compared]'],
  ['routes', '/routes?from=clinch/even&to=any', '[data-testid=route]'],
  ['a route played', '/routes/play?from=clinch/even&to=any&route=0', '[data-testid=step]'],
  ['the map as a table', '/map?as=table', '[data-testid=map-table]'],
];
const BESIDE_IT: Screens = [
  ['footage', '/footage', 'text=Thursday sparring'],
  ['clips', '/clips', '[data-clip]'],
  ['principles', '/principles', '[data-testid=principle]'],
  ['to do', '/to-do', '[data-testid=todo]'],
  ['people', '/academy/people', '[data-member]'],
  ['words', '/academy/words', '[data-word]'],
  ['policy', '/academy/policy', 'text=twisting lock'],
  ['the bin', '/academy/bin', 'text=stay here for 30 days'],
  ['the disk', '/academy/disk', '[data-file]'],
  ['letters', '/academy/letters', 'text=in place of a mailbox'],
  ['sessions', '/academy/sessions', 'text=this one'],
];
const BENCH: Screens = [['break down', '/break-down', '[data-testid=picture][data-settled=true]']];

/** Each is clean, shows where the hand is all the way round, and fits. */
const examine = async (page: Page, url: string, screens: Screens): Promise<void> => {
  for (const [name, path, there] of screens) {
    await page.goto(url + path);
    await page.locator(there).first().waitFor();
    if (!isThorough && ALIKE_SCREENS.includes(name)) {
      await fits(page, name, 1);
      continue;
    }
    await clean(page, name);
    const stops = await visibleFocus(page);
    expect(stops.length, name).toBeGreaterThan(5);
    expect(
      stops.filter((s) => s.startsWith('UNSEEN')),
      name,
    ).toEqual([]);
    await fits(page, name);
  }
};

test('when a screen of the map or of routes is examined, nothing should be found, and the focus be seen all the way round', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await examine(page, running.url, ON_THE_MAP);
});

test('when any other screen is examined, nothing should be found, and the focus be seen all the way round', async ({
  page,
  running,
}) => {
  await page.goto(`${running.url}/sign-in`);
  await page.getByLabel('Email').waitFor();
  await clean(page, 'sign in');
  for (const path of isThorough ? ['new-academy', 'forgotten', 'invitation', 'new-password'] : ['new-academy']) {
    await page.goto(`${running.url}/${path}`);
    await page.getByRole('link', { name: 'Back to sign in' }).waitFor();
    await clean(page, path);
  }
  await signIn(page, running.url);
  await examine(page, running.url, BESIDE_IT);
});

test('when the bench is examined, with what it can have in hand, nothing should be found', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await examine(page, running.url, BENCH);
  await page.keyboard.press('Escape');
  await page.getByTestId('picture').click();
  await page.keyboard.press('ArrowDown');
  await page.getByTestId('phrase').waitFor();
  await clean(page, 'break down with a clip');
  await page.getByRole('combobox', { name: 'Entry' }).click();
  await page.keyboard.type('cho');
  await clean(page, 'break down with choices');
  await page.getByTestId('picture').click();
  await page.keyboard.press('n');
  await page.keyboard.press('i');
  await page.keyboard.press('Shift+ArrowRight');
  await page.locator('[data-testid=picture][data-settled=true]').waitFor();
  await page.keyboard.press('x');
  await page.getByTestId('span').waitFor();
  await clean(page, 'break down with a stretch');
  await page.keyboard.press('Escape');
  await page.keyboard.press('d');
  await page.keyboard.press('j');
  await page.getByTestId('mark').waitFor();
  await page.keyboard.type('half top, zorblat, knee slice');
  await clean(page, 'break down with a mark');
});

test('when somebody has asked their machine for less motion, no picture should begin to move by itself', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const playing = async (): Promise<string | null> => {
    await page.goto(`${running.url}/routes/play?from=clinch/even&to=any&route=0`);
    await settled(page);
    return page.getByTestId('picture').getAttribute('data-playing');
  };
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await playing()).toBe('false');
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await page.goto(`${running.url}/routes/play?from=clinch/even&to=any&route=0`);
  await expect(page.locator('[data-testid=picture][data-playing=true]')).toBeVisible();
});

test('when an academy is empty, every screen should say what goes here and what starts it', async ({
  page,
  running,
}) => {
  await signIn(page, running.url, OTHER_COACH);
  await expect(page.getByText('No footage yet')).toBeVisible();
  await clean(page, 'empty footage');
  for (const [path, text] of [
    ['/break-down', 'Add some footage first'],
    ['/clips', 'No clips yet'],
    ['/map', 'draws itself from your clips'],
    ['/routes', 'Say where it starts'],
  ] as const) {
    await page.goto(running.url + path);
    await expect(page.getByText(text)).toBeVisible();
  }
});

// in `npm test`: every address in `apart.test.ts`
test('when an address of the other academy is opened, it should look like one that does not exist @stress', async ({
  page,
  running,
  context,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  const address = page.url();
  await context.clearCookies();
  await signIn(page, running.url, OTHER_COACH);
  await page.goto(address);
  await expect(page.getByText('This footage isn’t here')).toBeVisible();
  await page.goto(`${running.url}/nowhere`);
  await expect(page.getByText('nothing at this address')).toBeVisible();
});

test('when something that is no video is dropped, a sentence should say so, and the shelf stay as it was', async ({
  page,
  running,
}) => {
  const path = join(mkdtempSync(join(tmpdir(), 'odograph-odd-')), 'minutes of the meeting.mp4');
  writeFileSync(path, 'Only words.');
  await signIn(page, running.url);
  await page.getByRole('link', { name: 'Break down Thursday sparring, third round' }).waitFor();
  const data = await page.evaluateHandle(() => {
    const transfer = new DataTransfer();
    transfer.items.add(new File(['Only words.'], 'minutes of the meeting.mp4', { type: 'video/mp4' }));
    return transfer;
  });
  await page.locator('main').locator('> *').first().dispatchEvent('drop', { dataTransfer: data });
  await expect(page.getByTestId('taking-in')).toContainText('This is not a video that Odograph knows');
  await page.getByRole('button', { name: 'Dismiss' }).click();
  await expect(page.getByTestId('taking-in')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Break down / })).toHaveCount(6);
});

test('when who is who was wrong, the footage sheet should set it right for every clip', async ({ page, running }) => {
  await signIn(page, running.url);
  const thursday = page.getByRole('listitem').filter({ hasText: 'Thursday sparring, third round' });
  await thursday.getByRole('button', { name: 'Footage sheet' }).click();
  const form = page.getByRole('form', { name: 'Footage sheet' });
  await form.getByLabel('First athlete (us)').fill('Odile Sabrecourt');
  await page.keyboard.press('Enter');
  await expect(form.getByRole('alert')).toHaveText('must be somebody else');
  await form.getByLabel('First athlete (us)').fill('Wilma Teasdale');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await openBench(page, 'Thursday sparring, third round');
  await expect(page.getByRole('region', { name: 'Clips of this footage' })).toContainText(
    'Wilma Teasdale from collar-and-sleeve clinch',
  );
});

test('when the password is wrong or the session over, it should be said, and the way back be kept', async ({
  page,
  running,
  context,
}) => {
  await page.goto(`${running.url}/map?place=mount/top`);
  await page.getByLabel('Email').fill('coach@lanternwood.example');
  await page.getByLabel('Password').fill('wrong');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('That email and password don’t match.');
  await page.getByLabel('Password').fill('lanternwood-mat-7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'mount, top' })).toBeVisible();
  // whoever is signed in goes on from the sign-in
  await page.goto(`${running.url}/sign-in?next=${encodeURIComponent('/map?place=mount/top')}`);
  await expect(page.getByRole('heading', { name: 'mount, top' })).toBeVisible();
  await page.getByRole('button', { name: 'Lanternwood Grappling Room' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  expect((await context.request.get(`${running.url}/api/library`)).status()).toBe(401);
  // and whose session is over finds the form there, whatever the page remembers
  await signIn(page, running.url);
  await context.clearCookies();
  await page.evaluate(() => {
    history.pushState({}, '', '/sign-in?next=/map');
    dispatchEvent(new PopStateEvent('popstate'));
  });
  await page.getByLabel('Password').fill('lanternwood-mat-7');
  await page.getByLabel('Email').fill('coach@lanternwood.example');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/map');
});

test('when a key is pressed quickly, every press should count: seven down is the seventh clip', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowDown');
  const rows = page.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem').getByRole('button');
  await expect(rows.nth(6)).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press('ArrowUp');
  await expect(rows.nth(5)).toHaveAttribute('aria-current', 'true');
});

test('when clips are narrowed by more than the sentence starts with, each part should be added, counted and kept in the address', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/clips`);
  await page.locator('[data-clip]').first().waitFor();
  await page.getByRole('combobox', { name: 'Narrow by' }).click();
  await page.keyboard.type('result');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Result' })).toBeFocused();
  await expect(page.getByRole('option', { name: /failed/ })).toContainText('13');
  await page.keyboard.type('no');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('clips-shown')).toHaveText('13 of 66');
  await page.getByRole('textbox', { name: 'Words in it' }).fill('guard sleeve');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('clips-shown')).toHaveText('2 of 66');
  await page.getByText('shortest', { exact: true }).click();
  await expect(page.getByRole('radio', { name: 'shortest' })).toBeChecked();
  const address = page.url();
  const order = await page.locator('[data-clip]').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-clip')));
  await page.goto(`${running.url}/footage`);
  await page.goto(address);
  await expect(page.getByTestId('clips-shown')).toHaveText('2 of 66');
  await expect(page.getByRole('combobox', { name: 'Result' })).toHaveValue('failed');
  expect(await page.locator('[data-clip]').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-clip')))).toEqual(
    order,
  );
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page.getByTestId('clips-shown')).toHaveText('66');
});

test('when the map counts one setting or one athlete, its figures should follow, and the table say the same', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/map`);
  const totals = page.getByTestId('map-totals');
  await expect(totals).toContainText('28 attempts');
  await page.getByRole('combobox', { name: 'Setting' }).selectOption('competition');
  await page.getByRole('combobox', { name: 'Clothing' }).selectOption('no-gi');
  await expect(totals).toContainText('15 attempts');
  await page.getByRole('combobox', { name: 'Whose game' }).selectOption({ label: 'Renko Hallvard' });
  await expect(page.getByText('Nothing counts in this view')).toBeVisible();
  await page.getByRole('button', { name: 'Count everything' }).click();
  await expect(totals).toContainText('28 attempts');
  await page.getByRole('combobox', { name: 'Whose game' }).selectOption({ label: 'Tovi Askerud' });
  await expect(totals).toContainText('13 attempts');
  await page.getByText('table', { exact: true }).click();
  const rows = page.getByTestId('map-table').locator('tbody tr');
  await expect(rows.filter({ hasText: 'them: ' }).first()).toBeVisible();
  const own = await rows.filter({ hasNotText: 'them: ' }).count();
  const their = await rows.filter({ hasText: 'them: ' }).count();
  expect([own, their]).toEqual([8, 5]);
  await rows.filter({ hasText: 'them: ' }).first().getByRole('button').first().click();
  await expect(page.getByRole('complementary')).toBeVisible();
  await page.getByRole('button', { name: 'Whole map' }).click();
  await expect(rows).toHaveCount(13);
});
