import { describe, expect, test } from '@jest/globals';
import { SHIPPED_WORDS, WORD_KINDS, shippedWords, withChanges } from '@odograph/core';
import { ownKey } from './ownKey.js';
import { definitionText, freshDefinition } from './words.text.js';

describe('words of one’s own', () => {
  const words = shippedWords();

  test('when a key is made of a name, it should be plain, and not be one that is there', () => {
    expect(ownKey('position', 'Ladder Guard (Süd)!', words)).toBe('own-ladder-guard-sud');
    expect(ownKey('position', '梯子', words)).toMatch(/^[a-z0-9-]+$/);
    const change = {
      id: '1',
      version: 1,
      kind: 'reaction',
      key: 'own-turns',
      name: 'turns',
      definition: { kind: 'reaction' },
    } as const;
    expect(ownKey('reaction', 'turns', withChanges(SHIPPED_WORDS, [change]))).toBe('own-turns-2');
    expect(ownKey('reaction', 'x'.repeat(200), words).length).toBeLessThanOrEqual(60);
  });

  test('when a word is told, what counts about it should be in the sentence', () => {
    expect(definitionText(words.position('mount')!, words)).toMatch(/^pin; .*height \+3\.5 for/);
    expect(definitionText(words.submission('rear-choke')!, words)).toMatch(/can injure the .*pain does not warn/);
    for (const kind of WORD_KINDS) expect(freshDefinition(kind).kind).toBe(kind);
  });
});
