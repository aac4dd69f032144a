import { describe, expect, test } from '@jest/globals';
import { SHIPPED_WORDS, analyse, withChanges, type MediaFile } from '@odograph/core';
import { libraryFile } from '@odograph/core/contract';
import { SIZES, seededLibrary, type SeededFile } from './seeded.js';

const ticks = Array.from({ length: 700 }, (_, i) => i * 40);
const file = {
  id: '01900000-0000-7000-8000-000000000001',
  timeBaseNum: 1,
  timeBaseDen: 1000,
  frames: 700,
} as MediaFile;
const files: readonly SeededFile[] = [{ file, ticks }];

describe('seeded libraries', () => {
  const library = seededLibrary('S', 7, files);

  test('when a size is asked for, it should have that many clips, all of them placed, over as many places', () => {
    expect([library.clips.length, library.attempts.length]).toEqual([SIZES.S.clips, SIZES.S.clips]);
    expect(analyse(library).totals).toMatchObject({ drafts: 0, unplaced: 0 });
    const places = new Set(library.attempts.map((a) => `${a.state!.position}/${a.state!.role}`));
    expect(places.size).toBeGreaterThan(40);
    expect(places.size).toBeLessThanOrEqual(SIZES.S.states);
    const states = new Set(seededLibrary('M', 7, files).attempts.map((a) => `${a.state!.position}/${a.state!.role}`));
    expect(states.size).toBeGreaterThan(150);
  });

  test('when it is looked through, it should be plausible: won by what aims at it, tried from where it can be, going on from where things were left', () => {
    const words = withChanges(SHIPPED_WORDS, library.wordChanges);
    const family = (position: string): string => words.position(position)!.family;
    for (const { action, finish, state, result } of library.attempts) {
      const word = words.action(action!)!;
      if (finish?.kind === 'submission' && finish.won) expect(['success', 'shown']).toContain(result);
      if (finish?.kind === 'submission' && finish.won)
        expect(word.aims).toContainEqual({ submission: finish.submission });
      if (finish?.kind === 'submission' && finish.won) expect(word.does).toBe('submission');
      if (word.does === 'pass') expect(state!.role).not.toBe('bottom');
    }
    const fits = library.attempts.filter((a) =>
      words.action(a.action!)!.from.includes(family(a.state!.position) as never),
    );
    expect(fits.length / library.attempts.length).toBeGreaterThan(0.9);
    for (const line of analyse(library).lines.filter((l) => l.bait)) expect(line.cost).toBeNull();
    expect(analyse(library).lines.some((l) => l.bait)).toBe(true);
  });

  test('when the seed is the same, the library should be; with another it should not', () => {
    expect(seededLibrary('S', 7, files)).toEqual(library);
    expect(seededLibrary('S', 8, files).attempts[0]).not.toEqual(library.attempts[0]);
  });

  test('when sizes and seeds differ, no two should be of one academy', () => {
    const ids = [6, 7, 8].flatMap((seed) =>
      [seededLibrary('S', seed, files), seededLibrary('M', seed, files)].map((l) => l.academy.id),
    );
    expect(new Set(ids).size).toBe(6);
  });

  test('when it is read like any export, it should be one; ids are ids, edges lie inside the file', () => {
    expect(libraryFile.validate(library).error).toBeUndefined();
    const ids = [...library.clips, ...library.attempts, ...library.footage, ...library.persons].map((r) => r.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    for (const c of library.clips) expect(c.in.frame < c.out.frame && c.out.frame < ticks.length).toBe(true);
  });
});
