import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { withReason, withoutReason, type ReasonUse } from './index.js';

describe('reasons', () => {
  test('when reasons are said and taken back in any order, exactly one of those left should be the main one', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.boolean(), fc.nat({ max: 8 })), { maxLength: 20 }), (steps) => {
        let reasons: readonly ReasonUse[] = [];
        for (const [isSaid, n] of steps) {
          const of = reasons[n % Math.max(1, reasons.length)];
          if (isSaid) reasons = withReason(reasons, `reason ${n}`, `id ${reasons.length} ${Math.random()}`);
          else if (of) reasons = withoutReason(reasons, of.id);
          expect(reasons.filter((r) => r.main)).toHaveLength(Math.min(1, reasons.length));
          expect(new Set(reasons.map((r) => r.reason)).size).toBe(reasons.length);
        }
      }),
    );
  });

  test('when a contributing reason is taken back, the main one should stay; when it is said again, it should be the main one', () => {
    const both = withReason(withReason([], 'late', 'a'), 'grip lost', 'b');
    expect(withReason(both, 'grip lost', 'c').map((r) => [r.id, r.main])).toEqual([
      ['a', false],
      ['b', true],
    ]);
    expect(withoutReason(both, 'b')).toEqual([{ id: 'a', reason: 'late', main: true }]);
    expect(withoutReason(both, 'a')).toEqual([{ id: 'b', reason: 'grip lost', main: true }]);
  });
});
