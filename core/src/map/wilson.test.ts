import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wilson } from './index.js';

describe('wilson', () => {
  test.each([
    [81, 263, 0.2552885199, 0.366209577],
    [15, 148, 0.0623863995, 0.1604872417],
    [0, 20, 0, 0.1611251581],
    [1, 29, 0.0061132143, 0.1717552188],
    [2, 3, 0.2076596008, 0.9385080553],
    [10, 10, 0.7224672001, 1],
    [0, 1, 0, 0.7934506856],
    [50, 100, 0.4038315304, 0.5961684696],
  ])('when %i of %i worked, the interval should be the published one', (successes, attempts, low, high) => {
    const found = wilson(successes, attempts)!;
    expect(found.low).toBeCloseTo(low, 9);
    expect(found.high).toBeCloseTo(high, 9);
  });

  test('when nothing was tried, nothing should be known', () => {
    expect(wilson(0, 0)).toBeUndefined();
  });

  test('when success and failure change places, the interval should be mirrored and always hold the rate', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.double({ min: 0, max: 1, noNaN: true }), (n, part) => {
        const x = Math.round(part * n);
        const here = wilson(x, n)!,
          there = wilson(n - x, n)!;
        expect(here.low).toBeCloseTo(1 - there.high, 12);
        expect(here.low).toBeLessThanOrEqual(x / n);
        expect(here.high).toBeGreaterThanOrEqual(x / n);
      }),
    );
  });
});
