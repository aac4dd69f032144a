import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { repairTimes } from './repairTimes.js';

describe('times that a decoder gives', () => {
  test.each([
    [
      [0, 40, 80],
      [0, 40, 80],
    ],
    [
      [0, NaN, 80, 120],
      [0, 40, 80, 120],
    ],
    [
      [NaN, 40, 80],
      [0, 40, 80],
    ],
    [
      [0, 40, NaN, NaN],
      [0, 40, 80, 120],
    ],
    // the clock was set back by a second
    [
      [1000, 1040, 1080, 80, 120],
      [1000, 1040, 1080, 1120, 1160],
    ],
    [
      [0, 40, 40, 80],
      [0, 40, 80, 120],
    ],
    [[NaN], [0]],
    [[], []],
  ])('when they are %j, they should become %j', (times, repaired) => {
    expect(repairTimes(times)).toEqual(repaired);
  });

  test('when they are in order, they should stay; whatever they are, each should be later than the one before, and none be lost', () => {
    const time = fc.oneof(
      { weight: 4, arbitrary: fc.integer({ min: 0, max: 1_000_000 }) },
      { weight: 1, arbitrary: fc.constant(NaN) },
    );
    fc.assert(
      fc.property(fc.array(time, { maxLength: 60 }), (times) => {
        const repaired = repairTimes(times);
        expect(repaired).toHaveLength(times.length);
        for (let i = 1; i < repaired.length; i++) expect(repaired[i]!).toBeGreaterThan(repaired[i - 1]!);
      }),
    );
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 1_000_000 })), (times) => {
        const sorted = [...times].sort((a, b) => a - b);
        expect(repairTimes(sorted)).toEqual(sorted);
      }),
    );
  });
});
