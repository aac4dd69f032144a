import { describe, expect, test } from '@jest/globals';
import { CONTROL_KINDS, LIMBS, shippedWords } from '../vocabulary/index.js';
import { kindsOf } from './index.js';

const words = shippedWords();

describe('ways in which a limb holds', () => {
  test('when an arm is under the armpit, that should be an underhook before all else; nowhere else is it one', () => {
    expect(kindsOf('arm', words.target('underarm'))[0]).toBe('underhook');
    for (const target of words.of('target').filter((t) => t.key !== 'underarm'))
      for (const limb of LIMBS) expect(kindsOf(limb, target)).not.toContain('underhook');
  });

  test('when any limb is on anything, there should be a way, each a kind and once; on the mat it posts', () => {
    for (const limb of LIMBS)
      for (const target of words.of('target')) {
        const kinds = kindsOf(limb, target);
        expect(kinds.length).toBeGreaterThan(0);
        expect(new Set(kinds).size).toBe(kinds.length);
        expect(CONTROL_KINDS).toEqual(expect.arrayContaining([...kinds]));
      }
    expect(kindsOf('hand', words.target('mat'))).toEqual(['post']);
    expect(kindsOf('foot', words.target('hip'))[0]).toBe('hook');
  });
});
