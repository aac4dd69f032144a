import { describe, expect, test } from '@jest/globals';
import { attemptWith, clipOn, libraryWith } from '../../../test/library.js';
import { mergeChanged } from './index.js';

const attempt = attemptWith;
const library = {
  ...libraryWith([attempt('1'), attempt('2')]),
  clips: [clipOn(attempt('1'), 'c1'), clipOn(attempt('1'), 'c2'), clipOn(attempt('2'), 'c3')],
};

describe('the answer of the server', () => {
  test('when the answer of the server is merged, rows should be replaced, added and removed by id', () => {
    const merged = mergeChanged(library, { attempts: [attempt('2', { version: 2 }), attempt('0')], removed: ['c2'] });
    expect(merged.attempts.map((a) => [a.id, a.version])).toEqual([
      ['0', 1],
      ['1', 1],
      ['2', 2],
    ]);
    expect(merged.clips.map((c) => c.id)).toEqual(['c1', 'c3']);
    expect(merged.persons).toBe(library.persons);
  });
});
