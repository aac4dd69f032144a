import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PlaceId } from '../attempts/index.js';
import { digraphOf, prospectFrom } from '../graph/index.js';
import { isEnding, pointsAhead, stepsOfBoth, stepsOfOwn } from './index.js';

const at = (id: string): PlaceId => id as PlaceId;
const line = (from: string, to: string, count: number, side: 'own' | 'their' = 'own') => ({
  ...{ from: at(from), to: at(to), count, side },
});

describe('chances with what the other side does', () => {
  test('when each side ends it as often from the same place, either should win half the time', () => {
    const lines = [line('standing/even', 'won:choke', 3)];
    const own = prospectFrom(digraphOf(stepsOfOwn(lines)), 'standing/even', isEnding, pointsAhead as never);
    expect(Object.fromEntries(own.endings)).toEqual({ 'won:choke': 1 });
    const both = prospectFrom(digraphOf(stepsOfBoth(lines, true)), 'standing/even', isEnding, pointsAhead as never);
    expect(Object.fromEntries(both.endings)).toEqual({ 'won:choke': 0.5, 'lost:choke': 0.5 });
  });

  test('when three steps lead from a guard up and one of theirs down, a place should be left by all four', () => {
    const lines = [
      line('closed-guard/bottom', 'mount/top', 3),
      line('closed-guard/bottom', 'side-control/bottom', 1, 'their'),
      line('mount/top', 'won:choke', 2),
      line('side-control/bottom', 'lost:choke', 2, 'their'),
    ];
    const { endings, steps, points } = prospectFrom(
      digraphOf(stepsOfBoth(lines, false)),
      'closed-guard/bottom',
      isEnding,
      (id) => pointsAhead(at(id)),
    );
    expect(endings.get('won:choke')).toBeCloseTo(0.75, 12);
    expect(endings.get('lost:choke')).toBeCloseTo(0.25, 12);
    expect(steps).toBeCloseTo(2, 12);
    expect(points).toBeCloseTo(0.75 * pointsAhead(at('mount/top')) + 0.25 * pointsAhead(at('side-control/bottom')), 12);
    expect(pointsAhead(at('side-control/bottom'))).toBeLessThan(0);
  });

  test('when everything is told of whoever acts, a place and its other side should have the same chances turned round', () => {
    const PLACES = ['closed-guard/bottom', 'closed-guard/top', 'mount/top', 'mount/bottom', 'won:choke', 'lost:choke'];
    const STARTS = PLACES.slice(0, 4);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...STARTS), fc.constantFrom(...PLACES), fc.integer({ min: 1, max: 9 })), {
          minLength: 1,
          maxLength: 12,
        }),
        (some) => {
          const graph = digraphOf(
            stepsOfBoth(
              some.map(([from, to, count]) => line(from, to, count)),
              true,
            ),
          );
          const from = (place: string) => prospectFrom(graph, place, isEnding, (id) => pointsAhead(at(id)));
          const [one, other] = [
            from(some[0]![0]),
            from(some[0]![0].replace(/top|bottom/, (r) => (r === 'top' ? 'bottom' : 'top'))),
          ];
          expect(other.endings.get('lost:choke') ?? 0).toBeCloseTo(one.endings.get('won:choke') ?? 0, 9);
          expect(other.points).toBeCloseTo(-one.points, 9);
          expect(other.steps).toBeCloseTo(one.steps, 9);
        },
      ),
      { numRuns: 300 },
    );
  });
});
