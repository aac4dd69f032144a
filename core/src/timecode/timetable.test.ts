import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  footageSeconds,
  frameAtS,
  frameStartS,
  isFrameShown,
  ptsOf,
  seekTargetS,
  timeTable,
  timecode,
} from './index.js';

const constant = (rateNum: number, rateDen: number, frames: number): ReturnType<typeof timeTable> =>
  timeTable(
    Array.from({ length: frames }, (_, i) => i * rateDen),
    1,
    rateNum,
  );

const anyTable = fc
  .record({
    deltas: fc.array(fc.integer({ min: 300, max: 9000 }), { minLength: 2, maxLength: 200 }),
    start: fc.integer({ min: -9000, max: 200_000 }),
  })
  .map(({ deltas, start }) => {
    let at = start;
    return timeTable(
      deltas.map((d) => (at += d)),
      1,
      90_000,
    );
  });

describe('the table of presentation times', () => {
  test('when any frame of any table is sought, the time should fall into that frame and no other', () => {
    fc.assert(
      fc.property(anyTable, fc.nat(), (table, n) => {
        const frame = n % table.ticks.length;
        const target = seekTargetS(table, frame);
        expect(frameAtS(table, target)).toBe(frame);
        expect(frameAtS(table, frameStartS(table, frame))).toBe(frame);
        expect(target).toBeGreaterThan(frameStartS(table, frame));
        if (frame + 1 < table.ticks.length) expect(target).toBeLessThan(frameStartS(table, frame + 1));
        expect(isFrameShown(table, frame, frameStartS(table, frame))).toBe(true);
        for (const other of [frame - 1, frame + 1])
          if (other >= 0 && other < table.ticks.length)
            expect(isFrameShown(table, frame, frameStartS(table, other))).toBe(false);
      }),
    );
  });

  test.each([
    [25, 1],
    [30_000, 1001],
    [24_000, 1001],
    [60_000, 1001],
  ])('when an hour runs at %i/%i, every frame should be found again', (num, den) => {
    const table = constant(num, den, Math.ceil((3600 * num) / den));
    for (let f = 0; f < table.ticks.length; f += 7) expect(frameAtS(table, seekTargetS(table, f))).toBe(f);
  });

  test('when packets came out of order, the table should be sorted', () => {
    expect([...timeTable([3, 1, 2], 1, 25).ticks]).toEqual([1, 2, 3]);
  });

  test('when the frame behind the last one is asked for, the end of the last one should be given', () => {
    expect(ptsOf(constant(25, 1, 10), 10)).toBe(10);
  });
});

describe('m:ss.ff', () => {
  test.each([
    [0, '0:00.00'],
    [24, '0:00.24'],
    [25, '0:01.00'],
    [25 * 61 + 3, '1:01.03'],
  ])('when frame %i of 25 a second is shown, it should read %s', (frame, text) => {
    expect(timecode(constant(25, 1, 2000), frame)).toBe(text);
  });

  test('when the rate varies, the last part should count the frames there are', () => {
    const table = timeTable([0, 3000, 9000, 90_000, 91_000], 1, 90_000);
    expect([0, 1, 2, 3, 4].map((f) => timecode(table, f))).toEqual([
      '0:00.00',
      '0:00.01',
      '0:00.02',
      '0:01.00',
      '0:01.01',
    ]);
  });

  test('when the file starts late, time should count from its first frame', () => {
    expect(timecode(timeTable([225_000, 228_600], 1, 90_000), 0)).toBe('0:00.00');
  });
});

describe('footage time', () => {
  test('when an angle is a replay at a quarter of the speed, footage time should run four times slower and start at its offset', () => {
    const clock = { fromPts: 1000, offsetMs: 12_000, rate: 0.25, timeBaseNum: 1, timeBaseDen: 1000 };
    expect(footageSeconds(clock, 1000)).toBe(12);
    expect(footageSeconds(clock, 5000)).toBe(13);
  });
});
