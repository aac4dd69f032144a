import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_DRAWING } from '../rows/index.js';
import {
  POINTS_OF,
  atPixels,
  distanceTo,
  drawnAt,
  fromPixels,
  isWhole,
  nextNumber,
  pictureAngle,
  pointerAt,
  type Drawing,
  type Point,
  type ShapeKind,
} from './index.js';

const SMALL = { width: 640, height: 360 };
const LARGE = { width: 1280, height: 720 };
const share = fc.double({ min: 0, max: 1, noNaN: true });
const point = fc.record({ x: share, y: share });
const p = (x: number, y: number): Point => ({ x, y });
const mirrored = (points: readonly Point[]): readonly Point[] => points.map(({ x, y }) => p(1 - x, y));

describe('angles in the picture', () => {
  const right = [p(0.2, 0.5), p(0.5, 0.5), p(0.5, 0.2)];
  const wide = [p(0.2, 0.5), p(0.5, 0.5), p(0.8, 0.3)];
  test.each([
    [right, 90],
    [wide, 159.4],
  ])('should be measured in pixels, and be the same mirrored', (points, degrees) => {
    expect(pictureAngle(points, SMALL)).toBeCloseTo(degrees, 1);
    expect(pictureAngle(mirrored(points), SMALL)).toBeCloseTo(degrees, 1);
  });

  test('should be what turning one arm onto the other takes, at any size, and nothing where two points are one', () => {
    fc.assert(
      fc.property(point, point, point, (a, b, c) => {
        const turn = (to: Point): number =>
          Math.atan2((to.y - b.y) * SMALL.height, (to.x - b.x) * SMALL.width) * (180 / Math.PI);
        const around = Math.abs(turn(a) - turn(c)) % 360;
        const degrees = pictureAngle([a, b, c], SMALL);
        const isApart = [a, c].every((q) => Math.hypot(q.x - b.x, q.y - b.y) > 1e-3);
        if (isApart) expect(degrees).toBeCloseTo(Math.min(around, 360 - around), 3);
        if (isApart) expect(pictureAngle([a, b, c], LARGE)).toBeCloseTo(degrees, 6);
      }),
    );
    expect(pictureAngle([p(0.5, 0.5), p(0.5, 0.5), p(0, 0)], SMALL)).toBe(0);
  });
});

describe('places in the picture', () => {
  test('what is drawn at one size should lie within a pixel at another, mirrored with the picture', () => {
    fc.assert(
      fc.property(fc.nat(1280), fc.nat(720), fc.boolean(), (x, y, isMirrored) => {
        const drawn = fromPixels({ x, y }, LARGE, false);
        const shown = atPixels(drawn, SMALL, isMirrored);
        expect(Math.abs(shown.x - (isMirrored ? 1280 - x : x) / 2)).toBeLessThan(1);
        expect(Math.abs(shown.y - y / 2)).toBeLessThan(1);
        expect(fromPixels(shown, SMALL, isMirrored).x).toBeCloseTo(drawn.x, 9);
      }),
    );
  });

  test('what lies beside the picture should be brought to its edge', () => {
    expect(fromPixels({ x: -5, y: 900 }, LARGE, false)).toEqual(p(0, 1));
    expect(fromPixels({ x: -5, y: 900 }, LARGE, true)).toEqual(p(1, 1));
  });

  test('what lies nearest should be found by its lines: of a region also by its last side, of a circle by its rim', () => {
    const size = { width: 100, height: 100 };
    const far = (kind: ShapeKind, points: readonly Point[], x: number, y: number): number =>
      distanceTo({ kind, points }, { x, y }, size, false);
    const corner = [p(0, 0), p(1, 0), p(1, 1)];
    expect(far('line', corner, 50, 50)).toBeCloseTo(50);
    expect(far('region', corner, 50, 50)).toBeCloseTo(0);
    expect(far('circle', [p(0.5, 0.5), p(0.7, 0.5)], 50, 50)).toBeCloseTo(20);
    expect(far('label', [p(0.5, 0.5)], 53, 54)).toBeCloseTo(5);
    expect(far('line', [], 0, 0)).toBe(Infinity);
  });
});

test('a shape should be whole with as many points as its kind needs', () => {
  for (const [kind, [least, most]] of Object.entries(POINTS_OF) as [ShapeKind, readonly [number, number]][])
    for (const n of [least - 1, least, most, most + 1])
      expect(isWhole({ kind, points: Array.from({ length: n }, () => p(0, 0)) })).toBe(n >= least && n <= most);
});

test('drawings should lie on their frames alone, numbers go on, and the pointer be where it was last', () => {
  const at = (frame: number) => ({ frame, pts: frame });
  const drawing = (id: string, from: number, to: number): Drawing => ({
    ...{ ...BARE_DRAWING, id, version: 1, footageId: 'f', angleId: 'g', from: at(from), to: at(to) },
  });
  const all = [drawing('a', 5, 5), drawing('b', 4, 9), { ...drawing('c', 5, 5), angleId: 'h' }];
  expect(drawnAt(all, 'g', 5).map((d) => d.id)).toEqual(['a', 'b']);
  expect(drawnAt(all, 'g', 10)).toEqual([]);
  const shape = { id: 's', kind: 'number', points: [p(0, 0)], whose: null, text: '', order: 4 } as const;
  expect([nextNumber([]), nextNumber([shape, { ...shape, order: 2 }])]).toEqual([1, 5]);
  const track = [0, 10, 20].map((t) => ({ t, x: t / 100, y: 0 }));
  expect([-1, 0, 15, 20, 21].map((t) => pointerAt({ track }, t)?.x)).toEqual([undefined, 0, 0.1, 0.2, undefined]);
});
