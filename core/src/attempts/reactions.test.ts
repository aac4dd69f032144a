import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedWords } from '../vocabulary/index.js';
import {
  BARE_REACTION,
  REACTION_QUALITIES,
  sayReaction,
  withDetail,
  withoutLast,
  type ReactionDetail,
  type ReactionUse,
} from './index.js';

const words = shippedWords();
const frame: ReactionUse = { id: 'f', what: 'frames', isAction: false, ...BARE_REACTION };
const hip: ReactionUse = { id: 'h', what: 'hips-out', isAction: false, ...BARE_REACTION };

describe('what is said about a reaction', () => {
  test('when it came too late and decided, its words should say so', () => {
    const [, late] = withDetail([frame, hip], { kind: 'quality', quality: 'late' });
    expect(sayReaction(late!, words)).toBe('hip out (too late)');
    const [, both] = withDetail([frame, late!], { kind: 'deciding' });
    expect(sayReaction(both!, words)).toBe('hip out (too late, decided it)');
    expect(sayReaction(frame, words)).toBe('frame');
  });

  test('when the same is said again, it should be taken off', () => {
    const once = withDetail([frame], { kind: 'quality', quality: 'wrong' });
    expect(withDetail(once, { kind: 'quality', quality: 'wrong' })).toEqual([frame]);
    expect(withDetail(withDetail([frame], { kind: 'deciding' }), { kind: 'deciding' })).toEqual([frame]);
  });

  const details = fc.oneof(
    fc.constantFrom(...REACTION_QUALITIES).map((quality): ReactionDetail => ({ kind: 'quality', quality })),
    fc.constant<ReactionDetail>({ kind: 'deciding' }),
  );
  test('whatever is said, one at most should decide, and taking back step by step should end with nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(details, fc.constantFrom(frame, hip)), { maxLength: 12 }), (told) => {
        let all: readonly ReactionUse[] = [];
        for (const [i, one] of told.entries())
          all = 'kind' in one ? withDetail(all, one) : [...all, { ...one, id: String(i) }];
        expect(all.filter((r) => r.deciding).length).toBeLessThanOrEqual(1);
        expect(all.map((r) => r.what)).toEqual(told.flatMap((one) => ('what' in one ? [one.what] : [])));
        for (let steps = 0; all.length; steps++) {
          const before = all;
          all = withoutLast(before);
          expect(all.length === before.length - 1 || all.at(-1) !== before.at(-1)).toBe(true);
          expect(steps).toBeLessThan(50);
        }
        expect(withDetail([], { kind: 'deciding' })).toEqual([]);
      }),
    );
  });
});
