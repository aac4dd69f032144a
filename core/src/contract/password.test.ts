import { describe, expect, test } from '@jest/globals';
import { passwordFault } from './password.js';

describe('a new password', () => {
  test.each([
    ['twelve chars', undefined],
    ['elevenchars', 'short'],
    // three words, also where they are short
    ['fox hat mud', undefined],
    ['fox fox fox', 'short'],
    ['a b c', 'short'],
    ['aaaaaaaaaaaaaaaa', 'same'],
    ['abababababababab', 'same'],
    ['🥋🥋🥋🥋🥋🥋', 'short'],
    ['rye-oak-elm', undefined],
  ])('when it is %j, what is wrong should be %s', (password, fault) => {
    expect(passwordFault(password)).toBe(fault);
  });
});
