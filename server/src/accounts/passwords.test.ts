import { describe, expect, test } from '@jest/globals';
import { Refused } from '../errors/refused.js';
import { hashPassword, isCommon, isPassword } from './passwords.js';

describe('passwords that are easy to guess', () => {
  test.each([
    ['password', true],
    ['passwordpassword', true],
    ['Password123456', true],
    ['P@ssw0rd123456', true],
    ['iloveyou sunshine', true],
    ['qwertyuiop1234', true],
    ['123456123456', true],
    ['password password password', true],
    ['another long one', false],
    ['lanternwood-mat-7', false],
    ['a brand new password', false],
    ['fox hat mud', false],
    ['tidegate-mat-3', false],
    ['long enough to hold', false],
  ])('when it is %j, that it is common should be %s', (password, common) => {
    expect(isCommon(password)).toBe(common);
  });
});

describe('hashing', () => {
  test('when far more is asked for than there are turns, the rest should be told to come again, and the turns go on', async () => {
    const hash = await hashPassword('a long enough one');
    const asked = await Promise.allSettled(Array.from({ length: 60 }, () => isPassword(hash, 'a long enough one')));
    const done = asked.filter((a) => a.status === 'fulfilled');
    const refused = asked.flatMap((a) => (a.status === 'rejected' ? [a.reason as unknown] : []));
    expect(done.length).toBeGreaterThanOrEqual(2);
    expect(done.every((a) => a.value)).toBe(true);
    expect(refused.length).toBeGreaterThan(30);
    for (const reason of refused) expect((reason as Refused).refusal).toMatchObject({ code: 'busy' });
    expect(await isPassword(hash, 'another one')).toBe(false);
    expect(await isPassword(undefined, 'a long enough one')).toBe(false);
  });
});
