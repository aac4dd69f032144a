import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { areaPath } from './levels.js';

const axis = { fromS: 0, toS: 10_000, xOfS: (s: number) => 78 + s / 10, bottom: 100, tall: 20, most: 255 };
const pointsOf = (path: string): number[][] =>
  path
    .replace(/[MZ]/g, '')
    .split('L')
    .map((p) => p.split(' ').map(Number));

describe('levels over time', () => {
  test('when there are many values in a pixel, the highest should be drawn, once for each pixel', () => {
    const values = Uint8Array.from({ length: 100_000 }, (_, i) => (i === 5000 ? 255 : 10));
    const points = pointsOf(areaPath({ values, fromS: 0, stepS: 0.1 }, axis));
    expect(points.length).toBeLessThan(1100);
    expect(Math.min(...points.map(([, y]) => y!))).toBe(80);
    expect(points.find(([, y]) => y === 80)![0]).toBe(78 + 50);
  });

  test('when any levels are drawn, the outline should go on to the right and stay inside its height', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 2, maxLength: 400 }), fc.integer({ min: 1, max: 50 }), (values, stepS) => {
        const points = pointsOf(areaPath({ values, fromS: 3, stepS }, axis));
        points.forEach(([x, y], i) => {
          if (i) expect(x!).toBeGreaterThanOrEqual(points[i - 1]![0]!);
          expect(y!).toBeGreaterThanOrEqual(80);
          expect(y!).toBeLessThanOrEqual(100);
        });
      }),
    );
  });

  test('when nothing lies in the stretch, nothing should be drawn', () => {
    expect(areaPath({ values: [], fromS: 0, stepS: 1 }, axis)).toBe('');
    expect(areaPath({ values: [1, 2], fromS: 20_000, stepS: 1 }, axis)).toBe('');
  });
});
