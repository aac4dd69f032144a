import { test as base, type Page } from '@playwright/test';
import type { Attempt, Library } from '@odograph/core';
import { COACH } from './accounts.js';
import { Running } from './running.js';

export { expect, type Page } from '@playwright/test';
export { COACH, OTHER_COACH } from './accounts.js';

/** Pieces of footage and clips in the demo library. */
export const DEMO_SIZE = [6, 66] as const;

/** Noise that is no fault: the question who is signed in, asked by somebody who is not; requests while the server is being ended, or the line is cut. */
const isExpected = (text: string): boolean =>
  /status of (401|409|422|400|429|503)|ERR_CONNECTION_REFUSED|ERR_EMPTY_RESPONSE|ERR_CONNECTION_RESET|ERR_INTERNET_DISCONNECTED|ERR_INCOMPLETE_CHUNKED|ERR_SOCKET_NOT_CONNECTED|ERR_CONNECTION_CLOSED|ERR_CONNECTION_ABORTED|ERR_NETWORK_CHANGED/.test(
    text,
  );

const watch = (page: Page): { readonly outside: string[]; readonly faults: string[] } => {
  const outside: string[] = [],
    faults: string[] = [];
  // of every page that the test opens
  page.context().on('request', (request) => {
    const { protocol, hostname } = new URL(request.url());
    if (/^(http|ws)s?:$/.test(protocol) && hostname !== '127.0.0.1') outside.push(request.url());
  });
  page.on('pageerror', (error) => faults.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !isExpected(message.text())) faults.push(message.text());
  });
  return { outside, faults };
};

/** A running product for all tests of a file, and a page that fails on any request that leaves loopback and on any error in the console. */
export const test = base.extend<{ page: Page }, { product: string; running: Running }>({
  /** Files that name another product get one of their own; those that write on different footage, and count nothing that another of them could have left, name one together. */
  product: ['shared', { option: true, scope: 'worker' }],
  running: [
    async ({ product }, use) => {
      void product;
      const running = await Running.start();
      await use(running);
      base.expect(running.crashes(), 'faults in the log of the server').toEqual([]);
      await running.dispose();
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  page: async ({ page }, use) => {
    const { outside, faults } = watch(page);
    await use(page);
    base.expect(outside, 'requests that left loopback').toEqual([]);
    base.expect(faults, 'errors in the page').toEqual([]);
  },
});

export const signIn = async (page: Page, url: string, account = COACH): Promise<void> => {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Email').fill(account.email);
  await page.getByLabel('Password').fill(account.password);
  await page.keyboard.press('Enter');
  await page.waitForURL('**/footage');
};

export const saved = (page: Page) => page.locator('[data-testid=save-state][data-saved=true]');

export const openBench = async (page: Page, title: string): Promise<void> => {
  await page.getByRole('link', { name: `Break down ${title}`, exact: true }).click();
  await settled(page);
};

/** Opens what there is to know and to set of the footage on the bench, above its clips. */
export const openAbout = async (page: Page): Promise<void> => {
  const more = page.getByRole('region', { name: 'Clips of this footage' }).getByRole('button', { expanded: false });
  if (await more.isVisible()) await more.click();
  await page.getByTestId('about').waitFor();
};

/** Waits until the picture that was asked for is the one that is shown. */
export const settled = (page: Page) => page.locator('[data-testid=picture][data-settled=true]').waitFor();

export const frameSaid = async (page: Page): Promise<number> =>
  Number(await page.getByTestId('picture').getAttribute('data-frame'));

/** The library as the server has it. */
export const libraryOf = async (page: Page, url: string): Promise<Library> =>
  (await (await page.request.get(`${url}/api/library`)).json()) as Library;

/** The clip that the bench has in hand; asked of the page itself, whose address is ahead of what the browser has told of it. */
export const clipInHand = async (page: Page): Promise<string | null> =>
  new URL(await page.evaluate(() => location.href)).searchParams.get('clip');

/** The attempt that the bench has in hand, as the server has it. */
export const attemptInHand = async (page: Page, url: string): Promise<Attempt> => {
  await saved(page).waitFor();
  const { clips, attempts } = await libraryOf(page, url);
  const inHand = await clipInHand(page);
  const clip = clips.find((c) => c.id === inHand)!;
  return attempts.find((a) => a.id === clip.attemptId)!;
};

/** Says one text after the other in a completing field of the phrase. */
export const sayIn = async (page: Page, name: string, texts: readonly string[]): Promise<void> => {
  const field = page.getByRole('combobox', { name });
  for (const text of texts) {
    await field.fill(text);
    await field.press('Enter');
  }
};

/** Draws a right angle from the middle of the picture, by keys alone. */
export const drawRightAngle = async (page: Page): Promise<void> => {
  for (const key of ['#', 'v', 'Enter']) await page.keyboard.press(key);
  for (const key of ['ArrowRight', 'ArrowUp']) {
    for (let i = 0; i < 4; i++) await page.keyboard.press(`Shift+${key}`);
    await page.keyboard.press('Enter');
  }
};
