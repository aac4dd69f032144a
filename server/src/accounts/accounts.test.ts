import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { COACH, STUDENT, TestApp } from '../testing/testApp.js';

describe('signing in', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', signInTries: 3 });
  });
  afterAll(() => app.stop());

  test('when mail and password belong together, a closed cookie should be set and the person known', async () => {
    const { status, body, headers } = await app.client().ask('POST', '/api/sign-in', COACH);
    expect(status).toBe(200);
    expect(body).toMatchObject({
      account: { email: COACH.email },
      academy: { name: 'Lanternwood Grappling Room' },
      role: 'head',
    });
    expect(headers.get('set-cookie')).toMatch(/HttpOnly/);
    expect(headers.get('set-cookie')).toMatch(/SameSite=Strict/);
    const client = await app.signedIn(COACH);
    expect((await client.ask('GET', '/api/me')).body).toEqual(body);
  });

  test('when the password is wrong or the mail unknown, the answer should be the same', async () => {
    const wrong = await app.client().ask('POST', '/api/sign-in', { ...COACH, password: 'x' });
    const unknown = await app
      .client()
      .ask('POST', '/api/sign-in', { email: 'nobody@lanternwood.example', password: 'x' });
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  test('when it is tried too often, further tries should have to wait, also with the right password', async () => {
    const tries = { email: 'tried@lanternwood.example', password: 'x' };
    for (let i = 0; i < 3; i++) expect((await app.client().ask('POST', '/api/sign-in', tries)).status).toBe(401);
    const refused = await app.client().ask('POST', '/api/sign-in', tries);
    expect(refused.status).toBe(429);
    expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
  });

  test('when somebody signs out, the session should be over', async () => {
    const client = await app.signedIn(STUDENT);
    expect((await client.ask('POST', '/api/sign-out')).status).toBe(204);
    expect((await client.ask('GET', '/api/me')).status).toBe(401);
  });

  test('when the database is read, neither passwords nor session tokens should be in it', async () => {
    const models = app.app.get<Models>(MODELS);
    const { headers } = await app.client().ask('POST', '/api/sign-in', COACH);
    const token = headers.get('set-cookie')!.split(/[=;]/)[1]!;
    const sessions = JSON.stringify(await models.session.findAll());
    expect(sessions).not.toContain(token);
    const accounts = await models.account.findAll();
    for (const account of accounts) expect(account.get('passwordHash')).toMatch(/^\$argon2id\$/);
  });

  test('when a student writes, it should be refused; looking is allowed', async () => {
    const student = await app.signedIn(STUDENT);
    expect((await student.ask('GET', '/api/library')).status).toBe(200);
    expect(await student.ask('POST', '/api/undo', {})).toMatchObject({ status: 403, body: { code: 'not-allowed' } });
  });
});
