import { describe, expect, test } from '@jest/globals';
import { BARE_HOLD, type Attempt, type Control, type PlaceId } from '../attempts/index.js';
import { buildLines, wilson, type Line, type Logged } from '../map/index.js';
import { FOOTAGE, LOGGED, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { bestRoutes, gripChanges, lineCost } from './index.js';

const words = shippedWords();
const hold = (id: string, limb: Control['limb'], target: string): Control => ({
  id,
  holder: 'subject',
  limb,
  limbSide: 'right',
  kind: 'grip',
  target,
  targetOwner: 'other',
  targetSide: null,
  ...BARE_HOLD,
  cloth: false,
  gained: null,
  lost: null,
});
const step = (id: string, from: string, action: string, to: string, more: Partial<Attempt> = {}): Logged => ({
  attempt: attemptOf({ id, in: 'F1', by: 'a', at: [0, 1, 2], from, action, to, result: 'success', more }),
  footage: FOOTAGE.F1,
  isThorough: true,
});
const linesOf = (logged: readonly Logged[]): readonly Line[] => buildLines(logged, words).lines;
const placesOf = (route: { steps: readonly { line: Line }[] }): string[] => [
  route.steps[0]!.line.from,
  ...route.steps.map((s) => s.line.to),
];

describe('routes over the map', () => {
  test('when a line has worked, its cost should be the risk by the lower end of its interval', () => {
    const [line] = linesOf([step('1', 'mount/top', 'armlock', 'won:straight-armlock')]);
    expect(lineCost(line!)).toBeCloseTo(-Math.log(wilson(1, 1)!.low), 12);
  });

  test('when a line never worked, or leads from a place to itself, it should not be used', () => {
    const lines = linesOf(LOGGED);
    const unused = lines.filter((l) => lineCost(l) === undefined);
    expect(unused.every((l) => l.successes === 0 || l.from === l.to)).toBe(true);
    expect(unused.length).toBeGreaterThan(0);
    expect(
      bestRoutes(lines, 'back/attacker' as PlaceId, { kind: 'place', place: 'won:rear-choke' as PlaceId }, 3),
    ).toEqual([]);
  });

  test('when three ways lead there, all three should come, with their costs adding up and the fewest grip changes breaking the tie', () => {
    const same = { controls: [hold('a', 'hand', 'wrist')] };
    const lines = linesOf([
      step('1', 'standing/even', 'guard-pull', 'closed-guard/bottom', same),
      step('2', 'closed-guard/bottom', 'triangle', 'won:triangle-choke', same),
      step('3', 'closed-guard/bottom', 'armlock', 'won:straight-armlock', { controls: [hold('b', 'hand', 'elbow')] }),
      step('4', 'standing/even', 'double-leg', 'side-control/top'),
      step('5', 'side-control/top', 'slide-to-mount', 'mount/top'),
      step('6', 'mount/top', 'armlock', 'won:straight-armlock'),
    ]);
    const one = -Math.log(wilson(1, 1)!.low);
    const routes = bestRoutes(lines, 'standing/even' as PlaceId, { kind: 'any submission' }, 3);
    expect(routes.map(placesOf)).toEqual([
      ['standing/even', 'closed-guard/bottom', 'won:triangle-choke'],
      ['standing/even', 'closed-guard/bottom', 'won:straight-armlock'],
      ['standing/even', 'side-control/top', 'mount/top', 'won:straight-armlock'],
    ]);
    expect(routes.map((r) => r.cost)).toEqual([
      expect.closeTo(2 * one, 9),
      expect.closeTo(2 * one + 0.25, 9),
      expect.closeTo(3 * one, 9),
    ]);
    expect(routes[1]!.steps.map((s) => s.gripChanges)).toEqual([0, 1]);
    expect(routes[2]!.steps.at(-1)!.costSoFar).toBeCloseTo(routes[2]!.cost, 9);
  });

  test('when a route is read, its chance should be the product of what was observed, between the products of the ends', () => {
    const [route] = bestRoutes(
      linesOf(LOGGED),
      'turtle/top' as PlaceId,
      { kind: 'place', place: 'mount/top' as PlaceId },
      1,
    );
    expect(placesOf(route!)).toEqual(['turtle/top', 'back/attacker', 'mount/top']);
    expect(route!.chance).toBe(1);
    expect(route!.low).toBeCloseTo(wilson(1, 1)!.low * wilson(2, 2)!.low, 12);
  });

  test('when nothing is recorded on one side, no grip should have to change', () => {
    expect(gripChanges(new Map(), new Map([['hand right', 'x']]))).toBe(0);
    expect(
      gripChanges(
        new Map([['hand right', 'x']]),
        new Map([
          ['hand right', 'y'],
          ['hand left', 'z'],
        ]),
      ),
    ).toBe(2);
  });
});
