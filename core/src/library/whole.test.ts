import { describe, expect, test } from '@jest/globals';
import { toGraphml } from '../formats/index.js';
import type { Angle, MediaFile } from '../footage/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { NO_ROWS, analyseWhole, type Library } from './index.js';

const file = { id: 'file', timeBaseNum: 1, timeBaseDen: 1 } as unknown as MediaFile;
const EMPTY: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  ...NO_ROWS,
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
  wordChanges: [],
};
const library: Library = {
  ...EMPTY,
  files: [file],
  footage: Object.values(FOOTAGE),
  angles: Object.keys(FOOTAGE).map(
    (id) =>
      ({
        id: `${id} angle`,
        footageId: id,
        fileId: 'file',
        fromFrame: 0,
        fromPts: 0,
        toFrame: 1000,
        offsetMs: 0,
        rate: 1,
      }) as unknown as Angle,
  ),
  attempts: LOGGED.map((l) => l.attempt),
};

/** Nothing in it is no number. */
const isSound = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value === 'object' && value !== null
      ? Object.values(value).every(isSound)
      : true;

describe('all that follows from a library', () => {
  const whole = analyseWhole(library, [{ from: 'turtle/top', to: 'mount/top' }]);

  test('what was begun cold and what answers something should be the two parts of all, on the map as on the sheets', () => {
    const of = (begun: 'cold' | 'answering') => analyseWhole(library, [], { includePicked: false, begun });
    const [cold, answering] = [of('cold'), of('answering')];
    expect(cold.totals.attempts + answering.totals.attempts).toBe(whole.totals.attempts);
    const actions = (some: typeof whole): readonly string[] => some.lines.map((l) => l.action);
    // it answers the posted hand, and the hip bump answers nothing
    expect(actions(answering)).toContain('double-wrist-lock');
    expect(actions(cold)).not.toContain('double-wrist-lock');
    expect(actions(cold)).toContain('hip-bump');
    expect(actions(answering)).not.toContain('hip-bump');
    const rated = (some: typeof whole): number => some.rates.reduce((sum, r) => sum + r.attempts, 0);
    expect(rated(cold) + rated(answering)).toBe(rated(whole));
  });

  test('of the worked examples, chances, crossroads and dead ends should be those of their lines', () => {
    const at = (place: string) => whole.chain.find((c) => c.place === place)!;
    // one of two ends in the guard again, the other wins: in the end it is won
    expect(at('closed-guard/bottom')).toEqual({
      ...{ place: 'closed-guard/bottom', steps: 2, points: 0 },
      endings: { 'won:double-wrist-lock': 1 },
    });
    // nothing was recorded beyond the sweep that was countered
    expect(at('standing/even').endings).toEqual({ unknown: 1 });
    expect(at('fifty-fifty/even')).toMatchObject({ steps: 1, endings: { 'reset:edge': 1 } });
    expect(whole.rates).toHaveLength(15);
    expect(whole.deadEnds).toEqual(['side-control/bottom', 'side-control/top', 'turtle/bottom']);
    expect(whole.islands.map((i) => i.length)).toEqual([...whole.islands.map((i) => i.length)].sort((a, b) => b - a));
    expect(whole.loops).toEqual({ isCut: false, list: [] });
    expect(whole.prerequisites).toMatchObject({ kind: 'order' });
    expect(whole.bands.map((b) => b.place)).toEqual(['standing/even', 'turtle/top']);
  });

  test('shuffled, it should be the same to the byte; and nothing in it be no number', () => {
    const back = analyseWhole(
      { ...library, attempts: [...library.attempts].reverse(), footage: [...library.footage].reverse() },
      [{ from: 'turtle/top', to: 'mount/top' }],
    );
    const text = ({ reactions, ...rest }: typeof whole): string => JSON.stringify([rest, toGraphml(rest, reactions)]);
    expect(text(back)).toBe(text(whole));
    expect(isSound({ ...whole, reactions: null })).toBe(true);
  });

  test('an empty library, one attempt, and one that nobody resisted should throw nothing', () => {
    expect(analyseWhole(EMPTY)).toMatchObject({ rates: [], chain: [], hubs: [], holes: [], bands: [] });
    for (const { attempt } of LOGGED)
      for (const resisted of [attempt.resisted, false]) {
        const one = analyseWhole({ ...library, attempts: [{ ...attempt, resisted }] });
        expect(isSound({ ...one, reactions: null })).toBe(true);
      }
  });
});
