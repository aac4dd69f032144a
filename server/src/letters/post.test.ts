import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { Letter } from '@odograph/core/contract';
import { Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import { MailServer } from '../testing/mail.js';
import { wishesAnswered } from '../testing/people.js';
import { TestApp, type Client } from '../testing/testApp.js';
import { Post } from './post.js';

const PASSWORD = 'long enough to hold';

describe('letters that go out', () => {
  let mail: MailServer, app: TestApp, head: Client, post: Post;
  beforeAll(async () => {
    mail = await MailServer.start();
    app = await TestApp.start({ smtpUrl: mail.url });
    post = app.app.get(Post);
    const academy = { academyId: newId(), academyName: 'Harbour Mats', timeZone: 'UTC', name: 'Ines Varro' };
    const { headers } = await app
      .client()
      .ask('POST', '/api/academies', { ...academy, email: 'ines@harbour.example', password: PASSWORD });
    head = app.client(headers.get('set-cookie')!.split(';')[0]);
  });
  afterAll(async () => {
    await app.stop();
    await mail.stop();
  });
  afterEach(() => {
    mail.mood = 'takes';
  });
  const invite = (email: string) => head.ask('POST', '/api/invitations', { id: newId(), email, role: 'coach' });
  const letterTo = async (email: string): Promise<Letter> =>
    ((await head.ask('GET', '/api/letters')).body as readonly Letter[]).find((l) => l.to === email)!;
  const secrets = (): Promise<string[]> => readdir(join(app.config.dataDir, 'outbox')).catch(() => []);
  /** As if the time until the next try had passed. */
  const due = () => app.app.get(Sequelize).query('UPDATE letters SET due_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND');

  test('when the mail server takes it, the letter should be whole, its secret kept nowhere, and the link lead in', async () => {
    await invite('rhea@harbour.example');
    expect(await secrets()).toHaveLength(1);
    expect(await letterTo('rhea@harbour.example')).toMatchObject({ state: 'waiting' });
    while (await post.sendOne());
    expect(mail.letterTo('rhea@harbour.example')).toMatch(
      /Ines Varro invites you to the library of Harbour Mats as a coach/,
    );
    expect(await secrets()).toEqual([]);
    expect(await letterTo('rhea@harbour.example')).toMatchObject({ state: 'sent', why: null });
    const token = /#([\w-]+)/.exec(mail.letterTo('rhea@harbour.example'))![1]!;
    const accept = { token, name: 'Rhea Nolt', password: PASSWORD };
    expect((await app.client().ask('POST', '/api/invitation/accept', accept)).status).toBe(200);
  });

  test.each([
    ['later', 'refused'],
    ['cuts off', 'cut off'],
  ] as const)('when the mail server %s, it should be tried again, and go out once it is well', async (mood, why) => {
    const email = `${mood.replace(' ', '.')}@harbour.example`;
    mail.mood = mood;
    await invite(email);
    await post.sendOne();
    expect(await letterTo(email)).toMatchObject({ state: 'waiting', why });
    // not before its time
    const tried = mail.tried;
    expect(await post.sendOne()).toBe(false);
    expect(mail.tried).toBe(tried);
    mail.mood = 'takes';
    await due();
    await post.sendOne();
    expect(await letterTo(email)).toMatchObject({ state: 'sent' });
    expect(mail.taken.filter((l) => l.to === email)).toHaveLength(1);
  });

  test('when the mail server says nothing, the try should end by itself, and requests not wait for it', async () => {
    mail.mood = 'slow';
    await invite('slow@harbour.example');
    let isGivenUp = false;
    const sending = post.sendOne().then(() => (isGivenUp = true));
    expect((await head.ask('GET', '/api/letters')).status).toBe(200);
    expect(isGivenUp).toBe(false);
    await sending;
    expect(await letterTo('slow@harbour.example')).toMatchObject({ state: 'waiting', why: 'slow' });
    expect(await secrets()).toHaveLength(1);
    mail.mood = 'takes';
    await due();
    while (await post.sendOne());
  });

  test('when the mail server does not want it for good, it should be given up, and its secret be gone', async () => {
    mail.mood = 'refuses';
    await invite('nobody@harbour.example');
    await post.sendOne();
    expect(await letterTo('nobody@harbour.example')).toMatchObject({ state: 'failed', why: 'refused' });
    expect(await secrets()).toEqual([]);
    expect(await post.sendOne()).toBe(false);
  });

  test('when there is no mail server where it should be, the letter should wait', async () => {
    const away = await TestApp.start({ beside: app, smtpUrl: 'smtp://127.0.0.1:9' });
    try {
      await invite('away@harbour.example');
      await away.app.get(Post).sendOne();
      expect(await letterTo('away@harbour.example')).toMatchObject({ state: 'waiting', why: 'unreachable' });
    } finally {
      await away.stop();
    }
    await due();
    await post.sendOne();
    expect(await letterTo('away@harbour.example')).toMatchObject({ state: 'sent' });
  });

  test('when somebody forgot a password, the letter should go to the account, and be seen by no head', async () => {
    expect((await app.client().ask('POST', '/api/password-resets', { email: 'INES@harbour.example' })).status).toBe(
      204,
    );
    await wishesAnswered(app);
    await post.sendOne();
    const token = /new-password#([\w-]+)/.exec(mail.letterTo('ines@harbour.example'))![1]!;
    expect(
      ((await head.ask('GET', '/api/letters')).body as readonly Letter[]).some((l) => /password/.test(l.subject)),
    ).toBe(false);
    expect((await app.client().ask('POST', '/api/password', { token, password: 'a brand new sentence' })).status).toBe(
      200,
    );
  });
});
