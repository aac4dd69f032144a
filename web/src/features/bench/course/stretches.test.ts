import { describe, expect, test } from '@jest/globals';
import type { CourseRun } from '@odograph/core';
import fc from 'fast-check';
import { heightAt, stretchOf } from './stretches.js';

const run = (...points: readonly (readonly [number, number])[]): CourseRun => ({
  before: 'start',
  points: points.map(([atS, height]) => ({ atS, height, attemptId: 'a' })),
});
const runs = [run([2, 0], [4, 0], [6, 4]), run([10, -2], [12, -4])];

describe('stretches of the line', () => {
  test.each([
    [0, 0],
    [3, 0],
    [5, 2],
    [6, 4],
    [7, 4],
    [9, -2],
    [11, -3],
    [20, -4],
  ])('at %d s the line should be %d high', (atS, height) => expect(heightAt(runs, atS)).toBe(height));

  test('when there is no course yet, the line should be level', () => {
    expect(stretchOf([], 1, 2)).toEqual([
      { atS: 1, height: 0 },
      { atS: 2, height: 0 },
    ]);
  });

  test('when a stretch is taken out of it, it should begin and end there, bend where the line does, and never lie outside its heights', () => {
    expect(stretchOf(runs, 3, 11).map((p) => [p.atS, p.height])).toEqual([
      ...[
        [3, 0],
        [4, 0],
        [6, 4],
        [10, -2],
      ],
      [11, -3],
    ]);
    const time = fc.double({ min: -5, max: 20, noNaN: true });
    fc.assert(
      fc.property(time, time, (a, b) => {
        const [from, to] = [Math.min(a, b), Math.max(a, b)];
        const points = stretchOf(runs, from, to);
        expect([points[0]!.atS, points.at(-1)!.atS]).toEqual([from, to]);
        for (const { height } of points) expect(height).toBeGreaterThanOrEqual(-4);
        for (const { height } of points) expect(height).toBeLessThanOrEqual(4);
      }),
    );
  });
});
