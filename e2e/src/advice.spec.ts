import type { Library } from '@odograph/core';
import { expect, libraryOf, openBench, saved, settled, signIn, test, type Page } from './support/test.js';

test.use({ product: 'detail' });

const principle = (page: Page, sentence: string) => page.getByTestId('principle').filter({ hasText: sentence });
const kept = async (page: Page, url: string): Promise<Library> => {
  await saved(page).waitFor();
  return libraryOf(page, url);
};

test('when a principle is typed, it should be held against the attempts, clash with what says otherwise, and give way to the coach’s word', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await page.goto(`${running.url}/principles`);
  const form = page.getByRole('form', { name: 'A new principle' });
  await form.getByRole('button', { name: 'Add principle' }).click();
  await expect(form.getByRole('alert').first()).toHaveText(/Say where it applies/);
  await form.getByLabel('Applies to').fill('closed guard bottom');
  await form.getByLabel('What has to be there').fill('their posture upright');
  await form.getByLabel('In your words').fill('Let them sit up first');
  await expect(form).toContainText('Read as: closed guard, bottom.');
  await form.getByRole('button', { name: 'Add principle' }).click();

  // four attempts from closed guard say how they sat
  const own = principle(page, 'Let them sit up first');
  await expect(own).toContainText(/with it, worked \d of \d; without it, worked \d of \d/);
  const [clash] = [page.getByTestId('clash').filter({ hasText: 'Let them sit up first' })];
  await expect(clash).toContainText('Break their posture before you attack');
  await expect(clash).toContainText('two different things at once');
  await clash.getByRole('button', { name: 'Take this one' }).first().click();
  await expect(clash.getByRole('button', { name: 'Keep both' })).toBeVisible();
  expect((await kept(page, running.url)).principles.filter((p) => p.standing === 'other')).toHaveLength(1);
  await clash.getByRole('button', { name: 'Keep both' }).click();

  const before = (await own.textContent())!;
  await own.getByRole('button', { name: 'Show the attempts' }).click();
  await own.getByTestId('principle-case').first().getByText('Against', { exact: true }).click();
  await expect(own).toContainText('by your word');
  expect(before).not.toContain('by your word');
  const { principles, clips } = await kept(page, running.url);
  const made = principles.find((p) => p.sentence === 'Let them sit up first')!;
  expect(made).toMatchObject({ strength: 'required', standing: 'kept', clipsFor: [] });
  expect(clips.map((c) => c.id)).toContain(made.clipsAgainst[0]);
  await own.getByRole('button', { name: 'Remove' }).click();
  await expect(own).toHaveCount(0);
  await expect(clash).toHaveCount(0);
});

test('when something is put on the list from the bench and by hand, it should be found there, be counted, and be done', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Thursday sparring, third round');
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  await page.keyboard.press('!');
  await page.keyboard.type('question which hand posts?');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await page.goto(`${running.url}/to-do`);
  const todo = (text: string) => page.getByTestId('todo').filter({ hasText: text });
  await expect(todo('which hand posts?')).toContainText('Thursday sparring, third round, 0:00.10');

  // of nine that were announced one is on no clip, and is named until one is
  const announced = todo('Everything that was announced');
  await expect(announced).toContainText('9 announced, 8 here; missing: triangle when they stack');
  await announced.getByRole('combobox', { name: 'Clip that shows triangle' }).fill('triangle guard');
  await page.keyboard.press('Enter');
  await expect(announced).toContainText('9 announced, 9 here; complete');

  await expect(todo('Hip bump when they lean back')).toContainText(/Tried \d times, worked \d/);
  await expect(todo('Let the collar go')).toContainText(/\d\.\d s later: Tovi Askerud/);

  const form = page.getByRole('form', { name: 'Something to do' });
  await form.getByText('to find or film', { exact: true }).click();
  await form.getByLabel('What exactly').fill('The lapel sweep against somebody heavy');
  await form.getByLabel('Which position and entry').fill('lapel-wrap guard bottom, lapel sweep');
  await expect(form).toContainText('Read as: lapel-wrap guard, bottom');
  await form.getByRole('button', { name: 'Add', exact: true }).click();
  const made = todo('The lapel sweep against somebody heavy');
  await made.getByText('done', { exact: true }).click();
  await expect(made).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Open or not' }).selectOption('done');
  await expect(made).toBeVisible();
  expect((await kept(page, running.url)).todos.find((t) => t.text.startsWith('The lapel'))).toMatchObject({
    ...{ kind: 'find', status: 'done', action: 'lapel-sweep', state: { position: 'lapel-guard', role: 'bottom' } },
  });
});

test('when shapes are drawn with the pointer, each point should be within a pixel where it was put, at half the size and mirrored, and be undone', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Early room, round without jackets');
  await page.keyboard.press('#');
  await page.keyboard.press('l');
  /** Where the picture itself lies in its box, in pixels of the screen. */
  const picture = async () => {
    const box = (await page.getByTestId('picture').boundingBox())!;
    const { width, height } = await page
      .locator('video')
      .evaluate((v: HTMLVideoElement) => ({ width: v.videoWidth, height: v.videoHeight }));
    const scale = Math.min(box.width / width, box.height / height);
    const [w, h] = [width * scale, height * scale];
    return { x: box.x + (box.width - w) / 2, y: box.y + (box.height - h) / 2, w, h };
  };
  const put = [
    [0.25, 0.25],
    [0.5, 0.75],
    [0.75, 0.3],
  ] as const;
  const drawnOn = await picture();
  for (const [x, y] of [...put, put[2]]) await page.mouse.click(drawnOn.x + x * drawnOn.w, drawnOn.y + y * drawnOn.h);
  const line = page.getByTestId('drawn').locator('[data-shape=line] path').last();
  await line.waitFor();
  await page.keyboard.press('Escape');
  /** The points of the line on the screen. */
  const points = (): Promise<(readonly [number, number])[]> =>
    line.evaluate((path: SVGPathElement) => {
      const matrix = path.getScreenCTM()!;
      return [...path.getAttribute('d')!.matchAll(/([\d.]+) ([\d.]+)/g)].map(([, x, y]) => {
        const at = new DOMPoint(Number(x), Number(y)).matrixTransform(matrix);
        return [at.x, at.y] as const;
      });
    });
  const areWithinAPixel = async (isMirrored: boolean): Promise<void> => {
    const now = await picture();
    const seen = await points();
    expect(seen).toHaveLength(put.length);
    for (const [i, [x, y]] of put.entries()) {
      expect(Math.abs(seen[i]![0] - (now.x + (isMirrored ? 1 - x : x) * now.w))).toBeLessThan(1);
      expect(Math.abs(seen[i]![1] - (now.y + y * now.h))).toBeLessThan(1);
    }
  };
  await areWithinAPixel(false);
  await page.setViewportSize({ width: 700, height: 560 });
  await expect.poll(async () => (await picture()).w).toBeLessThan(drawnOn.w * 0.8);
  await areWithinAPixel(false);
  await page.keyboard.press('z');
  await expect(page.getByTestId('picture')).toHaveAttribute('data-mirrored', 'true');
  await areWithinAPixel(true);
  await page.keyboard.press('z');
  await page.setViewportSize({ width: 1280, height: 800 });

  // it lies on its frame alone, and goes and comes with undo and redo
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('drawn')).toHaveCount(0);
  await page.keyboard.press('ArrowLeft');
  await line.waitFor();
  await saved(page).waitFor();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('drawn')).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await line.waitFor();

  // where the pointer goes while it plays is kept with it, and is seen again at the same frames
  await page.keyboard.press('#');
  await page.getByRole('button', { name: 'Record the pointer' }).click();
  const stop = page.getByRole('button', { name: 'Recording the pointer: stop' });
  await stop.waitFor();
  const played = await picture();
  for (let i = 0; i < 20; i++) await page.mouse.move(played.x + played.w * (0.3 + i / 50), played.y + played.h / 2);
  const ways = async () => (await libraryOf(page, running.url)).drawings.filter((d) => d.track.length);
  const had = (await ways()).map((d) => d.id);
  await expect
    .poll(async () => {
      for (const x of [0.4, 0.5, 0.6]) await page.mouse.move(played.x + played.w * x, played.y + played.h / 2);
      return Number(await page.getByTestId('picture').getAttribute('data-frame'));
    })
    .toBeGreaterThan(8);
  await stop.click();
  await expect(page.getByText('with the pointer’s way')).toBeVisible();
  await saved(page).waitFor();
  const [drawn] = (await ways()).filter((d) => !had.includes(d.id));
  const way = drawn?.track ?? [];
  expect(way.length).toBeGreaterThan(2);
  for (const at of way) expect([at.x > 0.25 && at.x < 0.75, Math.abs(at.y - 0.5) < 0.02]).toEqual([true, true]);
  await page.keyboard.press('Escape');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await settled(page);
  await expect(page.getByTestId('drawn').getByTestId('pointer')).toBeVisible();
});
