import { describe, expect, test } from '@jest/globals';
import { Rate } from './rate.js';

describe('how fast a file goes', () => {
  test('when bytes go evenly, the rate should be theirs; after a rest, that of what goes now', () => {
    const rate = new Rate();
    expect(rate.note(0, 0)).toBeUndefined();
    for (let ms = 100; ms <= 4000; ms += 100) rate.note(ms, ms * 2);
    expect(rate.note(4100, 8200)).toBeCloseTo(2000);
    for (let ms = 20_000; ms <= 24_000; ms += 100) rate.note(ms, 8200 + (ms - 20_000) * 5);
    expect(rate.note(24_100, 8200 + 4100 * 5)).toBeCloseTo(5000);
  });

  test('when it goes on from an earlier point, that should not count against it', () => {
    const rate = new Rate();
    for (let ms = 0; ms <= 1000; ms += 100) rate.note(ms, ms);
    expect(rate.note(1100, 500)).toBeUndefined();
    expect(rate.note(2100, 1500)).toBeCloseTo(1000);
  });
});
