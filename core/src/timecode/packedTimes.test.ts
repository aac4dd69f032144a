import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { packTimes, timeTable, unpackTimes } from './index.js';

describe('presentation times as bytes', () => {
  test('when times of any kind are packed and unpacked, they should be the same', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -1e12, max: 1e12 }), { minLength: 1, maxLength: 300 }),
        fc.constantFrom([1, 90_000], [1001, 30_000], [1, 1]),
        (ticks, [num, den]) => {
          const table = timeTable(ticks, num, den);
          const back = unpackTimes(packTimes(table));
          expect([...back.ticks]).toEqual([...table.ticks]);
          expect([back.timeBaseNum, back.timeBaseDen]).toEqual([num, den]);
        },
      ),
    );
  });

  test('when three hours at 60 are packed, they should take at most 1.2 MB, also where a camera is never quite even', () => {
    const frames = 3 * 3600 * 60;
    const even = Float64Array.from({ length: frames }, (_, i) => i * 1500);
    expect(packTimes(timeTable(even, 1, 90_000)).length).toBeLessThan(0.7 * 2 ** 20);
    const uneven = even.map((t, i) => t + ((i * 7919) % 31) - 15);
    expect(packTimes(timeTable(uneven, 1, 90_000)).length).toBeLessThanOrEqual(1.2e6);
  });

  test('when the bytes are others or cut off, it should be said', () => {
    const bytes = packTimes(timeTable([0, 40, 90], 1, 1000));
    expect(() => unpackTimes(bytes.slice(0, -1))).toThrow(RangeError);
    expect(() => unpackTimes(new Uint8Array([1, 2, 3, 4]))).toThrow(RangeError);
  });
});
