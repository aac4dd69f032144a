import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wellFormed } from './wellFormed.js';

describe('texts that come in', () => {
  test('when half a pair stands in one, it should be readable again, wherever it stands', () => {
    expect(wellFormed({ name: 'Orla \ud83e', list: ['xy', { deep: '\udc00' }], n: 1, none: null })).toEqual({
      name: 'Orla \ufffd',
      list: ['xy', { deep: '\ufffd' }],
      n: 1,
      none: null,
    });
    expect(wellFormed('a whole pair 🥋 stays')).toBe('a whole pair 🥋 stays');
  });

  test('when anything comes in, what is well-formed should stay as it is, and everything be well-formed afterwards', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(wellFormed(value)).toEqual(value);
      }),
    );
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), fc.nat(0xffff), (text, code) => {
        const made = wellFormed(text + String.fromCharCode(code)) as string;
        expect(() => encodeURIComponent(made)).not.toThrow();
      }),
    );
  });
});
