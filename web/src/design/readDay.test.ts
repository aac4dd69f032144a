import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readDay, sayDay } from './readDay.js';

const TODAY = '2026-11-30';

test('a day should be read however it is typed, and what is none, or could be two, be none', () => {
  for (const text of [
    '2026-11-03',
    '3 Nov 2026',
    '3 november',
    'Nov 3, 2026',
    'November 3rd',
    '3.11.2026',
    '3.11.',
    ' 3. Nov ',
  ])
    expect([text, readDay(text, TODAY)]).toEqual([text, '2026-11-03']);
  for (const text of [
    '',
    '31 Feb 2026',
    '2026-13-01',
    '3/11/2026',
    '11',
    'soon',
    '3 Foo 2026',
    '3 marble 2026',
    '0.1.2026',
  ])
    expect([text, readDay(text, TODAY)]).toEqual([text, undefined]);
  expect(readDay('29 Feb 2024', TODAY)).toBe('2024-02-29');
});

test('any day should be read back as it is written', () => {
  const day = fc.date({ min: new Date('1000-01-01'), max: new Date('9999-12-31'), noInvalidDate: true });
  fc.assert(
    fc.property(day, (date) => {
      const iso = date.toISOString().slice(0, 10);
      expect(readDay(sayDay(iso), TODAY)).toBe(iso);
    }),
  );
});
