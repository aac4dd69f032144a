import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clockAgainst, fileSeconds, footageSeconds } from './footageTime.js';

const clock = fc.record({
  fromPts: fc.nat(10_000_000),
  offsetMs: fc.integer({ min: -86_400_000, max: 86_400_000 }),
  rate: fc.constantFrom(0.25, 0.5, 1, 2),
  timeBaseNum: fc.constantFrom(1, 1001),
  timeBaseDen: fc.constantFrom(1000, 30_000, 90_000),
});

describe('the time of a footage', () => {
  test('when two files are known to lie against each other, one instant should have one time by either', () => {
    fc.assert(
      fc.property(
        clock,
        clock,
        fc.double({ min: -120, max: 120, noNaN: true }),
        fc.double({ min: 0.9995, max: 1.0005, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (other, mine, offsetS, rate, atS) => {
          const found = { ...mine, ...clockAgainst(other, { offsetS, rate }, mine) };
          const ptsIn = (c: typeof other, s: number): number => (s * c.timeBaseDen) / c.timeBaseNum;
          expect(footageSeconds(found, ptsIn(mine, atS))).toBeCloseTo(
            footageSeconds(other, ptsIn(other, offsetS + rate * atS)),
            4,
          );
        },
      ),
    );
  });

  test('when a presentation time is put into footage time and back, it should be the same instant of the file', () => {
    fc.assert(
      fc.property(clock, fc.nat(10_000_000), (of, pts) => {
        const there = fileSeconds(of, footageSeconds(of, pts));
        expect(there).toBeCloseTo((pts * of.timeBaseNum) / of.timeBaseDen, 5);
      }),
    );
  });

  test('when a second camera starts 3.7 s later, what it shows first should be 3.7 s of the footage', () => {
    const phone = { fromPts: 0, offsetMs: 3700, rate: 1, timeBaseNum: 1, timeBaseDen: 90_000 };
    expect(footageSeconds(phone, 0)).toBeCloseTo(3.7, 9);
    expect(fileSeconds(phone, 5.7)).toBeCloseTo(2, 9);
  });

  test('when an angle is a replay at a quarter of the speed, a second of the file should be a quarter of a second', () => {
    const replay = { fromPts: 90_000, offsetMs: 10_000, rate: 0.25, timeBaseNum: 1, timeBaseDen: 90_000 };
    expect(footageSeconds(replay, 180_000)).toBeCloseTo(10.25, 9);
    expect(fileSeconds(replay, 10.25)).toBeCloseTo(2, 9);
  });
});
