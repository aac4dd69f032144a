import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LEAST_REGION, movedRegion, regionBetween, sizeSeen, sizedRegion } from './region.js';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const point = fc.record({ x: share, y: share });
const way = fc.record({
  x: fc.double({ min: -2, max: 2, noNaN: true }),
  y: fc.double({ min: -2, max: 2, noNaN: true }),
});
const region = fc
  .tuple(point, point)
  .map(([a, b]) => regionBetween(a, b) ?? { left: 0.2, top: 0.1, right: 0.6, bottom: 0.5 });

describe('a part of a picture', () => {
  test('moved and sized in any way it should stay in the picture and be large enough', () => {
    fc.assert(
      fc.property(region, way, way, (one, by, more) => {
        const moved = movedRegion(one, by);
        expect(moved.right - moved.left).toBeCloseTo(one.right - one.left, 9);
        expect(moved.bottom - moved.top).toBeCloseTo(one.bottom - one.top, 9);
        for (const r of [moved, sizedRegion(moved, more)]) {
          for (const n of [r.left, r.top]) expect(n).toBeGreaterThanOrEqual(0);
          for (const n of [r.right, r.bottom]) expect(n).toBeLessThanOrEqual(1);
          expect(r.right - r.left).toBeGreaterThanOrEqual(LEAST_REGION - 1e-9);
          expect(r.bottom - r.top).toBeGreaterThanOrEqual(LEAST_REGION - 1e-9);
        }
      }),
    );
  });

  test('between two corners it should be the same whichever is first; a point is none', () => {
    expect(regionBetween({ x: 0.9, y: 0.3 }, { x: 0.7, y: -1 })).toEqual({
      left: 0.7,
      top: 0,
      right: 0.9,
      bottom: 0.3,
    });
    expect(regionBetween({ x: 0.7, y: 0 }, { x: 0.9, y: 0.3 })).toEqual({ left: 0.7, top: 0, right: 0.9, bottom: 0.3 });
    expect(regionBetween({ x: 0.5, y: 0.5 }, { x: 0.5, y: 0.9 })).toBeUndefined();
  });

  test('what is seen of it should have its share of the pixels', () => {
    const file = { width: 1280, height: 720 };
    expect(sizeSeen({ region: null }, file)).toEqual(file);
    expect(sizeSeen({ region: { left: 0.75, top: 0, right: 1, bottom: 0.25 } }, file)).toEqual({
      width: 320,
      height: 180,
    });
  });
});
