import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BARE_ALTERNATIVE,
  BARE_REACTION,
  flipPlace,
  foldPlace,
  stateId,
  type Alternative,
  type Attempt,
} from '../attempts/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { onlySaid } from './index.js';

const words = shippedWords();
const could = (by: Alternative['by'], what: string, isAction: boolean): Alternative => ({
  ...{ ...BARE_ALTERNATIVE, id: `${by} ${what}`, by, what, isAction },
});

describe('what is only said', () => {
  test('against the hip bump of the second example they could have hipped out: an answer that nobody has seen, until somebody does it', () => {
    const bump: Attempt = { ...attemptOf(TOLD[1]!), alternatives: [could('opponent', 'hips-out', false)] };
    expect(bump.action).toBe('hip-bump');
    expect(onlySaid([bump], words)).toEqual([
      { kind: 'answer', from: 'closed-guard/bottom', action: 'hip-bump', reaction: 'hips-out', attemptIds: [bump.id] },
    ]);
    const reaction = { ...BARE_REACTION, id: 'r', what: 'hips-out', isAction: false };
    expect(onlySaid([bump, { ...bump, id: 'later', alternatives: [], reactions: [reaction] }], words)).toEqual([]);
  });

  test('an action should be an option from where whoever could have done it was', () => {
    const bump: Attempt = {
      ...attemptOf(TOLD[1]!),
      alternatives: [could('subject', 'triangle', true), could('opponent', 'guard-opening', true)],
    };
    expect(onlySaid([bump], words)).toMatchObject([
      { kind: 'option', from: 'closed-guard/bottom', action: 'triangle' },
      { kind: 'option', from: 'closed-guard/top', action: 'guard-opening' },
    ]);
  });

  test('whatever is said and done, just what is said and never done should be left, as asking of each alternative alone says', () => {
    const places = ['closed-guard', 'mount'];
    const actions = ['hip-bump', 'triangle'];
    const reactions = ['frames', 'hips-out'];
    const one = fc.record({
      position: fc.constantFrom(...places),
      role: fc.constantFrom('top' as const, 'bottom' as const),
      action: fc.constantFrom(...actions),
      met: fc.constantFrom(...reactions),
      by: fc.constantFrom('subject' as const, 'opponent' as const),
      isAction: fc.boolean(),
      said: fc.nat(1),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 6 }), (made) => {
        const all = made.map(({ position, role, action, met, by, isAction, said }, i): Attempt => ({
          ...attemptOf(TOLD[1]!),
          ...{ id: String(i), state: { position, role }, action },
          reactions: [{ ...BARE_REACTION, id: 'r', what: met, isAction: false }],
          // only the other side reacts
          alternatives: [could(by, isAction ? actions[said]! : reactions[said]!, isAction)].filter(
            (a) => a.isAction || a.by === 'opponent',
          ),
        }));
        const placeOf = (a: Attempt) => foldPlace(stateId(a.state!), words);
        const isDone = (a: Attempt, { by, what, isAction }: Alternative): boolean =>
          isAction
            ? all.some(
                (b) => b.action === what && placeOf(b) === (by === 'subject' ? placeOf(a) : flipPlace(placeOf(a))),
              )
            : all.some((b) => b.action === a.action && placeOf(b) === placeOf(a) && b.reactions[0]!.what === what);
        const expected = all.flatMap((a) => a.alternatives.filter((alt) => !isDone(a, alt)).map(() => a.id));
        expect(
          onlySaid(all, words)
            .flatMap((s) => s.attemptIds)
            .sort(),
        ).toEqual(expected.sort());
      }),
    );
  });
});
