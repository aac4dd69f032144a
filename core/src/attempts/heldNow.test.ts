import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_HOLD, contradictionsIn, handedOver, isHeldAt, limbsOn, type Control } from './index.js';
import { LOGGED, FOOTAGE } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';

const at = (frame: number) => ({ frame, pts: frame });
const hold = (more: Partial<Control> = {}): Control => ({
  ...BARE_HOLD,
  ...{ id: 'one', holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'collar' },
  ...{ targetOwner: 'other', targetSide: null, cloth: true },
  ...more,
});

describe('what is held at an instant', () => {
  test('when a hold was taken and lost, it should be on from the one frame up to the other', () => {
    const held = hold({ gained: at(10), lost: at(20) });
    expect([9, 10, 19, 20].map((f) => isHeldAt(held, f))).toEqual([false, true, true, false]);
    expect(isHeldAt(hold(), 0)).toBe(true);
  });

  test('when hands and feet are counted, arms should count as hands, legs as feet, and nobody has more than two', () => {
    const all = [
      hold(),
      hold({ id: 'two', limb: 'arm', limbSide: 'right', kind: 'lock', target: 'neck' }),
      hold({ id: 'three', limb: 'foot', limbSide: null, kind: 'hook', target: 'thigh' }),
      hold({ id: 'four', holder: 'opponent' }),
      hold({ id: 'five', limbSide: 'left', lost: at(3) }),
    ];
    expect(limbsOn(all, 'subject', 5)).toEqual({ hands: 1, feet: 1 });
    expect(limbsOn(all, 'subject', 2)).toEqual({ hands: 2, feet: 1 });
    expect(limbsOn(all, 'opponent', 5)).toEqual({ hands: 1, feet: 0 });
    const unsaid = [1, 2, 3].map((n) => hold({ id: String(n), limbSide: null }));
    expect(limbsOn(unsaid, 'subject', 0).hands).toBe(2);
  });
});

describe('handing over', () => {
  test('when a grip goes to the other own hand, one should be held at every instant, and nothing be in two places', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), fc.constantFrom('left' as const, 'right' as const), (when, side) => {
        const after = handedOver([hold({ limbSide: side })], 'one', at(when), () => 'new')!;
        for (let f = 0; f < 60; f++) expect(after.filter((c) => isHeldAt(c, f))).toHaveLength(1);
        expect(after.map((c) => [c.limbSide, c.handed])).toEqual([
          [side, false],
          [side === 'left' ? 'right' : 'left', true],
        ]);
        const attempt = { ...LOGGED[0]!.attempt, controls: after };
        expect(contradictionsIn(attempt, FOOTAGE.F1, shippedWords()).map((c) => c.kind)).toEqual([]);
      }),
    );
  });

  test('when it is no hand, or nobody said which, nothing should be handed over', () => {
    expect(handedOver([hold({ limbSide: null })], 'one', at(1), () => 'x')).toBeNull();
    expect(handedOver([hold({ limb: 'foot' })], 'one', at(1), () => 'x')).toBeNull();
    expect(handedOver([hold()], 'other', at(1), () => 'x')).toBeNull();
  });
});
