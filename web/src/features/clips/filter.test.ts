import { describe, expect, test } from '@jest/globals';
import { matchWords, shippedWords, type Attempt } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { facetChoices, facetCounts, matches, textsOf } from './filter.js';

const words = shippedWords();
const view = (from: string, action: string, to: string, targets: readonly string[] = []): ClipView =>
  ({
    from,
    to,
    attempt: {
      action,
      commit: null,
      start: { frame: 5, pts: 5 },
      controls: targets.map((target) => ({
        holder: 'subject',
        limb: 'hand',
        kind: 'grip',
        target,
        gained: null,
        lost: null,
      })),
    } as unknown as Attempt,
  }) as unknown as ClipView;
const views = [
  view('two-sleeve/bottom', 'overhead-sweep', 'mount/top', ['sleeve']),
  view('mount/top', 'armlock', 'won:straight-armlock', ['wrist', 'elbow']),
  view('mount/top', 'collar-choke', 'mount/top', ['collar']),
];

describe('which clips are shown', () => {
  test('when parts of the sentence are said, only clips that are all of it should stay', () => {
    const shown = (filter: Parameters<typeof matches>[1]): number =>
      views.filter((v) => matches(v, filter, words)).length;
    expect(shown({})).toBe(3);
    expect(shown({ from: 'mount/top' })).toBe(2);
    expect(shown({ from: 'mount/top', grip: 'hand grip wrist' })).toBe(1);
    expect(shown({ from: 'mount/top', entry: 'overhead-sweep' })).toBe(0);
  });

  test('when a position has a parent, the parent should find it', () => {
    expect(views.filter((v) => matches(v, { from: 'open-guard/bottom' }, words))).toEqual([views[0]]);
  });

  test('when choices are counted, they should say how many clips they leave, the other parts standing', () => {
    expect(facetCounts(views, { from: 'mount/top' }, 'entry', words)).toEqual(
      new Map([
        ['armlock', 1],
        ['collar-choke', 1],
      ]),
    );
    expect(facetCounts(views, { from: 'mount/top' }, 'from', words).get('mount/top')).toBe(2);
  });

  test.each([
    ['entry', 'armbar', 'armlock'],
    ['from', 'montada', 'mount/top'],
    ['from', 'both sleeves', 'two-sleeve/bottom'],
    ['grip', 'hand lapel', 'hand grip collar'],
    ['finish', 'juji gatame', 'won:straight-armlock'],
  ] as const)('when %s is looked for as "%s", the alias should find it', (facet, typed, value) => {
    const choices = facetChoices(facetCounts(views, {}, facet, words), facet, words);
    expect(matchWords(typed, choices)[0]!.value).toBe(value);
    expect(textsOf(facet, value, words)[0]).not.toBe('');
  });
});
