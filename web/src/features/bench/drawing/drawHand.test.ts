import { describe, expect, test } from '@jest/globals';
import { POINTS_OF, SHAPE_KINDS, isWhole, type Point } from '@odograph/core';
import fc from 'fast-check';
import { AT_REST, drawAfter, finished, shapeOf, type DrawHand, type DrawMove } from './drawHand.js';

const after = (...moves: readonly DrawMove[]): DrawHand => moves.reduce(drawAfter, AT_REST);
const set = (x: number, y: number): readonly DrawMove[] => [{ does: 'point', at: { x, y } }, { does: 'set' }];

describe('drawing', () => {
  test('an arrow should be there with its second point, an angle with its third', () => {
    const one = after(...set(0.1, 0.2));
    expect(finished(one)).toBeNull();
    expect(finished(after(...set(0.1, 0.2), ...set(0.3, 0.4)))).toEqual([
      { x: 0.1, y: 0.2 },
      { x: 0.3, y: 0.4 },
    ]);
    const angle = [{ does: 'use', kind: 'angle' } as const, ...set(0, 0), ...set(1, 0)];
    expect(finished(after(...angle))).toBeNull();
    expect(finished(after(...angle, ...set(1, 1)))).toHaveLength(3);
  });

  test('a line should end where its last point is set twice, and not before it has two', () => {
    const line = { does: 'use', kind: 'line' } as const;
    expect(finished(after(line, ...set(0, 0), { does: 'set' }))).toBeNull();
    expect(finished(after(line, ...set(0, 0), ...set(1, 0), ...set(1, 1), { does: 'set' }))).toHaveLength(3);
    expect(finished(after(line, ...set(0, 0), ...set(1, 0), ...set(1, 1)))).toBeNull();
  });

  test('another tool should begin anew, whose it is go round, and the cross stay in the picture', () => {
    expect(after(...set(0, 0), { does: 'use', kind: 'circle' })).toMatchObject({ kind: 'circle', points: [] });
    const whose = { does: 'say whose' } as const;
    expect([after(whose).whose, after(whose, whose).whose, after(whose, whose, whose).whose]).toEqual(['a', 'b', null]);
    expect(after({ does: 'nudge', dx: 3, dy: -3 }).cross).toEqual({ x: 1, y: 0 });
    expect(after(...set(0, 0), ...set(1, 1), { does: 'take back' }).points).toEqual([{ x: 0, y: 0 }]);
  });

  test('whatever is set, what is finished should be a whole shape, and numbers go on', () => {
    const point: fc.Arbitrary<Point> = fc.record({ x: fc.constantFrom(0, 0.5, 1), y: fc.constantFrom(0, 1) });
    fc.assert(
      fc.property(fc.constantFrom(...SHAPE_KINDS), fc.array(point, { maxLength: 70 }), (kind, points) => {
        let hand = drawAfter(AT_REST, { does: 'use', kind });
        for (const at of points) {
          hand = drawAfter(drawAfter(hand, { does: 'point', at }), { does: 'set' });
          const done = finished(hand);
          expect(hand.points.length).toBeLessThanOrEqual(POINTS_OF[kind][1]);
          if (!done) continue;
          const shape = shapeOf(hand, done, [], 's');
          expect([isWhole(shape), shape.order]).toEqual([true, kind === 'number' ? 1 : null]);
          return;
        }
      }),
    );
  });
});
