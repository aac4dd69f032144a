import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { actionOf, against, keyNow, type OwnKeys, withKey } from './ownKeys.js';

const ACTIONS = ['i', 'o', 'd', 'j', '1', ' ', 'ArrowLeft'];

describe('keys of one’s own', () => {
  test('when keys are changed in any way that is allowed, each key should do one thing, and each action have one key', () => {
    const change = fc.tuple(fc.constantFrom(...ACTIONS), fc.constantFrom('i', 'o', 'd', 'j', 'x', 'y', '1', 'F5', '?'));
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (changes) => {
        let own: OwnKeys = {};
        for (const [action, key] of changes)
          if (against(action, key, own, ACTIONS) === null) own = withKey(own, action, key);
        const keys = ACTIONS.map((a) => keyNow(a, own));
        expect(new Set(keys).size).toBe(ACTIONS.length);
        for (const action of ACTIONS) expect(actionOf(keyNow(action, own), own)).toBe(action);
      }),
    );
  });

  test('when a key is another action’s, or the browser’s, it should be refused, and say whose it is', () => {
    expect(against('i', 'o', {}, ACTIONS)).toEqual({ kind: 'taken', by: 'o' });
    expect(against('i', 'o', { o: 'x' }, ACTIONS)).toBeNull();
    for (const key of ['F5', 'Tab', ' ', '?', 'ctrl+r', 'Enter'])
      expect(against('i', key, {}, ACTIONS)).toEqual({ kind: 'not free' });
  });

  test('when an action has left its key, pressing that key should do nothing, until the action has it back', () => {
    const own = withKey({}, 'i', 'x');
    expect([actionOf('i', own), actionOf('x', own)]).toEqual([undefined, 'i']);
    expect(withKey(own, 'i', 'i')).toEqual({});
  });
});
