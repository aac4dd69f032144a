import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Sequelize } from 'sequelize';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { COACH, TestApp } from '../testing/testApp.js';
import { logged } from './logged.js';

describe('what of an error is logged', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
  });
  afterAll(() => app.stop());

  test('when the database refuses a row, what it is should be there, and none of its values', async () => {
    const models = app.app.get<Models>(MODELS);
    const secret = 'a-name-that-nobody-may-read';
    const errors = await Promise.all(
      [
        models.account.create({
          id: newId(),
          email: COACH.email,
          name: secret,
          passwordHash: secret,
          createdAt: new Date(),
        }),
        app.app.get(Sequelize).query('SELECT nothing FROM accounts WHERE name = ?', { replacements: [secret] }),
        models.account.create({
          id: newId(),
          email: `${secret}@x.example`,
          name: null,
          passwordHash: secret,
          createdAt: new Date(),
        }),
      ].map((ask) =>
        ask.then(
          () => undefined,
          (error: unknown) => error,
        ),
      ),
    );
    for (const error of errors) {
      expect(error).toBeInstanceOf(Error);
      const text = JSON.stringify(logged(error));
      expect(text).not.toContain(secret);
      expect(text).not.toContain(COACH.email);
      expect(text).toMatch(/ER_|Error/);
    }
  });

  test('when a bug throws, where it was and what it said should be there', () => {
    expect(logged(new TypeError('x is not a function'))).toMatchObject({
      type: 'TypeError',
      message: 'x is not a function',
    });
    expect(logged(new Error('x')).at[0]).toContain('logged.test');
    expect(logged('text')).toEqual({ type: 'string', at: [] });
  });
});
