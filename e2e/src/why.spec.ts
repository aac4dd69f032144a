import { AxeBuilder } from '@axe-core/playwright';
import {
  attemptInHand,
  drawRightAngle,
  expect,
  frameSaid,
  libraryOf,
  openBench,
  sayIn,
  saved,
  settled,
  signIn,
  test,
  type Page,
} from './support/test.js';

test.use({ product: 'why' });

const noFaults = async (page: Page): Promise<void> =>
  expect((await new AxeBuilder({ page }).analyze()).violations.map((v) => v.id)).toEqual([]);

test('when it is told in full why a sweep failed, all of it should be kept, found again by each part, and be held beside its second try', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  // by what it says: others of its product may have told clips before it
  await page
    .getByRole('region', { name: 'Clips of this footage' })
    .getByRole('button', { name: /hip-bump sweep/ })
    .first()
    .click();
  await settled(page);
  await expect.poll(() => attemptInHand(page, running.url)).toMatchObject({ action: 'hip-bump', result: 'failed' });
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await settled(page);
  const until = await frameSaid(page);

  await sayIn(page, 'Grips', [
    'hips up',
    'my arms inside',
    'right hand on left wrist',
    'at the wrist',
    'to pull',
    'not seen',
  ]);
  await sayIn(page, 'Their reaction', ['too late', 'with the left hand', 'decided it']);
  await page.getByRole('textbox', { name: 'Note' }).click();
  await sayIn(page, 'What else there was, and why', [
    'they could have posture up',
    'but hesitated',
    'until this frame',
    'we could have guillotine',
    'until this frame',
    'hips off the mat enables hip bump',
    'post a hand prevents hip bump',
    'both arms inside delays post a hand',
    'perhaps',
    'failed: felt',
  ]);
  await page.keyboard.press('Escape');

  const told = await attemptInHand(page, running.url);
  expect(told.facts.slice(-2)).toMatchObject([
    { fact: 'hips', value: 'off', whose: 'subject', when: 'start' },
    { fact: 'arms-inside', value: 'both', whose: 'subject' },
  ]);
  expect(told.controls.at(-1)).toMatchObject({ target: 'wrist', place: 'wrist', purposes: ['pull'], hidden: true });
  expect(told.reactions).toMatchObject([
    { what: 'posts', quality: 'late', deciding: true, limb: 'hand', side: 'left' },
  ]);
  expect(told.alternatives.slice(-2)).toMatchObject([
    { by: 'opponent', what: 'postures', why: 'hesitated', until: { frame: until } },
    { by: 'subject', what: 'front-choke', until: { frame: until } },
  ]);
  const [hips, arms] = told.facts.slice(-2).map((f) => `fact:${f.id}`);
  const posts = `reaction:${told.reactions[0]!.id}`;
  expect(told.links.slice(-3)).toMatchObject([
    { from: { part: hips }, to: { part: 'action' }, kind: 'enables', isSure: true },
    { from: { part: posts }, to: { part: 'action' }, kind: 'prevents', isSure: true },
    { from: { part: arms }, to: { part: posts }, kind: 'delays', isSure: false },
  ]);
  expect(told.evidence).toEqual([{ part: 'result', how: 'felt', proof: null, by: null }]);

  // it counters what they did just before, by one key, and by the same key no more
  await page.keyboard.press('&');
  await expect(page.getByText(/A counter to the one at/)).toBeVisible();
  await page.keyboard.press('&');
  await expect(page.getByText(/A counter to the one at/)).toHaveCount(0);

  // an angle on the frozen frame, by keys alone
  await drawRightAngle(page);
  await expect(page.getByTestId('drawn').getByText('90° in the picture')).toBeVisible();
  await noFaults(page);
  await page.keyboard.press('Escape');
  await saved(page).waitFor();
  const drawn = (await libraryOf(page, running.url)).drawings.find((d) => d.from.frame === until)!;
  expect(drawn.shapes).toMatchObject([{ kind: 'angle', points: [{ x: 0.5, y: 0.5 }, {}, {}] }]);
  expect(drawn.to.frame).toBe(until);

  // what is taken away takes along what stands on it alone
  await page.keyboard.press('y');
  const reasons = page.getByTestId('reasons');
  const details = reasons.getByRole('list', { name: 'What made what possible' });
  await details.getByRole('button', { name: 'hips off the mat' }).click();
  await expect(reasons.getByRole('status')).toHaveText('Without it one more falls.');
  await expect(details.getByRole('button', { name: /^hip-bump sweep/ })).toContainText('falls');
  await details.getByRole('button', { name: 'post a hand' }).click();
  await expect(reasons.getByRole('status')).toContainText('One comes back.');
  // a link by two keys: from here to the result
  await page.keyboard.press('f');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(reasons).toContainText('post a hand forces failed');
  // another one by dragging from detail to detail: *enables*, until enter is pressed or a letter says otherwise
  const linksBefore = (await attemptInHand(page, running.url)).links.length;
  await details.getByRole('button', { name: /both arms inside/ }).hover();
  await page.mouse.down();
  await details.getByRole('button', { name: /^failed/ }).hover();
  await page.mouse.up();
  await expect(reasons.getByRole('status')).toContainText('“both arms inside” enables');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await attemptInHand(page, running.url)).links.length).toBe(linksBefore + 1);
  expect((await attemptInHand(page, running.url)).links.at(-1)).toMatchObject({
    to: { part: 'result' },
    kind: 'enables',
  });
  await noFaults(page);
  await page.keyboard.press('q');
  const tries = page.getByTestId('tries');
  await expect(tries).toContainText('Beside another try');

  // the second try beside the first
  await page.keyboard.press('ArrowDown');
  await expect(tries.getByRole('row').filter({ hasText: 'result' })).toContainText('failedworked');
  await expect(tries).toContainText('Came with the change');
  await expect(tries.getByRole('row').filter({ hasText: 'how it was done' })).toContainText('by going off to the side');
  await noFaults(page);
  await page.keyboard.press('Escape');

  // another angle is needed, until the second camera shows it
  await page.goto(`${running.url}/doubts`);
  const needed = page.getByTestId('angle-needed');
  await expect(needed.filter({ hasText: 'right hand on their left wrist (not seen)' })).toHaveCount(1);
  const felt = needed.filter({ hasText: 'failed (felt or heard)' }).filter({ hasText: 'hip-bump' });
  await felt.getByRole('link').click();
  await page.getByRole('group', { name: 'Phrase' }).waitFor();
  await page.keyboard.press('c');
  await expect(page.getByText('isn’t cut from this camera yet')).toBeVisible();
  await settled(page);
  await page.keyboard.press('k');
  await page.getByRole('group', { name: 'Phrase' }).waitFor();
  await settled(page);
  const shown = await frameSaid(page);
  await page.getByRole('textbox', { name: 'Note' }).click();
  await sayIn(page, 'What else there was, and why', ['this frame shows it']);
  const proved = await attemptInHand(page, running.url);
  expect(proved.evidence[0]!.proof).toMatchObject({ kind: 'frame', frame: shown });
  expect(proved.evidence[0]!.proof).not.toMatchObject({ angleId: proved.angleId });

  // where that camera is blocked, the proof is pointed out
  await page.keyboard.press('Escape');
  await page.getByTestId('picture').click();
  await page.keyboard.press('%');
  await page.keyboard.press('2');
  await saved(page).waitFor();
  await page.goto(`${running.url}/doubts`);
  await expect(page.getByTestId('unclear-proof')).toContainText('failed (blocked by the referee)');

  // what nobody has taken yet stands at its place on the map
  await page.goto(`${running.url}/map?place=closed-guard/bottom`);
  const sheet = page.getByRole('complementary');
  await expect(sheet.getByText('Only said, never seen')).toBeVisible();
  await expect(sheet.getByText('guillotine').or(sheet.getByText('front choke')).first()).toBeVisible();
  await expect(sheet.getByText('Break their posture before you attack')).toBeVisible();

  for (const facet of [
    'fact=hips off subject',
    'alternative=opponent reaction postures',
    'how=hidden',
    'how=felt',
    'quality=late',
  ]) {
    await page.goto(`${running.url}/clips?${facet.replaceAll(' ', '%20')}`);
    await expect(page.getByRole('listitem').filter({ hasText: 'hip-bump sweep' }).first()).toBeVisible();
  }
});
