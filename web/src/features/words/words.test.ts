import { describe, expect, test } from '@jest/globals';
import { WORD_KINDS, freshDefinition, shippedWords } from '@odograph/core';
import { definitionText } from './words.text.js';

describe('words of one’s own', () => {
  const words = shippedWords();

  test('when a word is told, what counts about it should be in the sentence', () => {
    expect(definitionText(words.position('mount')!, words)).toMatch(/^pin; .*height \+3\.5 for/);
    expect(definitionText(words.submission('rear-choke')!, words)).toMatch(/can injure the .*pain does not warn/);
    for (const kind of WORD_KINDS) expect(freshDefinition(kind).kind).toBe(kind);
  });
});
