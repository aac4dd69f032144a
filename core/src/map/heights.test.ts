import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flipPlace, type PlaceId } from '../attempts/index.js';
import { LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { buildHeights } from './index.js';

describe('heights', () => {
  const words = shippedWords();
  const heights = buildHeights(LOGGED, words);
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

  const mixed = fc.array(fc.record({ which: fc.nat(LOGGED.length - 1), to: fc.nat(LOGGED.length - 1) }), {
    maxLength: 40,
  });

  test('when anything is logged, heights should stay between the edges, sum to zero with their flips, and not hang on the order', () => {
    fc.assert(
      fc.property(mixed, (rows) => {
        const logged = rows.map(({ which, to }, i) => ({
          ...LOGGED[which]!,
          attempt: { ...LOGGED[which]!.attempt, id: `id ${i}`, finish: LOGGED[to]!.attempt.finish },
        }));
        const here = buildHeights(logged, words);
        for (const [place, { height, stake }] of here) {
          expect(Math.abs(height)).toBeLessThanOrEqual(5);
          expect(stake).toBeGreaterThanOrEqual(0);
          const flipped = here.get(flipPlace(place));
          if (flipped) expect(flipped.height + height).toBeCloseTo(0, 9);
        }
        const turned = buildHeights([...logged].reverse(), words);
        expect([...turned.keys()]).toEqual([...here.keys()]);
        for (const [place, { height }] of turned) expect(height).toBeCloseTo(here.get(place)!.height, 9);
      }),
      { numRuns: 100 },
    );
  });

  test('when one attempt is added, only the place it starts from and its flip should move', () => {
    const before = buildHeights(LOGGED, words);
    const more = { ...LOGGED[0]!, attempt: { ...LOGGED[0]!.attempt, id: 'more' } };
    const after = buildHeights([...LOGGED, more], words);
    const moved = [...after]
      .filter(([place, h]) => Math.abs(h.height - before.get(place)!.height) > 1e-12)
      .map(([place]) => place);
    expect(moved.sort()).toEqual(['half-guard/bottom', 'half-guard/top']);
  });

  test('when footage is picked, it should move no height unless it is taken in', () => {
    const picked = [{ ...LOGGED[0]!, isThorough: false }];
    expect(buildHeights(picked, words).get('half-guard/top' as PlaceId)!.height).toBe(1);
    expect(buildHeights(picked, words, { includePicked: true }).get('half-guard/top' as PlaceId)!.height).toBeCloseTo(
      1.1667,
      4,
    );
  });
});
