import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Attempt, Result } from '../attempts/index.js';
import { draftAttempt } from '../rows/index.js';
import { SLIP_MS, amendmentsOf, type AfterEdit } from './amendments.js';

const base = draftAttempt({
  ...{ id: 'x', footageId: 'f', angleId: 'g', subject: 'a' },
  ...{ start: { frame: 0, pts: 0 }, end: { frame: 9, pts: 9 } },
});
const told = (accountId: string, at: number, more: Partial<Attempt>, isTold = true): AfterEdit => ({
  ...{ editId: `${accountId} ${at}`, accountId, at, isTold },
  attempt: { ...base, ...more },
});
const said = (history: readonly AfterEdit[]): readonly (readonly [string, unknown, unknown])[] =>
  amendmentsOf(history).map(({ field, before, after }) => [field, before, after]);

describe('what was said and then said otherwise', () => {
  test('by somebody else it should be an amendment; what was not said before is none', () => {
    const history = [
      told('ana', 0, {}),
      told('ana', 1, { result: 'failed' }),
      told('lio', 2, { result: 'partial', depth: 2 }),
    ];
    expect(amendmentsOf(history)).toEqual([
      {
        ...{ editId: 'lio 2', attemptId: 'x', field: 'result', before: 'failed', after: 'partial' },
        ...{ by: { accountId: 'lio', at: 2 }, saidBy: { accountId: 'ana', at: 1 } },
      },
    ]);
  });

  test('by the same one it should be one only later: put right at once it was a slip', () => {
    const later = (at: number): readonly unknown[] =>
      said([told('ana', 0, { result: 'failed' }), told('ana', at, { result: 'success' })]);
    expect(later(SLIP_MS)).toEqual([]);
    expect(later(SLIP_MS + 1)).toEqual([['result', 'failed', 'success']]);
  });

  test('taken back it should be one, undone, or an undo, none', () => {
    expect(said([told('ana', 0, { form: 'by sitting up' }), told('lio', 1, {})])).toEqual([
      ['form', 'by sitting up', ''],
    ]);
    expect(
      said([told('ana', 0, { depth: 3 }), told('lio', 1, { depth: 1 }, false), told('lio', 2, { depth: 3 }, false)]),
    ).toEqual([]);
  });

  test('of a list, more of it is no amendment; less of it, or one of it told otherwise, is', () => {
    const reason = (id: string, main = false): Attempt['reasons'][number] => ({ id, reason: 'late', main });
    const after = (reasons: Attempt['reasons']): number =>
      said([told('ana', 0, { reasons: [reason('1'), reason('2')] }), told('lio', 1, { reasons })]).length;
    expect(after([reason('1'), reason('2'), reason('3')])).toBe(0);
    expect(after([reason('2'), reason('1')])).toBe(0);
    expect(after([reason('1')])).toBe(1);
    expect(after([reason('1'), reason('2', true)])).toBe(1);
  });

  test('where it lies in the footage is no telling', () => {
    expect(said([told('ana', 0, {}), told('lio', 1, { start: { frame: 3, pts: 3 } })])).toEqual([]);
  });

  test('of any history of one field, it should be what is found by looking at each pair of tellings', () => {
    const step = fc.record({
      who: fc.constantFrom('ana', 'lio'),
      after: fc.integer({ min: 1, max: 2 * SLIP_MS }),
      result: fc.constantFrom<Result | null>('success', 'failed', null),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        let at = 0;
        const history = steps.map(({ who, after, result }) => told(who, (at += after), { result }));
        const expected = history.flatMap((now, i) => {
          if (i === 0) return [];
          const before = history[i - 1]!.attempt.result;
          // who said what stands: the last one before whose edit changed it, or whoever made it
          const setter = history
            .slice(0, i)
            .findLast((h, j) => j === 0 || h.attempt.result !== history[j - 1]!.attempt.result)!;
          const isLater = setter.accountId !== now.accountId || now.at - setter.at > SLIP_MS;
          return before !== null && before !== now.attempt.result && isLater ? [now.editId] : [];
        });
        expect(amendmentsOf(history).map((a) => a.editId)).toEqual(expected);
      }),
    );
  });
});
