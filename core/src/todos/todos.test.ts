import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Attempt } from '../attempts/index.js';
import { BARE_TODO } from '../rows/index.js';
import { TOLD, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { announcedOf, followedBy, inOrder, triedOf, type AnnouncedPart, type Dated, type Todo } from './index.js';

const words = shippedWords();
const todo = (more: Partial<Todo>): Todo => ({
  ...{ ...BARE_TODO, id: 't', version: 1, kind: 'try', text: 't', opened: '2026-03-01' },
  ...more,
});
const part = (name: string, clipId: string | null, isCutOff = false): AnnouncedPart => ({
  id: name,
  name,
  clipId,
  isCutOff,
});

describe('what was announced', () => {
  test('nine announced, eight stored: the list should name the one that is missing', () => {
    const parts = [...'abcdefgh'].map((name) => part(name, `clip ${name}`));
    expect(announcedOf({ said: 9, parts })).toMatchObject({ state: 'missing', unnamed: 1, missing: [] });
    const named = announcedOf({ said: 9, parts: [...parts, part('i', null)] });
    expect([named.state, named.missing.map((p) => p.name), named.stored.length]).toEqual(['missing', ['i'], 8]);
    expect(announcedOf({ said: 9, parts: [...parts, part('i', null, true)] }).state).toBe('cut off');
    expect(announcedOf({ said: 9, parts: [...parts, part('i', 'clip i')] }).state).toBe('complete');
    expect(announcedOf({ said: null, parts: [] })).toMatchObject({ said: 0, state: 'complete' });
  });

  test('whatever is announced, stored, missing and unnamed together should be all of it', () => {
    const parts = fc.array(fc.record({ clipId: fc.option(fc.string()), isCutOff: fc.boolean() }), { maxLength: 12 });
    fc.assert(
      fc.property(fc.option(fc.nat(20)), parts, (said, all) => {
        const named = all.map((p, i) => ({ ...p, id: `${i}`, name: `${i}` }));
        const found = announcedOf({ said, parts: named });
        // one by one, as somebody would count them on the fingers
        let [left, isAnyMissing] = [said ?? 0, false];
        for (const p of named) {
          left--;
          isAnyMissing ||= p.clipId === null;
        }
        expect(found.stored.length + found.missing.length + found.unnamed).toBe(Math.max(said ?? 0, named.length));
        expect(found.state === 'complete').toBe(!isAnyMissing && left <= 0);
      }),
    );
  });
});

describe('things to try', () => {
  const pass = attemptOf(TOLD[0]!);
  const dated = (id: string, athleteId: string, day: string | null, more: Partial<Attempt> = {}): Dated => ({
    ...{ attempt: { ...pass, id, ...more }, athleteId, day },
  });
  test('attempts of the option since it is on the list should be counted, by whom, and those without a day apart', () => {
    const all = [
      dated('before', 'orla', '2026-02-28'),
      dated('1', 'orla', '2026-03-01'),
      dated('2', 'orla', '2026-03-05', { result: 'failed' }),
      dated('3', 'sten', '2026-03-05'),
      dated('4', 'sten', null),
      dated('other', 'sten', '2026-03-05', { action: 'armlock' }),
    ];
    const option = todo({ state: { position: 'half-guard', role: 'top' }, action: pass.action });
    expect(triedOf(option, all, words)).toEqual({
      ...{ tried: 3, worked: 2, undated: 1 },
      by: [
        { athleteId: 'orla', tried: 2, worked: 1 },
        { athleteId: 'sten', tried: 1, worked: 1 },
      ],
    });
    expect(triedOf({ ...option, personIds: ['orla'] }, all, words)).toMatchObject({ tried: 2, undated: 0 });
    expect(triedOf(todo({}), all, words).tried).toBe(0);
  });

  test('what is due first should stand first, whatever order it came in', () => {
    const all = [
      todo({ id: 'c', opened: '2026-01-01' }),
      todo({ id: 'a', due: '2026-05-01' }),
      todo({ id: 'b', due: '2026-04-01' }),
      todo({ id: 'd', opened: '2026-02-01' }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: 4 }), (some) => {
        expect(inOrder(some).map((t) => t.id)).toEqual(['b', 'a', 'c', 'd']);
      }),
    );
  });
});

test('advice should be followed by the first attempt of whom it was for within fifteen seconds', () => {
  const at = (startS: number, athleteId = 'a') => ({ startS, athleteId });
  const all = [at(9), at(30), at(20), at(12, 'b')];
  expect(followedBy(10, ['a'], all)).toEqual(at(20));
  expect(followedBy(10, [], all)).toEqual(at(12, 'b'));
  expect(followedBy(31, ['a'], all)).toBeUndefined();
  expect(followedBy(15, ['a'], all)).toEqual(at(20));
});
