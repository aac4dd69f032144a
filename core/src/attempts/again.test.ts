import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LOGGED } from '../testing/workedExamples.js';
import { AGAIN, controlKey, repeated, sameTry, type Attempt, type Control } from './index.js';

let made = 0;
const newId = (): string => `id ${made++}`;
const side = fc.constantFrom('left', 'right', null);
const control: fc.Arbitrary<Control> = fc.record({
  id: fc.uuid(),
  holder: fc.constantFrom('subject', 'opponent'),
  limb: fc.constantFrom('hand', 'foot'),
  limbSide: side,
  kind: fc.constantFrom('grip', 'hook'),
  target: fc.constantFrom('collar', 'ankle'),
  targetOwner: fc.constantFrom('other', 'own'),
  targetSide: side,
  reach: fc.constantFrom('near', null),
  cloth: fc.boolean(),
  depth: fc.constantFrom('deep', null),
  thumb: fc.constantFrom('in', null),
  place: fc.constantFrom('wrist', null),
  purposes: fc.constant([]),
  hidden: fc.boolean(),
  handed: fc.boolean(),
  handedFrom: fc.constantFrom('other', null),
  won: fc.boolean(),
  gained: fc.constantFrom({ frame: 1, pts: 1 }, null),
  lost: fc.constant(null),
});
const attempt: fc.Arbitrary<Attempt> = fc
  .record({
    base: fc.constantFrom(...LOGGED.map((l) => l.attempt)),
    controls: fc.array(control, { maxLength: 4 }),
    lead: side,
    series: fc.integer({ min: 1, max: 9 }),
  })
  .map(({ base, ...more }) => ({ ...base, ...more }));

describe('again', () => {
  test('when something is done again, it should begin as it did, name what it repeats and count on', () => {
    fc.assert(
      fc.property(attempt, fc.constantFrom(...AGAIN), (before, how) => {
        const after = repeated(before, how, newId);
        expect(after.controls!.map((c) => [c.gained, c.lost, c.handed, c.won])).toEqual(
          before.controls.map(() => [null, null, false, false]),
        );
        expect(new Set([...after.controls!, ...before.controls].map((c) => c.id)).size).toBe(
          2 * before.controls.length,
        );
        if (how === 'grips') return expect(Object.keys(after)).toEqual(['controls']);
        expect(after).toMatchObject({
          state: before.state,
          action: before.action,
          parentId: before.id,
          series: before.series + 1,
        });
        expect(after.result).toBe(how === 'failed' ? 'failed' : undefined);
      }),
    );
  });

  test('when it is done on the other side twice, it should be the first side again; once, every side that is said is the other', () => {
    fc.assert(
      fc.property(attempt, (before) => {
        const once = { ...before, ...repeated(before, 'other side', newId) };
        const twice = { ...once, ...repeated(once, 'other side', newId) };
        expect(twice.controls.map(controlKey)).toEqual(before.controls.map(controlKey));
        expect(twice.lead).toBe(before.lead);
        for (const [i, c] of once.controls.entries()) {
          const was = before.controls[i]!;
          for (const part of ['limbSide', 'targetSide'] as const)
            expect(c[part]).toBe(was[part] === null ? null : was[part] === 'left' ? 'right' : 'left');
        }
      }),
    );
  });
});

describe('another look at the same try', () => {
  const at = (id: string, startS: number, endS: number, more: Partial<Attempt> = {}) => ({
    attempt: { ...LOGGED[0]!.attempt, id, ...more },
    startS,
    endS,
  });

  test('when half of the shorter one is in common, it should be that; with less, another action or the other side it is not', () => {
    expect(sameTry(at('x', 10, 14), [at('a', 12, 30)])?.attempt.id).toBe('a');
    expect(sameTry(at('x', 10, 14), [at('a', 12.1, 30)])).toBeUndefined();
    expect(sameTry(at('x', 10, 14), [at('a', 10, 14, { action: 'armlock' })])).toBeUndefined();
    expect(sameTry(at('x', 10, 14), [at('a', 10, 14, { subject: 'b' })])).toBeUndefined();
    expect(sameTry(at('x', 10, 14, { action: null }), [at('a', 10, 14, { action: null })])).toBeUndefined();
    expect(sameTry(at('x', 10, 14), [at('x', 10, 14)])).toBeUndefined();
    expect(sameTry(at('x', 10, 14), [at('b', 10, 13), at('a', 10, 13), at('c', 11, 13)])?.attempt.id).toBe('a');
  });

  test('when one is the same try as the other, the other should be the same as the one, in whatever order they come', () => {
    const times = fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 20 }));
    fc.assert(
      fc.property(times, times, ([s1, l1], [s2, l2]) => {
        const [x, y] = [at('x', s1, s1 + l1), at('y', s2, s2 + l2)];
        expect(sameTry(x, [y]) !== undefined).toBe(sameTry(y, [x]) !== undefined);
      }),
    );
  });
});
