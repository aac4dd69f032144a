import {
  controlKey,
  depthWord,
  holdName,
  shippedWords,
  type Attempt,
  type Control,
  type Library,
} from '@odograph/core';
import { demoFootage, type DemoClip } from '@odograph/demo';
import { v7 as newId } from 'uuid';
import { COACH, expect, libraryOf, openAbout, saved, settled, signIn, test, type Page } from './support/test.js';
import { isThorough } from './support/thorough.js';
import { Typist, finishShown, placeShown } from './support/typist.js';

test.use({ product: 'breakdown' });
test.setTimeout(300_000);

const words = shippedWords();
const script = demoFootage().find((f) => f.bout.id === 'harbour-open')!;
const RESULTS = {
  success: 'worked',
  partial: 'partly',
  failed: 'failed',
  abandoned: 'dropped',
  shown: 'shown',
} as const;
/** What is told of the bout: all of it, or its first part. */
const TOLD = isThorough ? script.clips : script.clips.slice(0, 4);
/** Keys that a practised coach presses in a second. */
const KEYS_A_S = 5;

/** The bout as it lies on a shelf before anybody has said anything of it: nothing of what the demo says of it is known. */
const untold = async (page: Page, url: string): Promise<string> => {
  const before = await libraryOf(page, url);
  const told = before.footage.find((f) => f.title === script.bout.title)!;
  const { fileId } = before.angles.find((a) => a.footageId === told.id)!;
  const removed = await page.request.delete(`${url}/api/footage/${told.id}`, {
    data: { editId: newId(), baseVersion: told.version },
  });
  expect(removed.status()).toBe(200);
  const id = newId();
  const made = await page.request.post(`${url}/api/footage`, {
    data: {
      ...{ editId: newId(), id, angleId: newId(), fileId, title: 'Harbour, to be told', setting: 'competition' },
      ...{ logged: 'throughout', live: true, gi: false, counted: true, date: null, kitA: '', kitB: '' },
      athleteA: { id: told.athleteA, name: script.athletes[0].name },
      athleteB: { id: told.athleteB, name: script.athletes[1].name },
    },
  });
  expect(made.status()).toBe(200);
  return id;
};

const tell = async (page: Page, typist: Typist, clip: DemoClip, subjectSoFar: 'a' | 'b'): Promise<void> => {
  const { said } = clip;
  await typist.goTo(clip.inFrame);
  await typist.press('i');
  await typist.goTo(clip.outFrame - 1);
  await typist.press('o');
  await expect(page.getByRole('combobox', { name: 'From position' })).toBeFocused();
  if (said.subject !== subjectSoFar) {
    await typist.press('Shift+Tab');
    await typist.say('Whose action', script.athletes[said.subject === 'a' ? 0 : 1].name);
  }
  await typist.say('From position', placeShown(clip.state));
  await typist.sayAll(
    'Grips',
    clip.controls.map((c) => holdName(c, words)),
  );
  await typist.say('Entry', words.name('action', said.action));
  await typist.sayAll('Their reaction', [
    ...(said.reactions ?? []).map((r) => words.name('reaction', r)),
    ...(said.attack ? [words.name('action', said.attack)] : []),
  ]);
  await typist.say('Finish', finishShown(clip.finish));
  if (clip.finish.kind === 'reset') await typist.say('Restart in', placeShown(clip.finish.restart!));
  await typist.say('Result', RESULTS[said.result]);
  if (said.depth === undefined) await typist.press('Enter');
  else await typist.say('How far', depthWord(words.action(said.action)!, said.depth));
  if (said.result !== 'success')
    await typist.sayAll(
      'Why',
      (said.reasons ?? []).map((r) => words.name('reason', r)),
    );
  await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
  if (said.note) await page.keyboard.insertText(said.note);
  typist.keys += said.note?.length ?? 0;
  if (said.lead) {
    await typist.press('Tab');
    await typist.press('Tab');
    await typist.press('Tab');
    await typist.say('Which side', said.lead);
    // from where it is seen stays open
    await typist.press('Escape');
  } else await typist.press('Enter');
  // the instants of the attempt, each by its digit where the picture stands
  for (const [digit, frame, usual] of [
    ['2', clip.startFrame, clip.inFrame],
    ['5', clip.commitFrame, -1],
    ['8', clip.endFrame, clip.outFrame],
  ] as const) {
    if (frame === usual) continue;
    await typist.goTo(frame);
    await typist.press(digit);
  }
  // out of the clip's hand, so that the next one can be cut
  await typist.press('n');
};

const holdsOf = (controls: readonly Control[]): readonly string[] =>
  controls.map((c) => controlKey({ ...c, id: '', gained: null, lost: null })).sort();

const storedAs = ({ said, ...clip }: DemoClip) => ({
  subject: said.subject,
  state: clip.state,
  action: said.action,
  finish: clip.finish,
  result: said.result,
  depth: said.depth ?? null,
  lead: said.lead ?? null,
  holds: holdsOf(clip.controls),
  reactions: [...(said.reactions ?? []), ...(said.attack ? [said.attack] : [])],
  reasons: said.reasons ?? [],
  note: said.note ?? '',
  frames: [clip.inFrame, clip.startFrame, clip.commitFrame, clip.endFrame, clip.outFrame],
});
const stored = (attempt: Attempt, library: Library) => {
  const clip = library.clips.find((c) => c.attemptId === attempt.id)!;
  return {
    subject: attempt.subject,
    state: attempt.state,
    action: attempt.action,
    finish: attempt.finish,
    result: attempt.result,
    depth: attempt.depth,
    lead: attempt.lead,
    holds: holdsOf(attempt.controls),
    reactions: attempt.reactions.map((r) => r.what),
    reasons: attempt.reasons.map((r) => r.reason),
    note: clip.note,
    frames: [clip.in.frame, attempt.start.frame, attempt.commit?.frame ?? -1, attempt.end.frame, clip.out.frame],
  };
};

test('when a coach breaks down a bout by keyboard, with the server killed twice and the line cut once, what is stored should be the script of the bout', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const footageId = await untold(page, running.url);
  await page.goto(`${running.url}/break-down/${footageId}`);
  await settled(page);
  await openAbout(page);
  await expect(page.getByTestId('kept')).toContainText('The picture is in this browser');
  const typist = new Typist(page);
  let subject: 'a' | 'b' = 'a';
  const clips = TOLD;
  expect(script.clips.length).toBeGreaterThanOrEqual(15);
  const [kills, ups, cut, joined] = isThorough ? [[4, 9], [5, 10], 12, 13] : [[1, 2], [1, 2], 3, 3];
  for (const [i, clip] of clips.entries()) {
    if (kills.includes(i)) await running.killHard();
    if (i === cut) await page.context().setOffline(true);
    await tell(page, typist, clip, subject);
    subject = clip.said.subject;
    if (ups.includes(i)) await running.up();
    if (i === joined) await page.context().setOffline(false);
  }
  await saved(page).waitFor({ timeout: 60_000 });
  // nobody else was here: nothing may have been refused
  expect(await page.getByRole('alert').allInnerTexts()).toEqual([]);
  const library = await libraryOf(page, running.url);
  const attempts = library.attempts
    .filter((a) => a.footageId === footageId)
    .sort((a, b) => a.start.frame - b.start.frame);
  const told = attempts.map((a) => stored(a, library));
  expect(told).toEqual([...clips].sort((a, b) => a.startFrame - b.startFrame).map(storedAs));
  const seconds = typist.keys / KEYS_A_S;
  const footageS = script.cameras[0]!.frames / (30_000 / 1001);
  process.stdout.write(
    `${clips.length} attempts of ${footageS.toFixed(0)} s broken down with ${typist.keys} keys: ${seconds.toFixed(0)} s at ${KEYS_A_S} keys a second\n`,
  );
});

// in `npm test`: one attempt of both in `saved.spec.ts`, clips of others in `news.test.ts`
test('when two coaches have the same footage in hand, each should see the clips of the other appear, and two edits of one attempt at once both be kept @stress', async ({
  page,
  browser,
  running,
}) => {
  await signIn(page, running.url);
  const { footage } = await libraryOf(page, running.url);
  const id = footage.find((f) => f.title === 'Harbour, to be told')!.id;
  const context = await browser.newContext();
  const other = await context.newPage();
  await signIn(other, running.url, COACH);
  for (const one of [page, other]) {
    await one.goto(`${running.url}/break-down/${id}`);
    await settled(one);
  }
  const count = (on: Page) => on.getByTestId('clip-count');
  await expect(count(other)).toContainText(`${TOLD.length} clips`);
  const typist = new Typist(page);
  await typist.goTo(1000);
  await typist.press('i');
  await typist.goTo(1040);
  await typist.press('o');
  await typist.say('From position', 'standing');
  await saved(page).waitFor();
  await expect(count(other)).toContainText(`${TOLD.length + 1} clips, 1 draft`);
  await expect(other.getByText('from standing')).toBeVisible();

  // the same field of the same attempt, said on both at once
  const draft = /draft/;
  await other.getByRole('button', { name: draft }).click();
  await other.context().setOffline(true);
  await other.keyboard.press('p');
  const entry = (on: Page) => on.getByRole('combobox', { name: 'Entry', exact: true });
  await entry(other).fill('guard pull');
  await other.keyboard.press('Enter');
  await entry(page).fill('double-leg takedown');
  await page.keyboard.press('Enter');
  await saved(page).waitFor();
  await other.context().setOffline(false);
  await expect(other.getByText('Somebody else has changed the same thing in the meantime.')).toBeVisible({
    timeout: 20_000,
  });
  await expect(other.getByText(/theirs: double-leg takedown/)).toBeVisible();
  await other.getByText(/mine: guard pull/i).click();
  await other.getByRole('button', { name: 'Let this stand' }).click();
  await saved(other).waitFor();
  const action = async (): Promise<string | null | undefined> =>
    (await libraryOf(page, running.url)).attempts.find((a) => a.footageId === id && a.result === null)?.action;
  expect(await action()).toBe('guard-pull');
  // and the first sees how it was settled
  await expect(entry(page)).toHaveValue(words.name('action', 'guard-pull'));
  await context.close();
});
