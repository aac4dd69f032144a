// node page.mjs URL E-MAIL PASSWORD: the longest tasks of the page on the map, as the browser reports them, in milliseconds.
import { createRequire } from 'node:module';
import { join } from 'node:path';

const { chromium } = createRequire(join(import.meta.dirname, '../../e2e/package.json'))('@playwright/test');
const [url, email, password] = process.argv.slice(2);
const OPENINGS = 7;
const QUIET_MS = 1000;

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const longest = { opening: [], slider: [], place: [] };
try {
  for (let i = 0; i < OPENINGS; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.request.post(`${url}/api/sign-in`, { data: { email, password }, headers: { origin: url } });
    const page = await context.newPage();
    await page.addInitScript(() => {
      window.tasks = [];
      window.lastAt = 0;
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.tasks.push(Math.round(duration));
        window.lastAt = performance.now();
      }).observe({ type: 'longtask', buffered: true });
    });
    /** The longest task since it was asked last, once nothing was long for a while; 0 = none over 50 ms. */
    const worst = async () => {
      await page.evaluate(() => (window.lastAt = Math.max(window.lastAt, performance.now())));
      await page.waitForFunction((ms) => performance.now() - window.lastAt > ms, QUIET_MS);
      return page.evaluate(() => Math.max(0, ...window.tasks.splice(0)));
    };
    await page.goto(`${url}/map`);
    await page.locator('[data-place]').first().waitFor();
    longest.opening.push(await worst());
    const before = await page.locator('[data-place]').count();
    await page.getByRole('slider').first().press('End');
    await page.waitForFunction((n) => document.querySelectorAll('[data-place]').length > n, before);
    longest.slider.push(await worst());
    await page.locator('[data-place]').first().focus();
    await page.keyboard.press('Enter');
    await page.getByRole('complementary').waitFor();
    longest.place.push(await worst());
    await context.close();
  }
} finally {
  await browser.close();
}
process.stdout.write(JSON.stringify(longest));
