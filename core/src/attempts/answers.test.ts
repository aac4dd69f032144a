import { describe, expect, test } from '@jest/globals';
import { LOGGED, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  BARE_REACTION,
  answersIn,
  lineReaction,
  linkAttempts,
  meetingsIn,
  metKey,
  metText,
  startsElsewhere,
  type Attempt,
  type Timed,
} from './index.js';

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
    more: { reactions: [{ id: 'go', what: 'go-behind', isAction: true, ...BARE_REACTION, deciding: true }] },
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
    const met = (id: string, deciding: boolean) => ({ id, what: id, isAction: false, ...BARE_REACTION, deciding });
    expect(lineReaction({ reactions: [met('x', true), met('y', false)] })?.id).toBe('x');
    expect(lineReaction({ reactions: [met('x', false), met('y', false)] })?.id).toBe('y');
    expect(lineReaction({ reactions: [] })).toBeUndefined();
  });

  test('when answers are said by hand, what was met should be counted, and one that starts elsewhere than it left anybody be told', () => {
    const all = live('F4').concat(live('F2'));
    const meetings = meetingsIn(all, words);
    const posts = meetings.find((m) => metKey(m.met) === 'closed-guard/bottom hip-bump posts')!;
    expect(posts).toMatchObject({ times: 1, leftIn: new Set(['closed-guard/bottom']) });
    expect(metText(posts.met, words)).toBe('post a hand, against hip-bump sweep from closed guard, bottom');
    const starts = (position: string, role: 'top' | 'bottom') =>
      startsElsewhere({ state: { position, role } }, posts, words);
    expect([starts('closed-guard', 'bottom'), starts('mount', 'top')]).toEqual([false, true]);
    expect(startsElsewhere({ state: null }, posts, words)).toBe(false);
    // every reaction that is no attack, of every attempt whose place and entry are said, once
    const told = all.flatMap((a) => (a.state && a.action !== null ? a.reactions.filter((r) => !r.isAction) : []));
    expect(meetings.reduce((n, m) => n + m.times, 0)).toBe(told.length);
    expect(meetings.map((m) => m.times)).toEqual([...meetings.map((m) => m.times)].sort((a, b) => b - a));
    const twice = meetingsIn([...all, ...all], words);
    expect(twice.map((m) => m.times)).toEqual(meetings.map((m) => 2 * m.times));
  });
});
