import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Running, ROOT } from './support/running.js';
import { expect, signIn, test, type Page } from './support/test.js';

const seeded = (size: 'S' | 'M') => ({
  email: `coach@seeded-${size.toLowerCase()}.example`,
  password: 'seeded-mat-5',
});

type Box = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };

/** What covers what on the map at rest: names of places each other, a dot, or where a line begins or ends. */
const covered = (page: Page): Promise<readonly string[]> =>
  page.getByTestId('map').evaluate((map) => {
    const places = [...map.querySelectorAll('[data-place]')].map((place) => ({
      id: place.getAttribute('data-place')!,
      text: place.querySelector('text')!.getBoundingClientRect(),
      dot: place.querySelector('ellipse, rect')!.getBoundingClientRect(),
    }));
    const ends = [...map.querySelectorAll('[data-line]')].flatMap((line) => {
      const path = line.querySelectorAll('path')[1]!;
      const to = path.getScreenCTM()!;
      return [0, path.getTotalLength()].map((at) => {
        const { x, y } = path.getPointAtLength(at).matrixTransform(to);
        return { id: line.getAttribute('data-line')!, x, y };
      });
    });
    const over = (a: Box, b: Box): boolean =>
      a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
    const texts = [...map.querySelectorAll('text')].filter(
      (t) => t.closest('[data-place]') === null && t.closest('[data-line]'),
    );
    return [
      ...places.flatMap((a, i) =>
        places.slice(i + 1).flatMap((b) => (over(a.text, b.text) ? [`${a.id} on ${b.id}`] : [])),
      ),
      ...places.flatMap((a) =>
        places.flatMap((b) => (a !== b && over(a.text, b.dot) ? [`${a.id} on the dot of ${b.id}`] : [])),
      ),
      ...places.flatMap(({ id, text }) =>
        ends.flatMap(({ id: line, x, y }) =>
          over(text, { left: x, right: x, top: y, bottom: y }) ? [`${id} on an end of ${line}`] : [],
        ),
      ),
      ...texts.map((t) => `words at rest: ${t.textContent}`),
    ];
  });

test('when the map rests at 1280 by 800, no name should cover another, a dot, or the end of a line', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/map`);
  await page.locator('[data-place]').first().waitFor();
  expect(await covered(page)).toEqual([]);
});

test('on a map of hundreds of places, everything should be reached by keys alone, and nothing be covered at rest', async ({
  page,
}) => {
  test.slow();
  const waiting: string[] = [];
  const running = await Running.start({}, (folder) => {
    mkdirSync(join(folder, 'waiting'), { recursive: true });
    for (const size of ['S', 'M']) {
      const out = join(folder, 'waiting', `seeded-${size}.json`);
      const made = spawnSync(process.execPath, [join(ROOT, 'demo/dist/cli/seeded.js'), size, '1', out]);
      if (made.status !== 0) throw new Error(String(made.stderr));
      waiting.push(out);
    }
  });
  try {
    await expect.poll(() => waiting.filter((file) => existsSync(file)), { timeout: 240_000 }).toEqual([]);
    for (const size of ['S', 'M'] as const) {
      await page.context().clearCookies();
      await signIn(page, running.url, seeded(size));
      await page.goto(`${running.url}/map`);
      await page.locator('[data-place]').first().waitFor();
      expect(await page.locator('[data-line]').count()).toBeLessThanOrEqual(60);
      expect(await covered(page), size).toEqual([]);
    }

    const focused = () => page.evaluate(() => document.activeElement?.getAttribute('data-place') ?? null);
    for (let i = 0; i < 60 && (await focused()) === null; i++) await page.keyboard.press('Tab');
    const first = await focused();
    expect(first).not.toBeNull();
    await page.keyboard.press('ArrowRight');
    const second = await focused();
    expect([second === null, second === first]).toEqual([false, false]);
    await page.keyboard.press('Enter');
    const sheet = page.getByRole('complementary');
    await expect(sheet).toBeVisible();
    // back to the whole map, and to the place again
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
    await page.locator(`[data-place="${second}"]`).focus();
    await page.keyboard.press('Enter');
    const answers = sheet.getByRole('link', { name: 'What answers what' });
    await expect(answers).toBeVisible();
    const isThere = () => answers.evaluate((link) => link === document.activeElement);
    for (let i = 0; i < 250 && !(await isThere()); i++) await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('answers')).toBeVisible();
    expect(new URL(page.url()).searchParams.get('place')).toBe(second);
    // a box of the table, and out of it
    const inBox = () => page.evaluate(() => document.activeElement?.closest('[data-cell]')?.getAttribute('data-cell'));
    for (let i = 0; i < 80 && !(await inBox()); i++) await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('complementary')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('complementary')).toHaveCount(0);
  } finally {
    await running.dispose();
  }
});
