import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clockAgainst, clockOfPairs, fileSeconds, footageSeconds, framesIn } from './footageTime.js';
import { ptsOf, timeTable } from './timetable.js';

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

  test('when a stretch of the footage is looked for in a file, exactly the pictures that begin in it should be found', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 2, maxLength: 40 }),
        fc.nat(60),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom(0.25, 1, 2),
        (gaps, from, length, rate) => {
          let at = 0;
          const table = timeTable(
            gaps.map((gap) => (at += gap)),
            1,
            30,
          );
          const of = { fromPts: table.ticks[0]!, offsetMs: 500, rate, timeBaseNum: 1, timeBaseDen: 30 };
          const beginsMs = (f: number): number => footageSeconds(of, ptsOf(table, f)) * 1000;
          const span = { fromMs: 500 + (from * 1000 * rate) / 30, toMs: 500 + ((from + length) * 1000 * rate) / 30 };
          const inside = gaps.flatMap((_, f) =>
            beginsMs(f) >= span.fromMs - 0.01 && beginsMs(f) < span.toMs - 0.01 ? [f] : [],
          );
          const found = framesIn(table, of, span);
          if (!inside.length) expect(found).toBeUndefined();
          else {
            expect(found?.inFrame).toBe(inside[0]);
            expect(Math.min(found!.outFrame, gaps.length)).toBe(inside.at(-1)! + 1);
          }
        },
      ),
    );
    const frozen = { fromPts: 0, offsetMs: 0, rate: 0, timeBaseNum: 1, timeBaseDen: 30 };
    expect(framesIn(timeTable([0, 1, 2], 1, 30), frozen, { fromMs: 0, toMs: 1000 })).toBeUndefined();
  });

  test('when instants were found twice, the angle should lie so that they are the same', () => {
    const replay = { fromPts: 900_000, offsetMs: 0, rate: 1, timeBaseNum: 1, timeBaseDen: 90_000 };
    const one = clockOfPairs(replay, [{ fileS: 12, footageMs: 3000 }])!;
    expect(one).toEqual({ offsetMs: 1000, rate: 1 });
    const two = clockOfPairs(replay, [
      { fileS: 12, footageMs: 3000 },
      { fileS: 16, footageMs: 4000 },
    ])!;
    expect(two.rate).toBeCloseTo(0.25, 9);
    expect(two.offsetMs).toBeCloseTo(2500, 9);
    expect(footageSeconds({ ...replay, ...two }, 12 * 90_000)).toBeCloseTo(3, 9);
    // too near to each other to say how fast it goes by: only moved, between the two
    const near = clockOfPairs(replay, [
      { fileS: 12, footageMs: 3000 },
      { fileS: 12.1, footageMs: 3060 },
    ])!;
    expect(near.rate).toBe(1);
    expect(near.offsetMs).toBeCloseTo(980, 9);
    const backwards = [
      { fileS: 12, footageMs: 3000 },
      { fileS: 16, footageMs: 2000 },
    ];
    expect(clockOfPairs(replay, backwards)).toBeUndefined();
    expect(clockOfPairs(replay, [])).toBeUndefined();
  });
});
