/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { buildHeights, buildLines, loggedOf, shippedWords } from '@odograph/core';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { MOST_PLACES, mostOf, mostThatFit } from './sizes.js';

const words = shippedWords();
const positions = words.of('position').filter((p) => p.roles.includes('top'));
/** Each position leads to the next one: a line for every pair. */
const library = libraryWith(
  positions.slice(1).map((to, i) =>
    attemptWith(String(i), {
      state: { position: positions[i]!.key, role: 'top' },
      action: 'knee-through',
      result: 'success',
      finish: { kind: 'state', position: to.key, role: 'top' },
    }),
  ),
);
const { lines, ...totals } = buildLines(loggedOf(library), words);
const picture = {
  revision: 1,
  lines,
  totals,
  heights: Object.fromEntries(buildHeights(loggedOf(library), words)),
};

describe('the map at rest', () => {
  test('when the screen is wide, twenty-four places should be named; the narrower it is, the fewer, but never none', () => {
    const counts = [5000, 1600, 1200, 700, 200].map((width) => mostThatFit(picture, words, { width, height: 700 }));
    expect(counts[0]).toBe(MOST_PLACES);
    expect([...counts].sort((a, b) => b - a)).toEqual(counts);
    expect(counts[2]).toBeLessThan(MOST_PLACES);
    expect(counts.at(-1)).toBeGreaterThanOrEqual(8);
    expect(mostOf(lines, counts[2]!).places.length).toBeLessThanOrEqual(counts[2]!);
  });
});
