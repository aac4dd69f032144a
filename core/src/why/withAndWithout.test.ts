import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_HOLD, type Attempt, type Control, type FactUse } from '../attempts/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { fisher, hasPattern, withAndWithout, type Pattern } from './index.js';

const pass = attemptOf(TOLD[0]!);
const inside = (value: string): FactUse => ({
  ...{ id: value, fact: 'arms-inside', value, side: null },
  ...{ whose: 'subject', when: 'start' },
});
const BOTH_INSIDE: Pattern = {
  ...{ kind: 'fact', fact: 'arms-inside', value: 'both', whose: 'subject', side: null, when: null },
};

describe('with a detail and without it', () => {
  test('the pass of the first example with both arms inside, and two that failed without: one of one, none of two', () => {
    const said: Attempt = { ...pass, facts: [inside('both')] };
    expect(withAndWithout([said], BOTH_INSIDE)).toMatchObject({
      with: { worked: 1, not: 0 },
      without: { worked: 0, not: 0 },
      notSaid: 0,
    });
    const failed: Attempt = { ...pass, result: 'failed', facts: [inside('none')] };
    const table = withAndWithout([said, failed, { ...failed, id: 'x' }, pass], BOTH_INSIDE);
    expect(table).toMatchObject({ with: { worked: 1, not: 0 }, without: { worked: 0, not: 2 }, notSaid: 1 });
    expect(table.p).toBeCloseTo(1 / 3, 3);
  });

  test('a hold should be there, missing, or not known, by what is said of its limb at commit', () => {
    const hold: Control = {
      ...BARE_HOLD,
      ...{ id: 'c', holder: 'opponent', limb: 'arm', limbSide: 'left', kind: 'underhook', target: 'underarm' },
      ...{ targetOwner: 'other', targetSide: null, cloth: false },
    };
    const asked: Pattern = {
      ...{ kind: 'hold', holder: 'opponent', limb: 'arm', control: 'underhook', target: 'underarm', sides: null },
    };
    expect(hasPattern({ ...pass, controls: [hold] }, asked)).toBe(true);
    expect(hasPattern({ ...pass, controls: [{ ...hold, kind: 'frame', target: 'neck' }] }, asked)).toBe(false);
    expect(hasPattern({ ...pass, controls: [{ ...hold, holder: 'subject' }] }, asked)).toBeUndefined();
    expect(hasPattern({ ...pass, controls: [{ ...hold, lost: pass.start }] }, asked)).toBeUndefined();
  });
});

/** Exact: every table with the same sums, counted by drawing with whole numbers. */
const byCounting = (a: number, b: number, c: number, d: number): number => {
  const choose = (n: number, k: number): number => {
    let all = 1;
    for (let i = 0; i < k; i++) all = (all * (n - i)) / (i + 1);
    return Math.round(all);
  };
  const [r1, r2, c1] = [a + b, c + d, a + c];
  const ways = (x: number): number => choose(r1, x) * choose(r2, c1 - x);
  let [sum, all] = [0, 0];
  for (let x = Math.max(0, c1 - r2); x <= Math.min(r1, c1); x++) {
    all += ways(x);
    if (ways(x) <= ways(a)) sum += ways(x);
  }
  return sum / all;
};

test('the exact test should agree with counting every table', () => {
  const n = fc.integer({ min: 0, max: 9 });
  fc.assert(
    fc.property(n, n, n, n, (a, b, c, d) => {
      expect(fisher(a, b, c, d)).toBeCloseTo(byCounting(a, b, c, d), 9);
    }),
  );
});
