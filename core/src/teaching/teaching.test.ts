import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  NEW_DRILL,
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
