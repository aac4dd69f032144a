import {
  attemptInHand,
  drawRightAngle,
  expect,
  frameSaid,
  libraryOf,
  openBench,
  sayIn,
  settled,
  signIn,
  test,
  type Page,
} from './support/test.js';

test.use({ product: 'detail' });

/** Words and controls that are seen on the bench, but for those of the clips that are told. */
const seenAtRest = (page: Page): Promise<{ readonly words: number; readonly controls: number }> =>
  page.evaluate(() => {
    const isSeen = (element: Element): boolean => {
      const { width, height, top, bottom } = element.getBoundingClientRect();
      return (
        width > 0 && height > 0 && bottom > 0 && top < innerHeight && !element.closest('[data-testid=exchange], style')
      );
    };
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    let words = 0;
    while (walker.nextNode()) {
      const { parentElement, textContent } = walker.currentNode;
      if (parentElement && isSeen(parentElement)) words += textContent!.split(/\s+/).filter(Boolean).length;
    }
    const controls = document.querySelectorAll(
      'button, a[href], input, select, textarea, [role=slider], [role=button]',
    );
    return { words, controls: [...controls].filter(isSeen).length };
  });
/** Before anything of why it went so could be told: it costs nothing while nobody tells it. */
const BEFORE = { words: 84, controls: 25 };
const WHY = 'What else there was, and why';
test('when a near finish is told in full, all of it should be kept, shown by the inset of another camera, found again by each of it, and held beside the other try', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Harbour Open, second round');
  const rest = await seenAtRest(page);
  expect(rest.words).toBeLessThanOrEqual(BEFORE.words);
  expect(rest.controls).toBeLessThanOrEqual(BEFORE.controls);
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await settled(page);
  const before = await attemptInHand(page, running.url);
  expect(before).toMatchObject({ action: 'foot-twist', result: 'failed', depth: 3, facts: [], links: [] });

  // how they stood, by keys on the board alone
  await page.keyboard.press('h');
  const board = page.getByTestId('board');
  await expect(board).toBeFocused();
  for (const letters of ['stood', 'hips', 'hipsoff', 'atcommit', 'done']) {
    await page.keyboard.type(letters);
    await page.keyboard.press('Enter');
  }
  await expect(board.getByRole('button', { name: 'hips off the mat at commit' })).toBeVisible();
  await page.keyboard.press('Escape');

  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  const until = await frameSaid(page);
  await sayIn(page, 'Grips', ['right knee bent', 'left hand on left heel', 'at the heel', 'to pull']);
  await sayIn(page, 'Grips', ['right hand on left heel', 'from the left hand']);
  await sayIn(page, 'Their reaction', ['roll through', 'too late', 'decided it']);
  await page.getByRole('textbox', { name: 'Note' }).click();
  await sayIn(page, WHY, [
    'they could have hide the heel',
    'until this frame',
    'we could have straight ankle lock',
    'until this frame',
    'hips off the mat enables foot twist',
    'right hand on their left heel enables foot twist',
    'roll through prevents foot twist',
    'failed: felt',
    'wanted straight knee lock',
    'run: three ways to the foot',
  ]);
  await page.keyboard.press('Escape');
  const told = await attemptInHand(page, running.url);
  expect(told).toMatchObject({
    aim: { kind: 'submission', submission: 'straight-kneelock' },
    runName: 'three ways to the foot',
    evidence: [{ part: 'result', how: 'felt', proof: null }],
  });
  expect(told.facts[0]).toMatchObject({ fact: 'hips', value: 'off', when: 'commit' });
  const [first, second] = told.controls.slice(-2);
  expect(first).toMatchObject({ limbSide: 'left', target: 'heel', place: 'heel', purposes: ['pull'] });
  expect(second).toMatchObject({ limbSide: 'right', handed: true, handedFrom: first!.id });
  expect(told.reactions.at(-1)).toMatchObject({ quality: 'late', deciding: true });
  expect(told.alternatives).toMatchObject([{ until: { frame: until } }, { until: { frame: until } }]);
  expect(told.links).toHaveLength(3);
  await expect(page.getByText(/s to act, \d+ frames/).first()).toBeVisible();

  // an instant by a name of its own, and the run played as one by its name
  await page.keyboard.press('@');
  await page.getByLabel('What happens here').fill('heel slips');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('own-instant')).toContainText('heel slips');
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowUp');
  await settled(page);
  await page.getByRole('textbox', { name: 'Note' }).click();
  await sayIn(page, WHY, ['run: three']);
  await page.keyboard.press('Escape');
  expect(await attemptInHand(page, running.url)).toMatchObject({
    action: 'heel-twist',
    runName: 'three ways to the foot',
  });
  await expect(page.getByTestId('run')).toContainText('three ways to the foot');
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('run')).toContainText('three ways to the foot');
  await page.keyboard.press('$');
  await expect(page.getByTestId('picture')).toHaveAttribute('data-playing', 'true');
  await page.keyboard.press(' ');
  await expect(page.getByTestId('picture')).toHaveAttribute('data-playing', 'false');

  // an angle drawn on it
  await page.keyboard.press('Home');
  await drawRightAngle(page);
  await expect(page.getByTestId('drawn').getByText('90° in the picture')).toBeVisible();
  await page.keyboard.press('Escape');
  // a small picture in the picture is marked once, and is the camera that shows what was felt
  await page.keyboard.press('_');
  const inset = page.getByTestId('inset');
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(inset).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('part')).toBeVisible();
  const [angle] = (await libraryOf(page, running.url)).angles.filter((a) => a.region);
  const rounded = (n: number): number => Math.round(n * 100) / 100;
  expect([angle!.region!.left, angle!.region!.right, angle!.region!.bottom].map(rounded)).toEqual([0.6, 0.9, 0.31]);
  await expect(page.getByText('isn’t cut from this camera yet')).toBeVisible();
  await settled(page);
  await page.keyboard.press('k');
  await page.getByRole('group', { name: 'Phrase' }).waitFor();
  await settled(page);
  await page.getByRole('textbox', { name: 'Note' }).click();
  await sayIn(page, WHY, ['this frame shows it']);
  const proved = await attemptInHand(page, running.url);
  expect(proved.evidence[0]!.proof).toMatchObject({ kind: 'frame', angleId: angle!.id });

  // beside the heel hook that came before it
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  await expect(page.getByTestId('part')).toHaveCount(0);
  await page.getByRole('group', { name: 'Phrase' }).waitFor();
  await settled(page);
  await page.keyboard.press('q');
  const tries = page.getByTestId('tries');
  const heel = tries.getByRole('option', { name: /heel hook/ });
  await tries.getByRole('combobox').selectOption(await heel.getAttribute('value'));
  await expect(tries.getByRole('row').filter({ hasText: 'how they stood' }).first()).toBeVisible();

  for (const facet of [
    'near=near finish',
    'fact=hips off subject',
    'aim=won:straight-kneelock',
    'run=three ways to the foot',
    'how=felt',
    'quality=late',
  ]) {
    await page.goto(`${running.url}/clips?${facet.replaceAll(' ', '%20')}`);
    await expect(page.getByRole('listitem').filter({ hasText: 'foot twist' }).first()).toBeVisible();
  }
});
