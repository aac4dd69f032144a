import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_HOLD, type Attempt, type Control, type FactUse } from '../attempts/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { retold, toldTwice } from './index.js';

const shown = attemptOf(TOLD[0]!);
const fact = (value: string, more: Partial<FactUse> = {}): FactUse => ({
  ...{ id: `f ${value}`, fact: 'posture', value, side: null, whose: 'opponent', when: 'start' },
  ...more,
});
const hold = (place: Control['place']): Control => ({
  ...{ ...BARE_HOLD, id: 'c', holder: 'subject', limb: 'hand', limbSide: 'right', kind: 'grip', target: 'sleeve' },
  ...{ targetOwner: 'other', targetSide: 'left', cloth: true, gained: null, lost: null, place },
});
const attempt = (id: string, more: Partial<Attempt>): Attempt => ({ ...shown, facts: [], controls: [], ...more, id });

describe('details that one demonstration tells in two ways', () => {
  test('below the elbow in one clip and above it in another: both should be named, with their frames', () => {
    const all = [
      attempt('1', { controls: [hold('below the elbow')] }),
      attempt('2', { controls: [hold('above the elbow')], commit: { frame: 7, pts: 7 } }),
    ];
    const [twice, ...more] = toldTwice(all, () => true);
    expect(more).toEqual([]);
    expect(twice!.tellings.map((t) => [t.value, t.attempts.map((a) => [a.attemptId, a.at.frame])])).toEqual([
      ['below the elbow', [['1', (shown.commit ?? shown.start).frame]]],
      ['above the elbow', [['2', 7]]],
    ]);
    expect(retold(all[1]!, twice!, 'c', 'below the elbow').controls[0]!.place).toBe('below the elbow');
    expect(toldTwice(all, () => false)).toEqual([]);
  });

  test('what is shown as a mistake, of another side, action, time or footage should be no second telling', () => {
    const one = attempt('1', { facts: [fact('broken')] });
    const with_ = (more: Partial<Attempt>): Attempt => attempt('2', { facts: [fact('upright')], ...more });
    expect(toldTwice([one, with_({})], () => true)).toHaveLength(1);
    for (const more of [
      { shownAs: 'mistake' },
      { subject: shown.subject === 'a' ? 'b' : 'a' },
      { action: 'armlock' },
      { footageId: 'elsewhere' },
      { facts: [fact('upright', { when: 'end' })] },
      { facts: [fact('upright', { whose: 'subject' })] },
    ] as const)
      expect(toldTwice([one, with_(more)], () => true)).toEqual([]);
  });

  test('a detail should be named just where two attempts give it two values, as comparing all of them with all says', () => {
    const value = fc.constantFrom('upright', 'bent', 'broken');
    const some = fc.array(
      fc.record({
        facts: fc.uniqueArray(value, { maxLength: 1 }),
        isShown: fc.boolean(),
        action: fc.constantFrom('x', 'y'),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(some, (made) => {
        const all = made.map(({ facts, action }, i) =>
          attempt(String(i), { action, facts: facts.map((f) => fact(f)) }),
        );
        const isShown = (a: Attempt): boolean => made[Number(a.id)]!.isShown;
        const differ = (a: Attempt, b: Attempt): boolean =>
          isShown(a) &&
          isShown(b) &&
          a.action === b.action &&
          a.facts.some((f) => b.facts.some((g) => f.value !== g.value));
        const pairs = all.flatMap((a, i) => all.slice(i + 1).map((b) => [a, b] as const));
        const expected = new Set(pairs.flatMap(([a, b]) => (differ(a, b) ? [a.action] : [])));
        expect(new Set(toldTwice(all, isShown).map((t) => t.action))).toEqual(expected);
      }),
    );
  });
});
