import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import { v7 as newId } from 'uuid';
import { MailServer } from './support/mail.js';
import { ROOT, Running } from './support/running.js';
import { COACH, expect, saved, settled, signIn, test, type Page } from './support/test.js';

const PASSWORD = 'a long enough secret';
const EMAIL = 'between.two@room.example';

const fresh = async (page: Page): Promise<Page> => (await page.context().browser()!.newContext()).newPage();

test('when a member of two academies resets a password by mail, a head of one should see nothing of it, and every session end and say so', async ({
  page,
}) => {
  const mail = await MailServer.start();
  const running = await Running.start({ SMTP_URL: mail.url });
  try {
    // into the first academy by an invitation, into the second as its founder
    await signIn(page, running.url);
    await page.goto(`${running.url}/academy/people`);
    const form = page.getByRole('form', { name: 'Invite somebody' });
    await form.getByLabel('Email').fill('Between.Two@ROOM.example');
    await form.getByRole('button', { name: 'Send the invitation' }).click();
    await expect(page.locator(`[data-invited="${EMAIL}"]`)).toBeVisible();
    const member = await fresh(page);
    await member.goto(await mail.linkTo(EMAIL, 'invites you'));
    await member.getByLabel('Your name').fill('Between Two');
    await member.getByLabel('Password').fill('password1234');
    await member.getByRole('button', { name: 'Accept the invitation' }).click();
    await expect(member.getByRole('alert')).toContainText('one of the most common');
    await member.getByLabel('Password').fill(PASSWORD);
    await member.getByRole('button', { name: 'Accept the invitation' }).click();
    await member.waitForURL('**/footage');
    const founder = await fresh(page);
    await founder.goto(`${running.url}/new-academy`);
    await founder.getByLabel('Academy name').fill('Second Room');
    await founder.getByLabel('Your name').fill('Between Two');
    await founder.getByLabel('Email').fill(EMAIL);
    await founder.getByLabel('Password').fill(PASSWORD);
    await founder.keyboard.press('Enter');
    await founder.waitForURL('**/footage');

    // while the head looks at the letters
    await page.goto(`${running.url}/academy/letters`);
    await expect(page.locator(`[data-letter="${EMAIL}"] [data-fate=sent]`)).toHaveCount(1);
    const forgetful = await fresh(page);
    await forgetful.goto(`${running.url}/sign-in`);
    await forgetful.getByRole('link', { name: 'Forgot your password?' }).click();
    await forgetful.getByLabel('Email').fill(EMAIL);
    await forgetful.getByRole('button', { name: 'Send the link' }).click();
    await expect(forgetful.getByText('a link is on its way')).toBeVisible();
    const link = await mail.linkTo(EMAIL, 'new password');
    await page.reload();
    await expect(page.locator('[data-letter]').first()).toBeVisible();
    await expect(page.getByText('Choose a new password')).toHaveCount(0);

    await forgetful.goto(link);
    await forgetful.getByLabel('Password').fill('another sentence to keep');
    await forgetful.getByRole('button', { name: 'Set password' }).click();
    await forgetful.waitForURL('**/footage');
    // the windows that were open elsewhere say that they are out
    for (const window of [member, founder]) {
      await window.waitForURL('**/sign-in*');
      await expect(window.getByText('Your session has ended')).toBeVisible();
    }
    await member.goto(link);
    await member.getByLabel('Password').fill('a third sentence to keep');
    await member.getByRole('button', { name: 'Set password' }).click();
    await expect(member.getByRole('alert')).toContainText('has been used');
    for (const window of [member, founder, forgetful]) await window.context().close();
  } finally {
    await running.dispose();
    await mail.stop();
  }
});

// in `npm test`: what may be seen, and what is told, in `people.test.ts`, `news.test.ts` and `media.test.ts`
test('when somebody may be shown no longer, what a browser has kept of them should not be played, and another role be told @stress', async ({
  page,
}) => {
  const running = await Running.start();
  try {
    await signIn(page, running.url);
    const student = await fresh(page);
    await signIn(student, running.url, { email: 'student@lanternwood.example', password: 'lanternwood-mat-8' });
    const library = (await (await page.request.get(`${running.url}/api/library`)).json()) as {
      footage: { id: string; title: string; athleteA: string }[];
      persons: { id: string; name: string }[];
    };
    const footage = library.footage.find((f) => f.title === 'Lantern Cup, final round')!;
    const athlete = library.persons.find((p) => p.id === footage.athleteA)!.name;
    const bench = `${running.url}/break-down/${footage.id}`;
    await student.goto(bench);
    await settled(student);
    // once all of it lies in the browser it is played from there
    await expect(student.locator('video')).toHaveAttribute('src', /^blob:/);
    await student.reload();
    await settled(student);
    await expect(student.locator('video')).toHaveAttribute('src', /^blob:/);
    await page.goto(`${running.url}/academy/people`);
    await page.getByRole('button', { name: `Change ${athlete}` }).click();
    await page.getByText('coaches only', { exact: true }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await saved(page).waitFor();
    // the page that is open loses it, and so does one that is opened anew
    await expect(student.locator('video')).toHaveCount(0);
    await student.goto(bench);
    await expect(student.getByRole('main')).toBeVisible();
    await expect(student.locator('video')).toHaveCount(0);

    // a student who becomes a coach hears of it where they are
    await student.goto(`${running.url}/clips`);
    await expect(student.getByTestId('clips-shown')).toBeVisible();
    await expect(student.getByRole('navigation').getByRole('link', { name: 'Break down' })).toHaveCount(0);
    await page.getByRole('combobox', { name: /^Role of Pell/ }).selectOption('coach');
    await expect(student.getByText('A head has given you another role')).toBeVisible();
    await expect(student.getByRole('navigation').getByRole('link', { name: 'Break down' })).toBeVisible();
    await student.context().close();
  } finally {
    await running.dispose();
  }
});

test('when others reach the server, the demo should not be there, founding need an invitation, and nothing run as root or tell its password', async ({
  page,
}) => {
  const running = await Running.fromNothing({ HOST: '0.0.0.0' });
  try {
    const refused = await page.request.post(`${running.url}/api/sign-in`, {
      data: { email: 'coach@lanternwood.example', password: 'lanternwood-mat-7' },
    });
    expect(refused.status()).toBe(401);
    await page.goto(`${running.url}/new-academy`);
    await expect(page.getByText('academies are created by invitation')).toBeVisible();
    const { stdout } = spawnSync(
      process.execPath,
      [join(ROOT, 'scripts/operator.mjs'), 'invite', 'ines@harbour.example'],
      {
        encoding: 'utf8',
        env: { ...process.env, ODOGRAPH_FOLDER: running.folder },
      },
    );
    const link = /http\S+/.exec(stdout)![0];
    expect(link).not.toContain('0.0.0.0');
    await page.goto(`${running.url}/new-academy#${link.split('#')[1]}`);
    await expect(page.getByText('You’re invited to create one, as ines@harbour.example.')).toBeVisible();
    await page.getByLabel('Academy name').fill('Harbour Mats');
    await page.getByLabel('Your name').fill('Ines Varro');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByText('No footage yet')).toBeVisible();

    // without a mail server letters wait for whoever runs the server
    const invited = await page.request.post(`${running.url}/api/invitations`, {
      data: { id: newId(), email: 'theo@harbour.example', role: 'coach' },
    });
    expect(invited.status()).toBe(200);
    const letters = spawnSync(process.execPath, [join(ROOT, 'scripts/letters.mjs')], {
      encoding: 'utf8',
      env: { ...process.env, ODOGRAPH_FOLDER: running.folder },
    }).stdout;
    expect(letters).toContain('theo@harbour.example');
    // what was spent waits no longer
    expect(letters).not.toContain('ines@harbour.example');
    const theo = await fresh(page);
    await theo.goto(`${running.url}/invitation#${/\/invitation#(\S+)/.exec(letters)![1]}`);
    await expect(theo.getByText('theo@harbour.example')).toBeVisible();
    await theo.context().close();

    const password = readFileSync(join(running.folder, 'db/password'), 'utf8');
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
      try {
        expect(readFileSync(`/proc/${pid}/cmdline`, 'latin1')).not.toContain(password);
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === undefined) throw error;
      }
    if (process.getuid?.() === 0 && !running.log.includes('It runs as root'))
      for (const pid of running.pids()) expect(statSync(`/proc/${pid}`).uid).not.toBe(0);
  } finally {
    await running.dispose();
  }
});

for (const [said, status] of [
  [{ PUBLIC_URL: 'https://mats.example' }, 401],
  [{ PUBLIC_URL: 'https://mats.example', DEMO: '1' }, 200],
] as const)
  test(`when the server starts with ${Object.keys(said).join(' and ')}, signing in to the demo, which is in the database, should give ${status}`, async ({
    request,
  }) => {
    const running = await Running.start(said);
    try {
      expect((await request.post(`${running.url}/api/sign-in`, { data: COACH })).status()).toBe(status);
    } finally {
      await running.dispose();
    }
  });
