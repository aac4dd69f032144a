import { readFileSync } from 'node:fs';
import type { Prepared } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { Asker, Parts } from './support/parts.js';
import { stepAround } from './support/stepAround.js';
import { frameShown } from './support/strip.js';
import { isThorough } from './support/thorough.js';
import { expect, frameSaid, settled, test } from './support/test.js';
import { madeOf, numbersIn } from './support/video.js';

const parts = new Parts();
test.beforeAll(() => parts.databaseUp());
test.afterAll(() => parts.dispose());

test('when footage that no browser plays is still being made ready, the bench should begin with the part that is there, each frame exact, and go on at the same frame with all of it', async ({
  page,
}) => {
  // slowed down to 108 s: there is a part from 60 s on, and no second one before the whole
  const bytes = readFileSync(
    madeOf('lantern-final', 'slow.ts', ['-vf', 'setpts=2.5*PTS', '-c:v', 'libx264', '-preset', 'ultrafast', '-an']),
  );
  const numbers = numbersIn(bytes);
  const asker = await Asker.founding(await parts.server());
  // it codes all of it, but never ends
  const doomed = parts.unendingWorker('*growing.mp4*pipe:1*');
  const fileId = await asker.send('slow.ts', bytes);
  await asker.untilJob('proxy', fileId, 'running');
  const [footageId, angleId] = [newId(), newId()];
  await asker.post('/api/footage', {
    ...{ editId: newId(), id: footageId, angleId, fileId, title: 'Filmed slowly', setting: 'training', gi: true },
    ...{ athleteA: { id: newId(), name: 'Orla Venn' }, athleteB: { id: newId(), name: 'Sten Abara' } },
  });

  await page.context().addCookies((await asker.client.storageState()).cookies);
  await page.goto(`${asker.url}/break-down/${footageId}`);
  await settled(page);
  await expect(page.locator('video')).toHaveAttribute('src', /\/part\?frames=\d+$/);
  const { readyFrames, proxy } = await asker.get<Prepared>(`/api/files/${fileId}/prepared`);
  expect(proxy).toBe(false);
  await expect(page.getByText(/^Ready up to 0:\d\d\.\d\d; the rest is on its way\.$/)).toBeVisible();
  expect(readyFrames).toBeGreaterThan(200);
  expect(readyFrames).toBeLessThan(numbers.length);
  await stepAround(page, { moves: isThorough ? 24 : 10, seed: 25, numbers, ready: readyFrames });

  const stood = await frameSaid(page);
  await parts.kill(doomed);
  parts.sql(`UPDATE jobs SET lease_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE state = 'running'`);
  const next = parts.worker();
  await asker.untilJob('proxy', fileId, 'done');
  await expect(page.locator('video')).toHaveAttribute('src', /^blob:/);
  await settled(page);
  await expect(page.getByText('the rest is on its way')).toHaveCount(0);
  expect([await frameSaid(page), await frameShown(page)]).toEqual([stood, numbers[stood]]);
  await page.getByRole('slider', { name: 'Frame' }).focus();
  await page.keyboard.press('End');
  await page.locator(`[data-testid=picture][data-settled=true][data-frame="${numbers.length - 1}"]`).waitFor();
  expect(await frameShown(page)).toBe(numbers.at(-1));
  await parts.end(next);
});
