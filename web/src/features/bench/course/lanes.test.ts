import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lanesOf } from './lanes.js';

describe('stretches that overlap', () => {
  test('when clips overlap, they should stand under each other; others share the first lane', () => {
    const lanes = lanesOf([
      { id: 'a', from: 0, to: 10 },
      { id: 'b', from: 5, to: 15 },
      { id: 'c', from: 10, to: 20 },
      { id: 'd', from: 30, to: 40 },
    ]);
    expect([...lanes]).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 0],
      ['d', 0],
    ]);
  });

  test('when any clips are laid out, there should never be more than three lanes, and the order should not matter', () => {
    const spans = fc.uniqueArray(
      fc.record({ id: fc.uuid(), from: fc.nat(100), long: fc.integer({ min: 1, max: 30 }) }),
      { selector: (s) => s.id, maxLength: 20 },
    );
    fc.assert(
      fc.property(spans, (list) => {
        const of = list.map((s) => ({ id: s.id, from: s.from, to: s.from + s.long }));
        const lanes = lanesOf(of);
        expect(Math.max(0, ...lanes.values())).toBeLessThan(3);
        expect(new Map(lanesOf([...of].reverse()))).toEqual(new Map(lanes));
      }),
    );
  });
});
