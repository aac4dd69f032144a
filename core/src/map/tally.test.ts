import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { RESULTS, type Attempt, type ErrorUse, type PlaceId } from '../attempts/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  RowTable,
  Tally,
  applyRows,
  buildHeights,
  buildLines,
  heightsOf,
  lineId,
  messageOf,
  packRows,
  unpackRows,
  type CountingView,
  type Logged,
} from './index.js';

const words = shippedWords();
const change = fc.record({
  which: fc.nat(LOGGED.length - 1),
  like: fc.nat(LOGGED.length - 1),
  result: fc.constantFrom(...RESULTS, null),
  gone: fc.boolean(),
  isThorough: fc.boolean(),
  errors: fc.array(
    fc.record({
      by: fc.constantFrom('subject' as const, 'opponent' as const),
      cause: fc.constantFrom('brought about' as const, 'given away' as const),
    }),
    { maxLength: 2 },
  ),
});
type Change = { which: number; like: number; result: Attempt['result']; gone: boolean; isThorough: boolean } & {
  errors: readonly Pick<ErrorUse, 'by' | 'cause'>[];
};
const views: readonly CountingView[] = [
  { includePicked: false },
  { includePicked: true, settings: ['competition'] },
  { includePicked: false, skewedBy: 'tired' },
  { includePicked: true, ruleset: 'Harbour rules', level: 'brown belts' },
  { includePicked: true, speaker: 'Coach Ama' },
  { includePicked: false, pointOfView: { kind: 'athletes', ids: ['F1 a', 'F2 d'] } },
];
const asError = (error: Pick<ErrorUse, 'by' | 'cause'>, i: number): ErrorUse => ({
  ...error,
  ...{ id: `e${i}`, what: null, until: null },
});
/** An attempt turned into something like another, under its own id. */
const changed = ({ which, like, result, isThorough, errors }: Change): Logged => {
  const [own, other] = [LOGGED[which]!, LOGGED[like]!];
  return {
    footage: own.footage,
    isThorough,
    attempt: { ...other.attempt, id: own.attempt.id, footageId: own.footage.id, result, errors: errors.map(asError) },
  };
};

describe('counts kept as attempts change', () => {
  test('when attempts change, come and go in any order, the counts should be exactly those of counting anew', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), fc.constantFrom(...views), (changes, view) => {
        const now = new Map(LOGGED.map((l) => [l.attempt.id, l]));
        const table = RowTable.of(LOGGED, words);
        const tally = new Tally(table, view);
        for (const c of changes) {
          const next = changed(c);
          if (c.gone) {
            now.delete(next.attempt.id);
            tally.update([table.removeRow(next.attempt.id)!]);
          } else {
            now.set(next.attempt.id, next);
            tally.update([table.set(next, words)]);
          }
        }
        const anew = [...now.values()];
        expect(tally.book()).toEqual(buildLines(anew, words, view));
        const heights = (map: ReadonlyMap<PlaceId, { height: number }>): readonly (readonly [string, string])[] =>
          [...map].map(([id, h]) => [id, h.height.toFixed(9)]);
        expect(heights(heightsOf(table, words, view))).toEqual(heights(buildHeights(anew, words, view)));
      }),
    );
  });

  test('when rows are packed and unpacked, and laid over what was there, the counts should be the same', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (changes) => {
        const there = new RowTable();
        const whole = packRows(messageOf(RowTable.of(LOGGED, words), { version: 1, whole: true }));
        applyRows(there, unpackRows(whole.buffer as ArrayBuffer));
        const tally = new Tally(there);
        const here = RowTable.of(LOGGED, words);
        const touched = new Set<string>(),
          removed = new Set<string>();
        for (const c of changes) {
          const next = changed(c);
          const { id } = next.attempt;
          if (c.gone) {
            here.removeRow(id);
            removed.add(id);
            touched.delete(id);
          } else {
            here.set(next, words);
            touched.add(id);
            removed.delete(id);
          }
        }
        const rows = [...touched].map((id) => here.rowOf(id)!);
        const delta = packRows(messageOf(here, { version: 2, whole: false, rows, removed: [...removed] }));
        tally.update(applyRows(there, unpackRows(delta.buffer as ArrayBuffer)));
        expect(tally.book()).toEqual(new Tally(here).book());
      }),
    );
  });

  test('when ids are those that the product makes, and texts are not plain, all should survive the bytes', () => {
    const id = '0190a3c4-1b2d-7e8f-9a0b-c1d2e3f40516';
    const footage = { ...FOOTAGE.F1, date: '2031-05-24', athleteA: 'Zoë “Ø” 梯' };
    const table = RowTable.of([{ attempt: { ...LOGGED[0]!.attempt, id }, footage, isThorough: true }], words);
    const bytes = packRows(messageOf(table, { version: 7, whole: true }));
    const back = unpackRows(bytes.buffer as ArrayBuffer);
    expect(back).toMatchObject({ version: 7, whole: true, ids: [id], footage: [{ athleteA: 'Zoë “Ø” 梯' }] });
    expect(() => unpackRows(new ArrayBuffer(4))).toThrow('no rows');
  });
});

describe('what a mistake decided', () => {
  test('worked since they gave it away is given; lost by a mistake of one’s own that nobody brought about is thrown away', () => {
    const one = LOGGED.find((l) => l.attempt.result === 'success' && l.attempt.intent === 'own')!;
    const told = (
      result: Attempt['result'],
      ...errors: readonly Pick<ErrorUse, 'by' | 'cause'>[]
    ): readonly number[] => {
      const attempt = { ...one.attempt, result, errors: errors.map(asError) };
      const { lines } = buildLines([{ ...one, isThorough: true, attempt }], words);
      return lines.flatMap((l) => [l.count, l.given, l.thrown]);
    };
    const [ours, theirs] = [
      { by: 'subject', cause: 'given away' },
      { by: 'opponent', cause: 'given away' },
    ] as const;
    expect(told('success', theirs)).toEqual([1, 1, 0]);
    expect(told('failed', ours)).toEqual([1, 0, 1]);
    expect(told('abandoned', ours)).toEqual([1, 0, 1]);
    expect(told('success', ours)).toEqual([1, 0, 0]);
    expect(told('failed', theirs)).toEqual([1, 0, 0]);
    expect(told('success', { by: 'opponent', cause: 'brought about' })).toEqual([1, 0, 0]);
    expect(told('failed', { by: 'subject', cause: 'brought about' })).toEqual([1, 0, 0]);
  });
});

describe('what a view lets through', () => {
  const day = (date: string | null): Logged => ({ ...LOGGED[0]!, footage: { ...FOOTAGE.F1, date } });

  test('when a setting, clothing or days are chosen, only that footage should count', () => {
    const attempts = (view: Partial<CountingView>, logged: readonly Logged[] = LOGGED): number =>
      buildLines(logged, words, { includePicked: false, ...view }).attempts;
    expect([attempts({ settings: ['competition'] }), attempts({ settings: ['training'] })]).toEqual([7, 10]);
    expect([attempts({ gi: true }), attempts({ gi: false })]).toEqual([17, 0]);
    const tired = { ...LOGGED[0]!, footage: { ...FOOTAGE.F1, id: 'tired', skewedBy: 'tired' as const } };
    const two = [tired, { ...LOGGED[0]!, attempt: { ...LOGGED[0]!.attempt, id: 'plain' } }];
    expect([attempts({ skewedBy: 'tired' }, two), attempts({ skewedBy: 'nothing' }, two), attempts({}, two)]).toEqual([
      1, 1, 2,
    ]);
    expect(attempts({ skewedBy: 'injury' }, two)).toBe(0);
    const brown = { ...LOGGED[0]!, footage: { ...FOOTAGE.F1, id: 'brown', ruleset: 'Harbour rules', level: 'brown' } };
    const three = [LOGGED[0]!, { ...brown, attempt: { ...brown.attempt, id: '1-brown' } }];
    expect([attempts({ ruleset: 'Harbour rules' }, three), attempts({ level: 'brown' }, three)]).toEqual([1, 1]);
    expect([attempts({ level: 'blue' }, three), attempts({}, three)]).toEqual([0, 2]);
    const table = RowTable.of(LOGGED, words);
    const ids = LOGGED.slice(0, 3).map((l) => l.attempt.id);
    table.gathered = new Map([['k', new Set(ids)]]);
    const of = (collection: string): number => new Tally(table, { includePicked: true, collection }).book().attempts;
    expect([of('k'), of('another')]).toEqual([
      buildLines(LOGGED.slice(0, 3), words, { includePicked: true }).attempts,
      0,
    ]);
    const told = { ...LOGGED[0]!, footage: { ...FOOTAGE.F1, id: 'told', speaker: 'Coach Ama' } };
    const half = [LOGGED[0]!, { ...told, attempt: { ...told.attempt, id: '1-told' } }];
    expect([attempts({ speaker: 'Coach Ama' }, half), attempts({ speaker: 'Coach Bo' }, half)]).toEqual([1, 0]);
    const days = [
      day('2031-05-24'),
      { ...day('2031-05-25'), attempt: { ...LOGGED[0]!.attempt, id: 'other', footageId: 'x' } },
    ];
    const own = days.map((d, i) => ({ ...d, footage: { ...d.footage, id: `d${i}` } }));
    expect(attempts({ fromDay: '2031-05-25' }, own)).toBe(1);
    expect(attempts({ toDay: '2031-05-24' }, own)).toBe(1);
    expect(attempts({ fromDay: '2031-05-24', toDay: '2031-05-25' }, own)).toBe(2);
    expect(attempts({ fromDay: '2031-01-01' }, [day(null)])).toBe(0);
  });

  test('when one athlete is looked at, the other side’s attempts should be drawn from their flips and counted apart', () => {
    const { lines } = buildLines(LOGGED, words, {
      includePicked: false,
      pointOfView: { kind: 'athletes', ids: ['F1 a'] },
    });
    const own = lines.filter((l) => l.side === 'own');
    const their = lines.filter((l) => l.side === 'their');
    expect(own.some((l) => l.from === 'half-guard/top' && l.action === 'head-and-arm-pass')).toBe(true);
    expect(their.map((l) => [l.id, l.from, l.to, l.attempts])).toEqual([
      ['their: front-headlock/bottom go-behind turtle/bottom', 'front-headlock/bottom', 'turtle/bottom', 1],
    ]);
    expect(
      lines.every((l) => l.attemptIds.every((id) => LOGGED.find((x) => x.attempt.id === id)!.footage.id === 'F1')),
    ).toBe(true);
  });

  test('when a line is named, the name should be that of the counted line', () => {
    const [line] = buildLines(LOGGED, words).lines;
    expect(lineId(line!.from, line!.action, line!.bait, line!.to)).toBe(line!.id);
  });
});
