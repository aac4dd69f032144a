import { describe, expect, test } from '@jest/globals';
import { libraryWith } from '../../../test/library.js';
import { athleteRef, fieldsOf, sheetForFile, sheetProblems } from './sheet.js';

const persons = [{ ...libraryWith([]).persons[0]!, id: 'p1' }];

describe('the footage sheet', () => {
  test('when a file is dropped, its name without the ending should be the title', () => {
    expect(sheetForFile('Open_mat-round-2.MP4').title).toBe('Open mat round 2');
  });

  test('when names are missing or the same, each field should be told', () => {
    const blank = { ...sheetForFile('x.mp4'), title: ' ' };
    const sheet = { ...blank, logged: 'throughout' } as const;
    expect(sheetProblems(blank).map((p) => p.field)).toEqual(['title', 'logged', 'first', 'second']);
    expect(sheetProblems({ ...sheet, title: 'x', first: 'Bo', second: 'bo ' })).toEqual([
      { field: 'second', why: 'must be somebody else' },
    ]);
    expect(sheetProblems({ ...sheet, title: 'x', first: 'Bo', second: 'Ina' })).toEqual([]);
  });

  test('when a name is known, the person should be taken; otherwise a new one be made', () => {
    expect(athleteRef(' orla venn ', persons)).toEqual({ id: 'p1', name: 'Orla Venn' });
    expect(athleteRef('Somebody New', persons)).toEqual({
      id: expect.stringMatching(/^[0-9a-f-]{36}$/),
      name: 'Somebody New',
    });
  });

  test('when no day was said, none should be sent', () => {
    expect(fieldsOf(sheetForFile('x.mp4'))).toMatchObject({ date: null, logged: 'picked', setting: 'training' });
  });
});
