import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LEAST_ZOOM, MOST_ZOOM, factorOfWheel, zoomed } from './zoom.js';

describe('a picture made larger and smaller', () => {
  test('when it grows, what lies under the pointer should stay there, as long as nothing is cut off on its left or upper side', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 3.2, noNaN: true }),
        fc.double({ min: 1, max: 1.25, noNaN: true }),
        fc.record({ x: fc.integer({ min: 0, max: 1200 }), y: fc.integer({ min: 0, max: 700 }) }),
        fc.record({ left: fc.integer({ min: 0, max: 900 }), top: fc.integer({ min: 0, max: 900 }) }),
        (zoom, factor, at, scroll) => {
          const after = zoomed({ zoom, ...scroll }, factor, at);
          expect((after.left + at.x) / after.zoom).toBeCloseTo((scroll.left + at.x) / zoom, 6);
          expect((after.top + at.y) / after.zoom).toBeCloseTo((scroll.top + at.y) / zoom, 6);
        },
      ),
    );
  });

  test('when it would grow or shrink beyond its limits, it should stop there', () => {
    const at = { x: 0, y: 0 };
    expect(zoomed({ zoom: 3.9, left: 0, top: 0 }, 2, at).zoom).toBe(MOST_ZOOM);
    expect(zoomed({ zoom: 0.6, left: 0, top: 0 }, 0.1, at).zoom).toBe(LEAST_ZOOM);
    expect(zoomed({ zoom: 1, left: 10, top: 10 }, 0.5, at)).toEqual({ zoom: 0.5, left: 5, top: 5 });
  });

  test('when the wheel is turned up and down by as much, it should be as large as before', () => {
    expect(factorOfWheel(100) * factorOfWheel(-100)).toBeCloseTo(1, 12);
    expect(factorOfWheel(-100)).toBeGreaterThan(1.1);
    expect(factorOfWheel(100_000)).toBeGreaterThan(0.8);
  });
});
