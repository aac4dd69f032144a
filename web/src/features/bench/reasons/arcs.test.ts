import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { laidOut } from './arcs.js';
import { AT_FIRST, KIND_KEYS, reasonsAfter, type ReasonsMove } from './reasonsHand.js';

describe('arcs between details', () => {
  test('no two arcs that lie beside each other should share a lane, and none be lost', () => {
    const row = fc.nat({ max: 9 });
    const arcs = fc
      .array(
        fc.record({ from: row, to: row }).filter((a) => a.from !== a.to),
        { maxLength: 14 },
      )
      .map((all) => all.map((a, i) => ({ ...a, id: `${i}` })));
    fc.assert(
      fc.property(arcs, (all) => {
        const laid = laidOut(all);
        expect(laid.map((a) => a.id).sort()).toEqual(all.map((a) => a.id).sort());
        for (const a of laid)
          for (const b of laid)
            if (a !== b && a.lane === b.lane) {
              const [low, high] = [
                Math.max(Math.min(a.from, a.to), Math.min(b.from, b.to)),
                Math.min(Math.max(a.from, a.to), Math.max(b.from, b.to)),
              ];
              expect(low).toBeGreaterThanOrEqual(high);
            }
      }),
    );
  });
});

describe('what is pointed at', () => {
  const move: fc.Arbitrary<ReasonsMove> = fc.oneof(
    fc.record({ does: fc.constant('step' as const), by: fc.constantFrom(1 as const, -1 as const) }),
    fc.record({ does: fc.constant('point' as const), at: fc.integer({ min: -3, max: 20 }) }),
    fc.record({ does: fc.constant('begin' as const), kind: fc.constantFrom(...Object.values(KIND_KEYS)) }),
    fc.constant({ does: 'let be' as const }),
  );
  test('whatever is pressed, it should be one of the details, and a link begins at one of them', () => {
    fc.assert(
      fc.property(fc.array(move), fc.integer({ min: 1, max: 9 }), (moves, details) => {
        const hand = moves.reduce((now, m) => reasonsAfter(now, m, details), AT_FIRST);
        expect(hand.at).toBeGreaterThanOrEqual(0);
        expect(hand.at).toBeLessThan(details);
        if (hand.begun) expect(hand.begun.from).toBeLessThan(details);
        expect(hand.begun !== null).toBe(
          ['begin'].includes(moves.filter((m) => m.does === 'begin' || m.does === 'let be').at(-1)?.does ?? ''),
        );
      }),
    );
  });
});
