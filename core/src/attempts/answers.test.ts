import { describe, expect, test } from '@jest/globals';
import { LOGGED, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { answersIn, lineReaction, linkAttempts, type Attempt, type Timed } from './index.js';

const words = shippedWords();
const timed = (attempt: Attempt): Timed => ({
  attempt,
  startS: attempt.start.frame,
  commitS: attempt.commit?.frame ?? attempt.start.frame,
  endS: attempt.end.frame,
});
const answersOf = (attempts: readonly Attempt[]): string[] =>
  answersIn(attempts.map(timed), words).map((a) => `${a.attemptId}: ${a.from} ${a.action} ${a.reaction ?? 'itself'}`);
const live = (footage: string): readonly Attempt[] =>
  LOGGED.filter((l) => l.footage.id === footage && l.attempt.result !== 'shown' && l.attempt.resisted !== false).map(
    (l) => l.attempt,
  );

describe('answers', () => {
  test('when an attempt follows at once, it should answer the reaction under which the one before stands', () => {
    expect(answersOf(live('F4'))).toEqual(['03: closed-guard/bottom hip-bump posts']);
  });

  test('when the training round is read, the answers should be those of the model and no others', () => {
    const found = answersOf(live('F2'));
    expect(found).toContain('09: butterfly/top body-lock-pass turtles');
    expect(found).toContain('12: mount/top collar-choke hands-to-collar');
    expect(found).toContain('13: mount/top armlock clasps');
    // more than five seconds later, or after a reset
    expect(found.some((a) => a.startsWith('19:') || a.startsWith('08:'))).toBe(false);
  });

  const first = attemptOf({
    ...{
      id: 'r',
      in: 'F1',
      by: 'a',
      at: [10, 11, 14],
      from: 'standing/even',
      action: 'double-leg',
      to: 'turtle/bottom',
    },
    result: 'failed',
    more: { reactions: [{ id: 'go', what: 'go-behind', isAction: true, deciding: true }] },
  });
  const counter = attemptOf({
    ...{
      id: 's',
      in: 'F1',
      by: 'b',
      at: [12, 13, 16],
      from: 'front-headlock/top',
      action: 'go-behind',
      to: 'turtle/top',
    },
    result: 'success',
    more: { counterOfId: 'r' },
  });
  const out = attemptOf({
    ...{ id: 't', in: 'F1', by: 'a', at: [17, 18, 20], from: 'turtle/bottom', action: 'stand-up', to: 'standing/even' },
    result: 'success',
  });

  test('when the other side has countered, what follows should answer the counter and the reaction that it stands for', () => {
    expect(answersOf([first, counter, out])).toEqual([
      't: front-headlock/bottom go-behind itself',
      't: standing/even double-leg go-behind',
    ]);
  });

  test('when a link is cut by hand nothing is answered, and when one is set by hand it stands whatever lies between', () => {
    expect(answersOf([first, counter, { ...out, isCut: true }])).toEqual([]);
    const late = { ...out, start: { frame: 90, pts: 90 }, end: { frame: 95, pts: 95 }, followsId: 's' };
    expect(linkAttempts([first, counter, late].map(timed), words)).toContainEqual({ from: 's', to: 't', kind: 'set' });
    expect(linkAttempts([{ ...late, followsId: 'gone' }].map(timed), words)).toEqual([]);
  });

  test('when one of several reactions decided, the attempt should stand under it, else under the last', () => {
    const met = (id: string, deciding: boolean) => ({ id, what: id, isAction: false, deciding });
    expect(lineReaction({ reactions: [met('x', true), met('y', false)] })?.id).toBe('x');
    expect(lineReaction({ reactions: [met('x', false), met('y', false)] })?.id).toBe('y');
    expect(lineReaction({ reactions: [] })).toBeUndefined();
  });
});
