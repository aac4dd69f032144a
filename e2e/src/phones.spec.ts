import { expect, openAbout, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

test.use({ product: 'written' });

const phone = (page: Page, which: 'first' | 'second') => page.locator(`[data-phone=${which}]`);
const row = (page: Page, name: string) => page.locator('[data-coming]', { hasText: name });

// in `npm test`: what phones film in `standIns.test.ts`, a connection lost and sound that lines up in `intake.spec.ts`
test('when two phones film one bout, one of them losing its connection, both should come in and be lined up from what they heard @stress', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await phone(page, 'first').getByRole('button', { name: 'Film, and lose the connection' }).click();
  await expect(phone(page, 'first')).toHaveAttribute('data-state', 'without connection', { timeout: 60_000 });
  await expect(row(page, 'phone-first.mov')).toContainText('Broke off at');
  await phone(page, 'first').getByRole('button', { name: 'It has a connection again' }).click();
  await expect(row(page, 'phone-first.mov')).toContainText('Taken in', { timeout: 60_000 });
  await phone(page, 'second').getByRole('button', { name: 'Film and send' }).click();
  await expect(row(page, 'phone-second.mp4')).toContainText('Taken in', { timeout: 60_000 });

  await row(page, 'phone-first.mov').getByRole('button', { name: 'Say what it is' }).click();
  const sheet = page.getByRole('form', { name: 'Who’s who?' });
  await sheet.getByLabel('Title').fill('Filmed at the edge');
  await sheet.getByLabel('First athlete').fill('Isolde Marrable');
  await sheet.getByLabel('Second athlete').fill('Tovi Askerud');
  await sheet.getByText('highlights only').click();
  await sheet.getByRole('button', { name: 'Add to library' }).click();
  await page.waitForURL('**/break-down/*');
  await page.getByRole('link', { name: 'Footage' }).click();
  await row(page, 'phone-second.mp4')
    .getByRole('combobox', { name: 'Another camera of' })
    .selectOption({ label: 'Filmed at the edge' });
  await page.waitForURL('**/break-down/*camera=*');
  await settled(page);
  const panel = page.getByTestId('line-up');
  await expect(async () => {
    await panel.getByRole('button', { name: 'Find it from the sound' }).click();
    await expect(panel).toContainText('Found.', { timeout: 3000 });
  }).toPass({ timeout: 90_000 });
  const starts = Number(/Starts ([\d.]+) s after/.exec((await panel.textContent())!)![1]);
  // the first picture of the one is the second that there is from 6 s of the bout on (its rate varies, the first is left out);
  // the other, which came 3.72 s late itself, began at 7.4 s of what it saw
  expect(Math.abs(starts - (7.4 + 3.72 - 6.04))).toBeLessThan(1 / 50);
});

test('when the scoreboard is asked, every frame should show what was left then', async ({ page, running }) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  await openAbout(page);
  await page.getByTestId('clock-here').getByRole('button', { name: 'Ask the scoreboard' }).click();
  await expect(page.getByTestId('match-clock')).toHaveText('6:00 left');
  await saved(page).waitFor();
  await page.keyboard.press('g');
  await page.getByLabel('Go to').fill('5:48 left');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('match-clock')).toHaveText('5:48 left');
  await page.getByRole('link', { name: 'Footage' }).click();
  await openBench(page, 'Guard class: lapels, sweeps, collars');
  await page.getByTestId('clock-here').getByRole('button', { name: 'Ask the scoreboard' }).click();
  await expect(page.getByTestId('clock-here')).toContainText('The scoreboard has no times');
});

// in `npm test`: thinned and made again in `disk.test.ts`
test('when what is for stepping is thinned, there should be room, and it should come back when the footage is opened @stress', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/academy/disk`);
  const file = page.locator('[data-file="leg-class.mp4"]');
  await expect(file).toContainText('Leg class: into the legs, slowly');
  await file.getByRole('button', { name: 'Thin' }).click();
  await expect(file).toContainText('thinned');
  await page.getByRole('link', { name: 'Footage' }).click();
  await openBench(page, 'Leg class: into the legs, slowly');
  // meanwhile the file is shown as it came
  await expect(page.locator('video')).toHaveAttribute('src', /media$/);
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  await page.goto(`${running.url}/academy/disk`);
  await expect(async () => {
    await page.reload();
    await expect(file.getByRole('button', { name: 'Thin' })).toBeVisible({ timeout: 1500 });
  }).toPass({ timeout: 60_000 });
});
