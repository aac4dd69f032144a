import { describe, expect, test } from '@jest/globals';
import { flipPlace, type PlaceId } from '../attempts/index.js';
import { LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { buildHeights } from './index.js';

describe('heights', () => {
  const heights = buildHeights(LOGGED, shippedWords());
  const height = (id: string): number => heights.get(id as PlaceId)!.height;

  test.each([
    ['half-guard/top', 1.1667],
    ['closed-guard/bottom', 0.95],
    ['front-headlock/top', 1.5556],
    ['butterfly/top', -0.3529],
    ['turtle/top', 2.1176],
    ['back/attacker', 3.925],
    ['mount/top', 3.5588],
    ['armlock-hold/attacker', 4.5294],
    ['two-sleeve/bottom', 0.6579],
    ['standing/even', 0],
    ['fifty-fifty/even', 0],
  ])('when the worked examples are counted, %s should lie at %d', (place, expected) => {
    expect(height(place)).toBeCloseTo(expected, 4);
  });

  test('when a place is good for both sides, its stake should say so', () => {
    expect(heights.get('two-sleeve/bottom' as PlaceId)!.stake).toBeCloseTo(3, 9);
  });

  test('when the other side looks at a place, its height should be the negative', () => {
    for (const [place, { height: h }] of heights)
      expect(heights.get(flipPlace(place))?.height ?? 0).toBeCloseTo(-h, 12);
  });
});
