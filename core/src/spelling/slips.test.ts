import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fit } from './index.js';

describe('slips of the key', () => {
  // best first: the likelier a slip is, the better it fits
  test.each([
    ['half', ['half', 'hlaf', 'halv']],
    ['mount', ['mount', 'mounts', 'moutn', 'nount']],
    ['collar', ['collar', 'collr', 'colar', 'collxr']],
    ['pass', ['pass', 'passing', 'pasd']],
  ])('when %s is typed with slips, the likelier ones should fit better', (word, typed) => {
    const how = typed.map((t) => fit(t, word));
    expect(how[0]).toBe(1);
    for (const f of how) expect(f).toBeGreaterThan(0);
    expect([...how].sort((a, b) => b - a)).toEqual(how);
  });

  test.each([
    ['stripped', 'strips'],
    ['carried', 'carry'],
    ['took', 'takes'],
    ['held', 'holding'],
    ['swept', 'sweep'],
    ['got', 'gets'],
  ])('when "%s" is typed, it should be "%s", bent', (typed, word) => {
    expect(fit(typed, word)).toBeGreaterThan(0.9);
    expect(fit(typed, word)).toBeLessThan(1);
  });

  test.each([
    ['top', 'bottom'],
    ['leg', 'neck'],
    ['no', 'on'],
    ['guard', 'sleeve'],
    ['2', '50'],
  ])('when "%s" is typed, "%s" should not be meant', (typed, word) => {
    expect(fit(typed, word)).toBe(0);
  });

  test('when a word of seven letters or more has a letter wrong behind its first, it should still be known, and never fit better than itself', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{7,12}$/), fc.nat(), fc.constantFrom(...'aeoxyz'), (word, n, letter) => {
        const at = 1 + (n % (word.length - 1));
        const typed = word.slice(0, at) + letter + word.slice(at + 1);
        const how = fit(typed, word);
        expect(how).toBeGreaterThan(0);
        expect(how === 1).toBe(typed === word);
      }),
    );
  });
});
