import { describe, expect, test } from '@jest/globals';
import { together } from './room.js';

const does = (): void => undefined;
const other = (): void => undefined;

describe('rooms together', () => {
  test('when several have the same key, it should be the first one\u2019s', () => {
    const { keys } = together([{ keys: { a: does } }, { keys: { a: other, b: other } }]);
    expect(keys).toEqual({ a: does, b: other });
    expect(keys['a']).toBe(does);
  });

  test('when several have something to show, it should be the first one\u2019s, and what has none be left out', () => {
    expect(together([{}, { panel: 'line' }, { panel: 'rest', above: 'board' }])).toMatchObject({
      ...{ panel: 'line', above: 'board' },
      instead: undefined,
    });
  });

  test('when keys are told of, each should be one that works now', () => {
    const hints = [
      { keys: 'A', does: 'a', press: 'a' },
      { keys: 'B', does: 'b', press: 'b' },
      { keys: 'type', does: '' },
    ];
    expect(together([{ keys: { a: does }, hints }, { hints: [] }]).hints.map((h) => h.keys)).toEqual(['A', 'type']);
    expect(together([]).hints).toEqual([]);
  });
});
