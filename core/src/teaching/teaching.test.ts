import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedWords } from '../vocabulary/index.js';
import {
  AGE_GROUPS,
  FORMS,
  LEVELS,
  NEW_DRILL,
  RISKS,
  SHIPPED_POLICIES,
  formFor,
  formForAll,
  policyOf,
  risksOf,
  stepForm,
  type InTheRoom,
  drillSeconds,
  groupsOf,
  pairTurns,
  stepMinutes,
  threeTurns,
  turnSeconds,
  type Drill,
} from './index.js';

const drill = (more: Partial<Drill>): Drill => ({ ...NEW_DRILL, ...more });

describe('drills', () => {
  test('when two kinds are done on both sides, 40 s each and 10 s to change, pairs should have 8 turns in 390 s, threes 12 of 23 s and 4 s rest', () => {
    const of = drill({ kinds: 2, isBothSides: true, seconds: 40, change: 10 });
    expect([pairTurns(of).turns.length, drillSeconds(of)]).toEqual([8, 390]);
    const threes = threeTurns(of);
    expect([threes.turns.length, threes.seconds, threes.turns.at(-1)!.to, threes.rest]).toEqual([12, 23, 386, 4]);
  });

  test('when one kind is done on one side, 30 s and 5 s to change, pairs should have 2 turns in 65 s, threes 3 of 18 s and 1 s rest', () => {
    const of = drill({ kinds: 1, isBothSides: false, seconds: 30, change: 5 });
    expect([pairTurns(of).turns.length, drillSeconds(of)]).toEqual([2, 65]);
    const threes = threeTurns(of);
    expect([threes.turns.length, threes.seconds, threes.turns.at(-1)!.to, threes.rest]).toEqual([3, 18, 64, 1]);
  });

  test('when people pair up, one group of three should take the odd one in; one alone has nobody', () => {
    expect([7, 20, 3, 2, 1, 0].map((n) => Object.values(groupsOf(n)))).toEqual([
      [2, 1, 0],
      [10, 0, 0],
      [0, 1, 0],
      [1, 0, 0],
      [0, 0, 1],
      [0, 0, 0],
    ]);
  });

  test('when repetitions are said, a turn should take as long as they do, and rounds at full resistance stay fixed', () => {
    expect(turnSeconds(drill({ reps: 5, resistance: 'none' }), 6)).toBe(45);
    expect(turnSeconds(drill({ reps: 5, resistance: 'timed right' }), 6)).toBe(60);
    expect(turnSeconds(drill({ reps: 5, resistance: 'light' }), 2)).toBe(30);
    expect(turnSeconds(drill({ reps: 5, resistance: 'full', seconds: 120 }), 6)).toBe(120);
  });

  test('when a turn of threes would be too short, half of the kinds should be done, and said', () => {
    const short = threeTurns(drill({ kinds: 4, isBothSides: true, seconds: 12, change: 3 }));
    expect(short.kinds).toBe(2);
    expect(short.seconds).toBeGreaterThanOrEqual(10);
  });

  test('whatever the drill and however many come, each should work as often and as long as the others, always on somebody else, within the time', () => {
    const any = fc.record({
      kinds: fc.integer({ min: 1, max: 4 }),
      isBothSides: fc.boolean(),
      seconds: fc.integer({ min: 15, max: 180 }),
      change: fc.integer({ min: 0, max: 20 }),
    });
    fc.assert(
      fc.property(any, fc.integer({ min: 0, max: 40 }), (more, people) => {
        const of = drill(more);
        const { pairs, threes, alone } = groupsOf(people);
        expect(pairs * 2 + threes * 3 + alone).toBe(people);
        for (const { turns, seconds, rest } of [pairTurns(of), threeTurns(of)]) {
          const worked = new Map<string, number>();
          let at = 0;
          for (const turn of turns) {
            expect(turn.who).not.toBe(turn.on);
            expect(turn.to - turn.from).toBe(seconds);
            expect(turn.from).toBeGreaterThanOrEqual(at);
            at = turn.to;
            worked.set(turn.who, (worked.get(turn.who) ?? 0) + seconds);
          }
          expect(new Set(worked.values()).size).toBe(1);
          expect(at + rest).toBe(drillSeconds(of));
        }
      }),
    );
  });
});

test('when a step shows two clips, has three cues, a mistake, a caution and a drill, it should take 34 s, 50 s and 390 s', () => {
  const cues = [{ weight: 'required' }, { weight: 'required' }, { weight: 'usual' }] as const;
  const of = { cues, hasMistake: true, caution: 'first', hasQuestion: false } as const;
  const whole = drill({ kinds: 2, isBothSides: true, seconds: 40, change: 10 });
  expect(stepMinutes({ ...of, bestS: 6, failureS: 4, drill: whole })).toEqual({
    ...{ showing: 34, explaining: 50, drill: 390, whole: 474 },
  });
  const bare = { cues: [], hasMistake: false, caution: null, hasQuestion: false, drill: null } as const;
  expect(stepMinutes({ ...bare, bestS: undefined, failureS: undefined }).whole).toBe(0);
});

describe('what may be done in which form', () => {
  const [back, early] = [SHIPPED_POLICIES['hold back'], SHIPPED_POLICIES['early, controlled']];
  const who = (level: InTheRoom['level'], age: InTheRoom['age'] = 'adult'): InTheRoom => ({ level, age });

  test('when one beginner is among the advanced, a twisting lock should be reach and let go under one policy, not at all under the other', () => {
    const room = [who('beginner'), ...Array.from({ length: 5 }, () => who('advanced'))];
    expect(formForAll('twisting lock', room, early)).toBe('reach and let go');
    expect(formForAll('twisting lock', room, back)).toBe('not at all');
  });

  test('when teenagers come, chokes and falls should be one lower, and straight joint locks not', () => {
    expect(formFor('joint lock', who('intermediate', 'teenager'), back)).toBe('full');
    expect(formFor('choke', who('beginner', 'teenager'), back)).toBe('reach and let go');
    expect(formFor('fall', who('first weeks'), back)).toBe('not at all');
  });

  test('when nobody said level or age, they should count as the lowest', () => {
    expect(formFor('choke', who(null), back)).toBe('reach and let go');
    expect(formFor('compression', { level: 'advanced', age: null }, early)).toBe('not at all');
    expect(formForAll('choke', [], back)).toBe('not at all');
  });

  test('a higher level or age never lowers a form, another person never raises one, and children are never above reach and let go', () => {
    const rank = (form: (typeof FORMS)[number]): number => FORMS.indexOf(form);
    for (const policy of [back, early])
      for (const risk of RISKS) {
        for (const age of AGE_GROUPS)
          LEVELS.forEach((level, i) => {
            const form = formFor(risk, who(level, age), policy);
            if (i > 0) expect(rank(form)).toBeGreaterThanOrEqual(rank(formFor(risk, who(LEVELS[i - 1]!, age), policy)));
            if (age === 'child') expect(rank(form)).toBeLessThanOrEqual(1);
            for (const other of AGE_GROUPS) {
              const both = formForAll(risk, [who(level, age), who('first weeks', other)], policy);
              expect(rank(both)).toBeLessThanOrEqual(rank(form));
            }
          });
      }
  });

  test('when the academy says otherwise of a class, that should hold, and the rest be as its school has it', () => {
    const rows = [
      { risk: 'choke', firstWeeks: 'not at all', beginner: 'light', intermediate: 'full', advanced: 'full' },
    ] as const;
    const own = policyOf({ school: 'early, controlled', rows });
    expect(formFor('choke', who('first weeks'), own)).toBe('not at all');
    expect(formFor('compression', who('first weeks'), own)).toBe('reach and let go');
    expect(policyOf(undefined)).toEqual(back);
  });

  test('when a step can do several things, the lowest form should count; a word that says nothing is full', () => {
    const words = shippedWords();
    const room = [who('beginner')];
    const formOf = (action: string | null, submission: string | null = null) =>
      stepForm(risksOf(words, { action, submission }), room, back);
    expect(formOf('double-leg')).toBe('reach and let go');
    expect(formOf(null, 'leg-lock')).toBe('not at all');
    expect(formOf('armlock', 'straight-armlock')).toBe('light');
    expect(formOf('hip-escape')).toBe('full');
    // nothing that can hurt is forgotten: each submission has its class
    expect(
      words.all
        .filter((w) => w.kind === 'submission')
        .every((w) => risksOf(words, { action: null, submission: w.key }).length === 1),
    ).toBe(true);
  });
});
