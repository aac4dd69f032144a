import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { handedChoices } from '../phrase/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { handedFaults } from '../why/index.js';
import {
  BARE_HOLD,
  HOLD_DEPTHS,
  HOLD_PURPOSES,
  THUMBS,
  mayBeFrom,
  placesOn,
  sayHold,
  withHoldDetail,
  withoutHoldDetail,
  type Control,
  type HoldDetail,
} from './index.js';

const words = shippedWords();
const sleeve: Control = {
  ...BARE_HOLD,
  ...{ id: 'k', holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'sleeve' },
  ...{ targetOwner: 'other', targetSide: 'left', cloth: true },
};

test('what is said about a hold should stand behind it, and go piece by piece, the last one first', () => {
  const details: readonly HoldDetail[] = [
    { kind: 'place', place: 'below the elbow' },
    { kind: 'depth', depth: 'deep' },
    { kind: 'thumb', thumb: 'in' },
    { kind: 'purpose', purpose: 'steer' },
    { kind: 'purpose', purpose: 'open' },
    { kind: 'hidden' },
  ];
  const told = details.reduce(withHoldDetail, sleeve);
  expect(sayHold(told, words)).toBe(
    'right hand on their left sleeve (below the elbow, deep, thumb in, to steer, to open it up, not seen)',
  );
  let left: Control | undefined = told;
  for (const detail of details) {
    void detail;
    left = withoutHoldDetail(left!);
  }
  expect(left).toEqual(sleeve);
  expect(withoutHoldDetail(sleeve)).toBeUndefined();
});

test('said once more, it should be taken off', () => {
  const detail: fc.Arbitrary<HoldDetail> = fc.oneof(
    fc.record({ kind: fc.constant('place' as const), place: fc.constantFrom(...placesOn('sleeve', words)) }),
    fc.record({ kind: fc.constant('depth' as const), depth: fc.constantFrom(...HOLD_DEPTHS) }),
    fc.record({ kind: fc.constant('thumb' as const), thumb: fc.constantFrom(...THUMBS) }),
    fc.record({ kind: fc.constant('purpose' as const), purpose: fc.constantFrom(...HOLD_PURPOSES) }),
    fc.constant({ kind: 'hidden' as const }),
  );
  fc.assert(fc.property(detail, (d) => expect(withHoldDetail(withHoldDetail(sleeve, d), d)).toEqual(sleeve)));
});

test('where a hold can be should go with what is held', () => {
  expect(placesOn('sleeve', words)).toContain('wrist');
  expect(placesOn('ankle', words)).toContain('mid shin');
  expect(placesOn('collar', words)).toContain('behind the neck');
  expect(placesOn('collar', words)).not.toContain('heel');
  // every word that these lists name is there
  expect(placesOn('waist', words).length).toBeGreaterThan(9);
});

test('a hold may come from the other hand on the same thing, here or in the attempt before, and from nothing else', () => {
  const hold = (id: string, more: Partial<Control> = {}): Control => ({ ...sleeve, id, ...more });
  const at = (frame: number) => ({ frame, pts: frame });
  const all = [
    sleeve,
    hold('left', { limbSide: 'left' }),
    hold('same hand'),
    hold('foot', { limb: 'foot', limbSide: 'left' }),
    hold('theirs', { holder: 'opponent', limbSide: 'left' }),
    hold('elsewhere', { target: 'collar', limbSide: 'left' }),
    hold('too late', { limbSide: 'left', lost: at(9) }),
  ];
  const from = (of: Control, before: readonly Control[] = []): readonly string[] =>
    mayBeFrom(of, all, before).map((c) => c.id);
  expect(from(sleeve)).toEqual(['left', 'too late']);
  expect(from({ ...sleeve, gained: at(8) })).toEqual(['left']);
  expect(from(sleeve, [hold('before', { limbSide: 'left' })])).toEqual(['left', 'too late', 'before']);
  expect(from(all[3]!)).toEqual([]);
  const [handed] = handedChoices(mayBeFrom({ ...sleeve, gained: at(8) }, all));
  expect(handed!.texts[0]).toBe('from the left hand');
  const said = withHoldDetail(sleeve, handed!.value);
  expect([said.handed, said.handedFrom, sayHold(said, words)]).toEqual([
    true,
    'left',
    'right hand on their left sleeve (from the left hand)',
  ]);
  expect(withoutHoldDetail(said)).toEqual(sleeve);
  expect(withHoldDetail(said, handed!.value)).toEqual(sleeve);
  expect(handedFaults([said, all[1]!])).toEqual([]);
  const wrong = [
    { ...said, handedFrom: 'k' },
    { ...hold('x'), handedFrom: 'k' },
  ];
  expect(handedFaults(wrong).map((f) => f.path)).toEqual(['controls.0.handedFrom', 'controls.1.handedFrom']);
});
