import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  DEMO_SIZE,
  expect,
  frameSaid,
  openAbout,
  openBench,
  saved,
  settled,
  signIn,
  test,
  type Page,
} from './support/test.js';
import { keptLink } from './support/mail.js';
import type { Running } from './support/running.js';
import { frameShown } from './support/strip.js';

// these change people, words and clips for good: not in the product that other files look at
test.use({ product: 'academy' });

const ROOT = join(import.meta.dirname, '../..');
const PASSWORD = 'a long enough secret';

const say = async (page: Page, part: string, text: string): Promise<void> => {
  await page.getByRole('combobox', { name: part }).focus();
  await page.keyboard.type(text);
  // what may be meant is there once the words, and on the routes the map, are
  await expect(page.locator('[role=option]').first()).toBeVisible();
  await page.keyboard.press('Enter');
};

/** Takes an invitation, whose letter whoever runs the server has handed on, in a window of its own. */
const takeInvitation = async (head: Page, { url, folder }: Running, email: string, name: string): Promise<Page> => {
  await head.goto(`${url}/academy/letters`);
  await expect(head.locator(`[data-letter="${email}"]`).first()).toContainText('invites you');
  const address = keptLink(folder, email);
  const page = await (await head.context().browser()!.newContext()).newPage();
  await page.goto(address);
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Accept the invitation' }).click();
  await page.waitForURL('**/footage');
  return page;
};

const invite = async (head: Page, url: string, email: string, role: string): Promise<void> => {
  await head.goto(`${url}/academy/people`);
  const form = head.getByRole('form', { name: 'Invite somebody' });
  await form.getByLabel('Email').fill(email);
  await form.getByRole('combobox').selectOption(role);
  await form.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(head.locator(`[data-invited="${email}"]`)).toContainText(role);
};

test('when an academy begins with nothing, its head should come to a first route, and a coach in by an invitation', async ({
  page,
  running,
}) => {
  await page.goto(`${running.url}/sign-in`);
  await page.getByRole('link', { name: 'Create an academy' }).click();
  await page.getByLabel('Academy name').fill('Harbour Mats');
  await page.getByLabel('Your name').fill('Ines Varro');
  await page.getByLabel('Email').fill('ines@harbour.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.keyboard.press('Enter');
  await expect(page.getByText('No footage yet')).toBeVisible();

  // footage, and two attempts that follow on from each other
  await page.getByTestId('file-picker').setInputFiles(join(ROOT, 'demo/footage/lantern-final.mp4'));
  const form = page.getByRole('form', { name: 'Who’s who?' });
  await form.getByLabel('First athlete (us)').fill('Orla Venn');
  await form.getByLabel('Second athlete (them)').fill('Sten Abara');
  await form.getByText('every attempt, both sides').click();
  await expect(page.getByTestId('taking-in')).toContainText('1,084 frames');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/break-down/*');
  await settled(page);
  for (const [from, entry, finish] of [
    ['standing', 'double-leg takedown', 'mount top'],
    ['mount top', 'straight armlock', 'armlock won'],
  ] as const) {
    await page.keyboard.press('i');
    await page.keyboard.press('Shift+ArrowRight');
    await settled(page);
    await page.keyboard.press('o');
    await expect(page.getByRole('combobox', { name: 'From position' })).toBeFocused();
    await say(page, 'From position', from);
    await say(page, 'Entry', entry);
    await say(page, 'Finish', finish);
    await say(page, 'Result', 'worked');
    const told = page.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem').last();
    await expect(told).toContainText(`from ${from.replace(' top', ', top')}, ${entry}`);
    await expect(told).toContainText(/ends in .* worked/);
    await saved(page).waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('n');
    await page.keyboard.press('Shift+ArrowRight');
    await settled(page);
  }

  // the route that the clips make, kept with a cue
  await page.getByRole('navigation').getByRole('link', { name: 'Routes' }).click();
  await say(page, 'From', 'standing');
  await say(page, 'To', 'any submission');
  await expect(page.getByTestId('route')).toHaveCount(1);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByLabel('Name').fill('Feet to finish');
  await page.keyboard.press('Enter');
  await page.getByLabel('Cue').first().fill('Head outside, then drive');
  await page.getByLabel('Cue').first().blur();
  await saved(page).waitFor();
  await expect(page.getByRole('note', { name: 'Caution' })).toHaveCount(2);
  const vtt = await page.request.get(
    (await page.getByRole('link', { name: 'Save cues as WebVTT' }).getAttribute('href'))!.replace(/^/, running.url),
  );
  expect(await vtt.text()).toMatch(/^WEBVTT - Feet to finish[\s\S]*Head outside, then drive[\s\S]*Caution/);
  await page.getByRole('link', { name: 'Play it' }).click();
  await expect(page.getByTestId('cue')).toHaveText('Head outside, then drive');

  // a coach comes in and has the same
  await invite(page, running.url, 'sol@harbour.example', 'coach');
  const coach = await takeInvitation(page, running, 'sol@harbour.example', 'Sol Nave');
  await coach.goto(`${running.url}/routes`);
  await expect(coach.locator('[data-kept]')).toContainText('Feet to finish');
  await page.goto(`${running.url}/academy/people`);
  await expect(page.locator('[data-member="sol@harbour.example"]')).toContainText('Sol Nave');
  await coach.context().close();
});

test('when a coach and a student come in, each should find the limits of the role, and be told', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await invite(page, running.url, 'limits.coach@room.example', 'coach');
  await invite(page, running.url, 'limits.student@room.example', 'student');
  const coach = await takeInvitation(page, running, 'limits.coach@room.example', 'Limits Coach');
  const student = await takeInvitation(page, running, 'limits.student@room.example', 'Limits Student');

  // a coach writes, but says nothing of roles
  await coach.goto(`${running.url}/academy/people`);
  await expect(coach.locator('[data-member]').first()).toBeVisible();
  await expect(coach.getByRole('combobox', { name: /^Role of/ })).toHaveCount(0);
  await expect(coach.getByRole('form', { name: 'Invite somebody' })).toHaveCount(0);
  await expect(coach.getByRole('link', { name: 'Letters' })).toHaveCount(0);

  // a student sees what may be shown to the academy, and changes nothing
  await expect(student.getByRole('button', { name: 'Add footage' })).toHaveCount(0);
  await expect(student.getByRole('navigation').getByRole('link', { name: 'Break down' })).toHaveCount(0);
  await student.goto(`${running.url}/clips`);
  await expect(student.getByTestId('clips-shown')).toHaveText(String(DEMO_SIZE[1]));
  await student
    .getByRole('link', { name: /from collar-and-sleeve clinch/ })
    .first()
    .click();
  await expect(student.getByTestId('said')).toBeVisible();
  await settled(student);
  await student.keyboard.press('Delete');
  await student.keyboard.press('i');
  await expect(saved(student)).toBeVisible();
  await student.goto(`${running.url}/academy/words`);
  await expect(student.getByRole('heading', { name: 'Words' })).toHaveCount(0);

  // one athlete may no longer be shown: the student sees neither footage nor clips of theirs
  await page.goto(`${running.url}/academy/people`);
  await page.getByRole('button', { name: 'Change Renko Hallvard' }).click();
  await page.getByText('coaches only', { exact: true }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await saved(page).waitFor();
  await student.goto(`${running.url}/clips`);
  await expect(student.getByTestId('clips-shown')).toHaveText(String(DEMO_SIZE[1] - 8));
  await coach.context().close();
  await student.context().close();
});

// in `npm test`: the same of one attempt in `saved.spec.ts`, of any fields in `changes.test.ts` and the model of the replica
test('when two coaches edit one clip, other fields should both stand, and the same field be settled by choice @stress', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await invite(page, running.url, 'second@room.example', 'coach');
  const other = await takeInvitation(page, running, 'second@room.example', 'Second Coach');
  for (const window of [page, other]) {
    await window.goto(`${running.url}/footage`);
    await openBench(window, 'Lantern Cup, final round');
    await window.keyboard.press('ArrowDown');
    await settled(window);
  }
  const first = (window: Page) =>
    window.getByRole('region', { name: 'Clips of this footage' }).getByRole('listitem').first();
  await say(page, 'Entry', 'single leg');
  await saved(page).waitFor();
  await say(other, 'Finish', 'mount top');
  await saved(other).waitFor();
  // nobody is asked: two fields, two hands
  await expect(other.getByRole('alert')).toHaveCount(0);
  await expect(first(other)).toContainText('single-leg takedown');
  await expect(first(other)).toContainText('ends in mount, top');

  // the second says it before it has heard of the first
  await other.route('**/api/attempts/*', (route) => route.abort('internetdisconnected'));
  await say(other, 'Result', 'dropped');
  await say(page, 'Result', 'failed');
  await saved(page).waitFor();
  await other.unroute('**/api/attempts/*');
  const alert = other.getByRole('alert');
  await expect(alert).toContainText('Somebody else has changed the same thing in the meantime');
  await alert.getByText('mine: dropped').click();
  await alert.getByRole('button', { name: 'Let this stand' }).click();
  await saved(other).waitFor();
  await page.reload();
  await expect(first(page)).toContainText('dropped');

  // a new name for oneself alone: the other reads the word as it ships
  await page.goto(`${running.url}/academy/words`);
  await page.getByRole('button', { name: 'Change the position mount', exact: true }).click();
  const form = page.getByRole('form', { name: 'mount', exact: true });
  await form.getByLabel('Name', { exact: true }).fill('on the chest');
  await form.getByRole('combobox', { name: 'New name and hiding apply to' }).selectOption({ label: 'only me' });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await saved(page).waitFor();
  await expect(page.locator('[data-word=mount]')).toContainText('for only me');
  for (const [window, name] of [
    [page, 'on the chest, top'],
    [other, 'mount, top'],
  ] as const) {
    await window.goto(`${running.url}/clips`);
    await expect(window.locator('[data-clip]').first()).toContainText(`ends in ${name}`);
  }
  await page.goto(`${running.url}/academy/words`);
  await page.getByRole('button', { name: 'Change the position on the chest', exact: true }).click();
  await page.getByRole('button', { name: 'Back to default' }).click();
  await saved(page).waitFor();
  await other.context().close();
});

test('when clips and words go out and come in as lists, each line should say first what it would do', async ({
  page,
  running,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'odograph-lists-'));
  await signIn(page, running.url);
  await page.goto(`${running.url}/clips`);
  await page.locator('[data-clip]').first().waitFor();
  const before = Number((await page.getByTestId('clips-shown').textContent())!.trim());
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a list' }).click();
  const path = join(folder, 'clips.csv');
  await (await download).saveAs(path);
  const lines = readFileSync(path, 'utf8').trim().split('\r\n');
  expect(lines).toHaveLength(before + 1);

  // read again as it is, nothing would be made; with another time one clip would, and what is not understood is named
  const moved = lines
    .find((line) => line.includes(',double-leg takedown,'))!
    .replace(/,0:\d\d\.\d\d,0:\d\d\.\d\d,/, ',0:01.00,0:03.00,')
    .replace(/,double-leg takedown,/, ',teleport,');
  writeFileSync(path, [...lines, moved, 'nowhere,0:01,0:02'].join('\r\n'));
  await page.getByTestId('clips-picker').setInputFiles(path);
  const sheet = page.getByRole('region', { name: 'A list of clips' });
  await expect(sheet.getByRole('status')).toContainText(
    `1 line makes a clip, there already: ${before}, not understood: 1`,
  );
  await expect(sheet).toContainText('no footage called “nowhere” here');
  await sheet.getByRole('button', { name: 'Make this clip' }).click();
  await saved(page).waitFor();
  await expect(page.getByTestId('clips-shown')).toHaveText(String(before + 1));

  await page.goto(`${running.url}/academy/words`);
  await page.locator('[data-word]').first().waitFor();
  const words = join(folder, 'words.csv');
  // another name, a word of one's own with what it is, a sweep to it further up, and one that nobody knows
  writeFileSync(
    words,
    [
      'kind,name,alias,language,family,roles,lead,parent,does,aims,ladder',
      'action,pier sweep,,,,,,,sweep,pier guard top,no|rope|plank|rail|deck',
      'position,half guard,der Haken,,,,,,,,',
      'position,nowhere,x,,,,,,,,',
      'position,pier guard,hashigo,ja,open guard,bottom|top,top leg,open guard,,,',
    ].join('\n'),
  );
  await page.getByTestId('words-picker').setInputFiles(words);
  const sheetOfWords = page.getByRole('region', { name: 'Read a list' });
  await expect(sheetOfWords).toContainText('no word by this name');
  await expect(sheetOfWords.getByRole('status')).toHaveText(
    '4 lines: other names 1, new words 2, known already 0, not understood 1',
  );
  await page.getByRole('button', { name: 'Add these 3 lines' }).click();
  await saved(page).waitFor();
  await expect(page.locator('[data-word="half-guard"]')).toContainText('der Haken');
  await expect(page.locator('[data-word="own-pier-guard"]')).toContainText('a kind of open guard');
  await page.getByText('Japanese', { exact: true }).click();
  await expect(page.locator('[data-word="own-pier-guard"]')).toContainText('hashigo');
  await page.getByText('Portuguese', { exact: true }).click();
  await expect(page.locator('[data-word="own-pier-guard"]')).not.toContainText('hashigo');
  await page.getByText('all', { exact: true }).click();
  await page.goto(`${running.url}/clips`);
  await page.getByRole('combobox', { name: 'Position' }).click();
  await page.keyboard.type('haken');
  await expect(page.locator('[role=option]').first()).toContainText('half guard');
});

// in `npm test`: by mail in `doors.spec.ts`, who is signed out in `people.test.ts`
test('when a password is forgotten, the letter should lead to a new one, and what was signed in elsewhere be out @stress', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await invite(page, running.url, 'forgets@room.example', 'coach');
  const coach = await takeInvitation(page, running, 'forgets@room.example', 'Forgets Often');
  const fresh = await (await page.context().browser()!.newContext()).newPage();
  await fresh.goto(`${running.url}/forgotten`);
  await fresh.getByLabel('Email').fill('forgets@room.example');
  await fresh.getByRole('button', { name: 'Send the link' }).click();
  await expect(fresh.getByText('a link is on its way')).toBeVisible();
  const letter = page.locator('[data-letter="forgets@room.example"]').first();
  // the question is answered before the letter is written
  await expect(async () => {
    await page.goto(`${running.url}/academy/letters`);
    await expect(letter).toContainText('Choose a new password', { timeout: 2000 });
  }).toPass();
  await fresh.goto((await letter.locator('a').getAttribute('href'))!);
  await fresh.getByLabel('Password').fill('another long secret');
  await fresh.keyboard.press('Enter');
  await fresh.waitForURL('**/footage');
  await coach.reload();
  await expect(coach.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await fresh.context().close();
  await coach.context().close();
});

test('when something is put in the bin, what goes with it should be said first, and it should come back whole', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const pieces = page.getByRole('link', { name: /^Break down / });
  await expect(pieces).toHaveCount(DEMO_SIZE[0]);
  await page.getByRole('button', { name: 'Footage sheet' }).first().click();
  await page.getByRole('button', { name: 'Move to bin' }).click();
  const ask = page.getByRole('alertdialog');
  await expect(ask).toContainText(/\d+ clips and \d+ attempts with their evidence go with it/);
  await ask.getByRole('button', { name: 'Move to bin' }).click();
  await saved(page).waitFor();
  await expect(pieces).toHaveCount(DEMO_SIZE[0] - 1);
  await page.goto(`${running.url}/academy/bin`);
  // what other tests of this file have put there stays
  const binned = page.locator('[data-binned=footage]');
  await expect(binned).toContainText('gone in 30 days');
  await binned.getByRole('button', { name: 'Restore' }).click();
  await expect(binned).toHaveCount(0);
  await page.goto(`${running.url}/footage`);
  await expect(pieces).toHaveCount(DEMO_SIZE[0]);
});

test('when one bout was filmed by two cameras, changing over should keep the instant and the attempt, and cut it there on wish', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  await openBench(page, 'Lantern Cup, final round');
  const here = page.getByRole('region', { name: 'Clips of this footage' });
  await expect(page.getByRole('radio', { name: 'lantern-final', exact: true })).toBeChecked();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowDown');
  await settled(page);
  const told = await here.locator('[aria-current=true]').textContent();
  const hall = await frameSaid(page);

  // the phone started 3.72 s later, films 30 frames a second, and its clock is its own
  await page.keyboard.press('c');
  await expect(page.getByRole('radio', { name: 'lantern-final-phone' })).toBeChecked();
  await openAbout(page);
  await expect(page.getByTestId('kept')).toContainText('The picture is in this browser');
  await settled(page);
  const phone = await frameSaid(page);
  expect(Math.abs(phone - (hall / 25 - 3.72) * 30)).toBeLessThanOrEqual(1);
  expect(await frameShown(page)).toBe(phone);
  await expect(here.getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText('isn’t cut from this camera yet')).toBeVisible();

  await page.keyboard.press('k');
  await saved(page).waitFor();
  await expect(here.getByRole('listitem')).toHaveCount(4);
  const sentence = (text: string | null): string => text!.replace(/^[\d:.]+/, '');
  expect(sentence(await here.locator('[aria-current=true]').textContent())).toBe(sentence(told));
  await page.keyboard.press('c');
  await expect(page.getByRole('radio', { name: 'lantern-final', exact: true })).toBeChecked();
  await settled(page);
  expect(Math.abs((await frameSaid(page)) - hall)).toBeLessThanOrEqual(1);
  expect(await here.locator('[aria-current=true]').textContent()).toBe(told);

  // two looks, one attempt; the look goes again by undo
  await page.keyboard.press('Control+z');
  await saved(page).waitFor();
  await page.keyboard.press('c');
  await expect(page.getByText('isn’t cut from this camera yet')).toBeVisible();
  await expect(here.getByRole('listitem')).toHaveCount(3);
});
