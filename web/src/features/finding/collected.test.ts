import { describe, expect, test } from '@jest/globals';
import { shippedWords } from '@odograph/core';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { clipViews } from '../library/index.js';
import { clipsIn } from './collected.js';
import { filterOf, keptFilter, readFilter } from './filterText.js';

const words = shippedWords();
const library = libraryWith([
  attemptWith('1', { action: 'armlock', result: 'success' }),
  attemptWith('2', { action: 'armlock', result: 'failed' }),
  attemptWith('3', { action: 'hip-bump', result: 'success' }),
]);
const views = clipViews(library, words);
const idsIn = (of: Parameters<typeof clipsIn>[0]): readonly string[] => clipsIn(of, views, words).map((v) => v.clip.id);

describe('clips of a collection', () => {
  test('when it is fixed, they should come in its order, and those that have gone be left out', () => {
    expect(idsIn({ clipIds: ['clip 3', 'gone', 'clip 1'], filter: null })).toEqual(['clip 3', 'clip 1']);
  });

  test('when it is live, all that its sentence finds should be in it, whatever ids it has; asking for nothing finds all', () => {
    const filter = keptFilter({ entry: 'armlock', result: 'failed' });
    expect(idsIn({ clipIds: ['clip 3'], filter })).toEqual(['clip 2']);
    expect(idsIn({ clipIds: [], filter: [] })).toEqual(['clip 1', 'clip 2', 'clip 3']);
  });

  test('when a filter is kept and read again, it should be the same, and names nobody knows ask for nothing', () => {
    const filter = { from: 'mount/top', text: 'late, a & b', speaker: 'Coach Ama' };
    expect(filterOf({ filter: keptFilter(filter) })).toEqual(filter);
    expect(filterOf({ filter: [...keptFilter(filter), { facet: 'moon', value: 'full' }] })).toEqual(filter);
    expect(readFilter((key) => (key === 'gi' ? '' : null))).toEqual({});
  });
});
