import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LOGGED } from '../testing/workedExamples.js';
import { BARE_REACTION, DOUBT_FIELDS, doubtQueue, settled, type Attempt, type Doubt } from './index.js';

const base = LOGGED[0]!.attempt;
const at = { frame: 3, pts: 3 };
const doubting = (id: string, ...doubts: Doubt[]): Attempt => ({ ...base, id, doubts });
const unknown = (field: Doubt['field'], text: string): Doubt => ({ field, kind: 'unknown', text, at });

describe('the queue of doubts', () => {
  test('when several were called by the same unknown word, they should wait together, however it was written, the most frequent first', () => {
    const queue = doubtQueue([
      doubting('3', unknown('action', 'Rolling thing')),
      doubting('1', unknown('action', 'rolling  thing'), { field: 'result', kind: 'unsure', text: '', at }),
      doubting('2', unknown('state', 'rolling thing')),
    ]);
    expect(queue.map((g) => [g.field, g.kind, g.cases.map((c) => c.attemptId)])).toEqual([
      ['action', 'unknown', ['1', '3']],
      ['state', 'unknown', ['2']],
      ['result', 'unsure', ['1']],
    ]);
  });

  test('when attempts come in any order, every doubt should be in the queue once, and the queue be the same', () => {
    const doubts = fc.uniqueArray(
      fc.record({
        field: fc.constantFrom(...DOUBT_FIELDS),
        kind: fc.constantFrom('unsure' as const, 'unknown' as const),
        text: fc.constantFrom('', 'one', 'One', 'two'),
        at: fc.constant(at),
      }),
      { selector: (d) => d.field, maxLength: 4 },
    );
    fc.assert(
      fc.property(fc.array(doubts, { maxLength: 8 }), fc.nat(), (all, turn) => {
        const attempts = all.map((d, i) => doubting(String(i), ...d));
        const queue = doubtQueue(attempts);
        expect(queue.flatMap((g) => g.cases)).toHaveLength(all.flat().length);
        const k = attempts.length ? turn % attempts.length : 0;
        expect(doubtQueue([...attempts.slice(k), ...attempts.slice(0, k)]).map((g) => [g.key, g.cases])).toEqual(
          queue.map((g) => [g.key, g.cases]),
        );
      }),
    );
  });

  test('when one is settled, the part should be said, its doubt gone and every other doubt stay', () => {
    const attempt = doubting('1', unknown('action', 'thing'), { field: 'finish', kind: 'unsure', text: '', at });
    const changes = settled(attempt, 'action', { field: 'action', value: 'back-take' }, () => 'id');
    expect(changes).toEqual({ action: 'back-take', doubts: [attempt.doubts[1]] });
    expect(settled(attempt, 'finish', null, () => 'id')).toEqual({ doubts: [attempt.doubts[0]] });
    const met = settled(attempt, 'reactions', { field: 'reactions', value: 'frames' }, () => 'id');
    expect(met.reactions).toEqual([
      ...attempt.reactions,
      { id: 'id', what: 'frames', isAction: false, ...BARE_REACTION },
    ]);
  });
});
