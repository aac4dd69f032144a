import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { blankNames } from './blankNames.js';

describe('names that are not to be read', () => {
  const blank = blankNames(['Renko Hallvard', 'Ann-Lis Vey', 'Will Oake'], ['Orla Oake']);
  test.each([
    ['as Renko Hallvard does it', 'as … does it'],
    ['as renko hallvard does it', 'as … does it'],
    ['Hallvard’s knee, not Renko’s', '…’s knee, not …’s'],
    ['Ann-Lis steps over; Lis waits', '… steps over; … waits'],
    // a word that is no name as it is written, and one that only begins like one
    ['you will feel it; Hallvardson too', 'you will feel it; Hallvardson too'],
    // somebody who may be named is called so as well
    ['Oake pulls', 'Oake pulls'],
    ['nothing of that kind', 'nothing of that kind'],
  ])('when the text is %j, it should read %j', (text, read) => {
    expect(blank(text)).toBe(read);
  });

  test('when nobody is hidden, every text should stay as it is; when somebody is, their whole name should stand in none', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(blankNames([], ['A B'])(text)).toBe(text)));
    const name = fc.stringMatching(/^[A-Z][a-z]{2,8} [A-Z][a-z]{2,8}$/);
    fc.assert(
      fc.property(name, fc.string(), fc.string(), (who, before, after) => {
        expect(blankNames([who], [])(`${before} ${who} ${after}`).includes(` ${who} `)).toBe(false);
      }),
    );
  });
});
