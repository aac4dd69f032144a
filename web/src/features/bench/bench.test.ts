import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { requestOf, timeTable } from '@odograph/core';
import { newClip as newClipRequest } from '@odograph/core/contract';
import { bracketLanes } from './bracketLanes.js';
import { newClipEdit } from './newClip.js';
import { keyName } from './usePictureKeys.js';

describe('brackets under the line', () => {
  test('when clips overlap, they should stand under each other; others share the first lane', () => {
    const lanes = bracketLanes([
      { id: 'a', from: 0, to: 10 },
      { id: 'b', from: 5, to: 15 },
      { id: 'c', from: 10, to: 20 },
      { id: 'd', from: 30, to: 40 },
    ]);
    expect([...lanes]).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 0],
      ['d', 0],
    ]);
  });

  test('when any clips are laid out, there should never be more than three lanes, and the order should not matter', () => {
    const spans = fc.uniqueArray(
      fc.record({ id: fc.uuid(), from: fc.nat(100), long: fc.integer({ min: 1, max: 30 }) }),
      { selector: (s) => s.id, maxLength: 20 },
    );
    fc.assert(
      fc.property(spans, (list) => {
        const of = list.map((s) => ({ id: s.id, from: s.from, to: s.from + s.long }));
        const lanes = bracketLanes(of);
        expect(Math.max(0, ...lanes.values())).toBeLessThan(3);
        expect(new Map(bracketLanes([...of].reverse()))).toEqual(new Map(lanes));
      }),
    );
  });
});

describe('a new clip', () => {
  test('when it is made, what is shown at once and what is sent should agree, and the server should take it', () => {
    const table = timeTable([0, 40, 80, 120], 1, 1000);
    const edit = newClipEdit({
      footageId: 'f',
      angleId: '01c29c88-57ac-7843-a116-b40c6a451c83',
      table,
      subject: 'b',
      inFrame: 1,
      outFrame: 4,
    });
    expect(newClipRequest.validate(requestOf(edit, null).body).error).toBeUndefined();
    expect(edit.clip).toMatchObject({
      attemptId: edit.attempt.id,
      in: { frame: 1, pts: 40 },
      out: { frame: 4, pts: 160 },
    });
    expect(edit.attempt).toMatchObject({ subject: 'b', start: edit.clip.in, end: edit.clip.out });
  });
});

describe('keys', () => {
  test.each([
    [{ key: 'I' }, 'i'],
    [{ key: 'ArrowLeft', shiftKey: true }, 'shift+ArrowLeft'],
    [{ key: 'z', ctrlKey: true }, 'ctrl+z'],
    [{ key: 'z', metaKey: true }, 'ctrl+z'],
    [{ key: ' ' }, ' '],
  ])('when %o is pressed, it should be called "%s"', (event, name) => {
    expect(keyName({ shiftKey: false, ctrlKey: false, metaKey: false, ...event })).toBe(name);
  });
});
