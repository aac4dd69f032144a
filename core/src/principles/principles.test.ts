import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BARE_ALTERNATIVE, BARE_REACTION, stateId, type Attempt, type FactUse } from '../attempts/index.js';
import { BARE_PRINCIPLE, draftAttempt } from '../rows/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import type { Pattern } from '../why/index.js';
import {
  casesOf,
  clashesIn,
  isInScope,
  principlesAt,
  readRequired,
  readScope,
  sayPattern,
  sayScope,
  tableOf,
  twoViewsIn,
  type KnownOfPrinciples,
  type Principle,
  type PrincipleScope,
} from './index.js';

const words = shippedWords();
const NONE: PrincipleScope = { state: null, does: null, action: null, reaction: null, hold: null };
const INSIDE: Pattern = {
  ...{ kind: 'fact', fact: 'arms-inside', value: 'both', whose: 'subject', side: null, when: null },
};
const principle = (id: string, more: Partial<Principle>): Principle => ({
  ...BARE_PRINCIPLE,
  ...{ id, version: 1, scope: NONE, strength: 'required', sentence: id },
  ...more,
});
const inside = (value: string): FactUse => ({
  ...{ id: value, fact: 'arms-inside', value, side: null, whose: 'subject', when: 'start' },
});
const known = (attempts: readonly Attempt[], more: Partial<KnownOfPrinciples> = {}): KnownOfPrinciples => ({
  ...{ seen: attempts.map((attempt) => ({ attempt, athleteId: attempt.subject })), answers: [], clips: [] },
  ...more,
});
const pass = attemptOf(TOLD[0]!);
const PASSING = principle('passing', {
  scope: { ...NONE, state: { position: 'half-guard', role: 'top' }, does: 'pass' },
  pattern: INSIDE,
});

describe('what must be there', () => {
  test('any pass from half guard, top, with both arms inside: one of one; with two that failed without, none of two, p a third', () => {
    const said: Attempt = { ...pass, facts: [inside('both')] };
    expect(tableOf(casesOf(PASSING, known([said]), words))).toMatchObject({
      ...{ with: { worked: 1, not: 0 }, without: { worked: 0, not: 0 }, notSaid: 0 },
    });
    const failed: Attempt = { ...pass, id: 'f', result: 'failed', facts: [inside('none')] };
    const cases = casesOf(PASSING, known([said, failed, { ...failed, id: 'g' }]), words);
    expect(tableOf(cases)).toMatchObject({ with: { worked: 1, not: 0 }, without: { worked: 0, not: 2 }, notSaid: 0 });
    expect(tableOf(cases).p).toBeCloseTo(0.333, 3);
    expect(cases.map((c) => [c.side, c.isBroken])).toEqual([
      ['for', false],
      ['against', true],
      ['against', true],
    ]);
  });

  test('when somebody has said for or against by hand, that should stand, also of what is not in scope', () => {
    const failed: Attempt = { ...pass, facts: [inside('none')] };
    const elsewhere: Attempt = { ...pass, id: 'e', state: { position: 'mount', role: 'top' } };
    const clips = [
      { id: 'c', attemptId: failed.id },
      { id: 'd', attemptId: 'e' },
    ];
    const by = principle('p', { ...PASSING, clipsFor: ['c'], clipsAgainst: ['d'] });
    expect(casesOf(by, known([failed, elsewhere], { clips }), words)).toMatchObject([
      { side: 'for', by: 'hand', isBroken: true },
      { attemptId: 'e', side: 'against', by: 'hand', has: undefined, isBroken: false },
    ]);
  });

  test('when it is never to be there, what has it should speak against it; a habit should be looked for in its athlete alone', () => {
    const said: Attempt = { ...pass, facts: [inside('both')] };
    const [of] = casesOf({ ...PASSING, strength: 'never' }, known([said]), words);
    expect([of!.side, of!.isBroken]).toEqual(['against', false]);
    const habit: Principle = { ...PASSING, strength: 'habit', habitOf: 'nobody here' };
    expect(casesOf(habit, known([said]), words)).toEqual([]);
  });

  test('when an answer is asked for, the attempt that answered should say whether it was given, and whether it worked', () => {
    const reaction = { ...BARE_REACTION, id: 'r', what: 'frames', isAction: false };
    const asked: Attempt = { ...pass, reactions: [reaction] };
    const next: Attempt = { ...pass, id: 'next', action: 'armlock', result: 'failed', reactions: [] };
    const met = { from: stateId(pass.state!), action: pass.action!, reaction: 'frames' };
    const answers = [{ attemptId: 'next', toId: pass.id, ...met }];
    const of = (answer: string): unknown =>
      casesOf(
        principle('p', { scope: { ...NONE, reaction: 'frames' }, answer }),
        known([asked, next], { answers }),
        words,
      ).map((c) => [c.attemptId, c.has, c.worked, c.side]);
    expect(of('armlock')).toEqual([[pass.id, true, false, 'for']]);
    expect(of('triangle')).toEqual([[pass.id, false, false, 'against']]);
  });

  test('a state should stand for its children, and the narrower principle be read first', () => {
    const child = words.of('position').find((p) => p.parent === 'half-guard')!;
    const there: Attempt = { ...pass, state: { position: child.key, role: 'top' } };
    expect(isInScope({ attempt: there, athleteId: 'a' }, PASSING, words)).toBe(true);
    const narrow = principle('z', { scope: { ...NONE, state: { position: child.key, role: null } } });
    const other = principle('b', { scope: { ...NONE, state: { position: 'half-guard', role: 'bottom' } } });
    expect(
      principlesAt([PASSING, narrow, other], { position: child.key, role: 'top' }, words).map((p) => p.id),
    ).toEqual(['z', 'passing']);
    expect(principlesAt([PASSING, narrow], { position: 'half-guard', role: 'top' }, words)).toEqual([PASSING]);
  });
});

describe('clashes', () => {
  const collar = (id: string, answer: string, standing: Principle['standing'] = 'kept'): Principle =>
    principle(id, {
      scope: { ...NONE, state: { position: 'mount', role: 'top' }, reaction: 'frames' },
      ...{ answer, standing },
    });
  test('two answers to one reaction should clash, also with one of them another view, and not where both are', () => {
    const clashes = (a: Principle['standing'], b: Principle['standing']) =>
      clashesIn([collar('a', 'armlock', a), collar('b', 'cross-collar', b)], words).map((c) => c.kind);
    expect(clashes('kept', 'kept')).toEqual(['other answers']);
    expect(clashes('kept', 'other')).toEqual(['other answers']);
    expect(clashes('other', 'other')).toEqual([]);
  });

  const PLACES = ['half-guard', words.of('position').find((p) => p.parent === 'half-guard')!.key, 'mount'];
  const ROLES = ['top', 'bottom'] as const;
  const ACTIONS = ['knee-through', 'armlock'];
  const REACTIONS = ['frames', 'hips-out'];
  const VALUES = ['none', 'both'];
  const orNot = <T>(of: readonly T[]): fc.Arbitrary<T | null> => fc.option(fc.constantFrom(...of), { nil: null });
  const anyPrinciple = fc
    .record({
      place: orNot(PLACES),
      role: orNot(ROLES),
      action: orNot(ACTIONS),
      reaction: orNot(REACTIONS),
      strength: fc.constantFrom('required' as const, 'usual' as const, 'never' as const),
      value: orNot(VALUES),
      answer: fc.constantFrom(...ACTIONS),
      standing: fc.constantFrom('kept' as const, 'other' as const),
    })
    .map(
      ({ place, role, action, reaction, value, answer, strength, standing }) =>
        (id: string) =>
          principle(id, {
            scope: { ...NONE, state: place === null ? null : { position: place, role }, action, reaction },
            ...(value === null ? { answer: reaction === null ? null : answer } : { pattern: { ...INSIDE, value } }),
            ...{ strength, standing },
          }),
    );

  test('two should clash just where some attempt is under both and one is told to do what the other is told not to', () => {
    // everything that can happen in a small world
    const worlds = PLACES.flatMap((position) =>
      ROLES.flatMap((role) => ACTIONS.flatMap((action) => REACTIONS.map((what) => ({ position, role, action, what })))),
    ).map(({ position, role, action, what }) => ({
      attempt: {
        ...pass,
        state: { position, role },
        action,
        reactions: [{ ...BARE_REACTION, id: 'r', what, isAction: false }],
      },
      athleteId: 'a',
    }));
    /** What it tells of one thing: *arms: both*, or *after frames: armlock*, and whether that is to be. */
    const advice = ({ pattern, answer, scope, strength }: Principle) =>
      pattern?.kind === 'fact'
        ? { of: pattern.fact, is: pattern.value, strength }
        : answer !== null && scope.reaction !== null
          ? { of: `after ${scope.reaction}`, is: answer, strength }
          : null;
    const areOpposed = (p: Principle, q: Principle): boolean => {
      const [a, b] = [advice(p), advice(q)];
      if (!a || !b || a.of !== b.of) return false;
      const nevers = [a, b].filter((x) => x.strength === 'never').length;
      if (a.is !== b.is) return nevers === 0;
      return nevers === 1 && [a, b].some((x) => x.strength === 'required');
    };
    fc.assert(
      fc.property(anyPrinciple, anyPrinciple, (makeOne, makeOther) => {
        const [one, other] = [makeOne('a'), makeOther('b')];
        const isSeen = worlds.some((w) => isInScope(w, one, words) && isInScope(w, other, words));
        const isBothOther = one.standing === 'other' && other.standing === 'other';
        expect(clashesIn([other, one], words).length === 1).toBe(!isBothOther && isSeen && areOpposed(one, other));
      }),
      { numRuns: 400 },
    );
  });

  test('habits of two athletes should be two ways of doing it', () => {
    const habit = (id: string, habitOf: string): Principle => ({ ...collar(id, id), strength: 'habit', habitOf });
    expect(clashesIn([habit('armlock', 'x'), habit('triangle', 'y')], words)).toEqual([]);
    expect(clashesIn([habit('armlock', 'x'), habit('triangle', 'x')], words)).toHaveLength(1);
  });

  test('what two attempts alike say they should have done should be two views; of one attempt two chances', () => {
    const could = (id: string, ...what: readonly string[]): Attempt => ({
      ...draftAttempt({ ...pass, id }),
      ...{ state: pass.state, action: pass.action },
      alternatives: what.map((w) => ({ ...BARE_ALTERNATIVE, id: w, by: 'opponent', what: w, isAction: false })),
    });
    expect(twoViewsIn([could('1', 'frames'), could('2', 'hips-out'), could('3', 'frames')])).toEqual([
      {
        by: 'opponent',
        views: [
          { what: 'frames', isAction: false, attemptIds: ['1', '3'] },
          { what: 'hips-out', isAction: false, attemptIds: ['2'] },
        ],
      },
    ]);
    expect(twoViewsIn([could('1', 'frames', 'hips-out')])).toEqual([]);
  });
});

describe('principles as they are typed', () => {
  test.each([
    ['half guard top, any pass', ['half guard, top', 'any pass']],
    ['mount top, they frame', ['mount, top', 'they frame']],
    ['knee slice from half guard top', ['half guard, top', 'knee-through pass']],
    ['any back take', ['any back take']],
    ['half guard', ['half guard']],
  ])('when it is said "%s", it should apply there', (typed, said) => {
    const read = readScope(typed, words);
    expect([sayScope(read.value, words), read.notUnderstood]).toEqual([said, []]);
  });

  test('what is asked for should be a fact, a hold, or else an answer; what nobody understands be told', () => {
    const asked = (typed: string) => readRequired(typed, words).value;
    expect(sayPattern(asked('arms inside').pattern!, words)).toMatch(/arms inside/);
    expect(asked('far underhook').pattern).toMatchObject({ kind: 'hold', control: 'underhook', holder: 'subject' });
    expect(asked('armbar')).toEqual({ pattern: null, answer: 'armlock' });
    expect(readRequired('zorblat', words)).toEqual({
      ...{ value: { pattern: null, answer: null }, notUnderstood: ['zorblat'] },
    });
  });
});
