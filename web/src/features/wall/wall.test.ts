import { describe, expect, test } from '@jest/globals';
import { BARE_STEP, NEW_DRILL } from '@odograph/core';
import { atStep, cuesOf, wallBack, wallOn, type WallAt } from './wall.js';
import { phaseAt } from './drillClock.js';
import { pairTurns } from '@odograph/core';

const STEP = {
  ...BARE_STEP,
  id: 's',
  cue: 'first',
  cues: [
    { text: 'a habit', weight: 'habit' as const },
    { text: 'has to be', weight: 'required' as const },
  ],
  drill: NEW_DRILL,
};

describe('the wall goes on', () => {
  test('when it goes on, it should say one cue after the other, then drill, then take the next step, and end at the end', () => {
    expect(cuesOf(STEP)).toEqual(['first', 'has to be', 'a habit']);
    const way: (WallAt | null)[] = [atStep('s')];
    for (let at = way[0]; at?.stepId === 's'; way.push(at)) at = wallOn(at, STEP, 't');
    expect(way).toEqual([
      ...[0, 1, 2].map((cue) => ({ stepId: 's', cue, isDrill: false })),
      { stepId: 's', cue: 2, isDrill: true },
      atStep('t'),
    ]);
    expect(wallOn(atStep('s'), BARE_STEP, undefined)).toBeNull();
  });

  test('when it goes back, it should take back the drill, then cue by cue, to the beginning of the step', () => {
    const back: (WallAt | null)[] = [];
    for (let at: WallAt | null = { stepId: 's', cue: 1, isDrill: true }; at;) back.push((at = wallBack(at)));
    expect(back).toEqual([{ stepId: 's', cue: 1, isDrill: false }, atStep('s'), null]);
  });
});

test('when a drill runs, each instant should be in a turn, in the change to the next, or after the last', () => {
  const turns = pairTurns({ ...NEW_DRILL, isBothSides: false, seconds: 30, change: 5 });
  const said = (s: number): unknown => {
    const { turn, next, leftS, isChange, isOver } = phaseAt(turns, s);
    return [turn?.who, next?.who, leftS, isChange, isOver];
  };
  expect([0, 29.5, 30, 34.9, 35, 65, 99].map(said)).toEqual([
    ['A', 'B', 30, false, false],
    ['A', 'B', 1, false, false],
    ['A', 'B', 5, true, false],
    ['A', 'B', 1, true, false],
    ['B', undefined, 30, false, false],
    ['B', undefined, 0, false, true],
    ['B', undefined, 0, false, true],
  ]);
});
