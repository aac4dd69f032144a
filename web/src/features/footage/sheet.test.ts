import { describe, expect, test } from '@jest/globals';
import { libraryWith } from '../../../test/library.js';
import { athleteRef, fieldsOf, notAgreed, sheetForFile, sheetProblems } from './sheet.js';

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
    // nothing is cut: what is too long is told
    expect(sheetProblems({ ...sheet, title: 'x'.repeat(121), first: 'Bo', second: 'Ina' })).toEqual([
      { field: 'title', why: 'can have 120 characters' },
    ]);
  });

  test('when it is for the academy, whoever has not agreed to be shown should be told, known or new', () => {
    const sheet = { ...sheetForFile('x.mp4'), first: 'orla venn', second: 'Somebody New' };
    const [orla] = persons;
    const who = (shownTo: 'academy' | 'coaches' | null, audience: 'academy' | 'coaches' = 'academy'): unknown =>
      notAgreed({ ...sheet, audience }, [{ ...orla!, shownTo }]).map((n) => n.who);
    expect(who(null)).toEqual(['first', 'second']);
    expect(who('coaches')).toEqual(['first', 'second']);
    expect(who('academy')).toEqual(['second']);
    expect(who(null, 'coaches')).toEqual([]);
    expect(notAgreed(sheetForFile('x.mp4'), persons)).toEqual([]);
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
