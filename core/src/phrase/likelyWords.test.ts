import { describe, expect, test } from '@jest/globals';
import { SHIPPED_WORDS, shippedWords, withChanges } from '../vocabulary/index.js';
import { wordOfAction } from './index.js';

describe('the word that a further name is given to', () => {
  test('when an action only tries a submission of their own, it should be that submission', () => {
    const own = withChanges(SHIPPED_WORDS, [
      {
        ...{ id: '1', version: 1, kind: 'submission', key: 'own-clamp', name: 'harbour clamp', aliases: [] },
        definition: {
          kind: 'submission',
          risk: { injures: 'elbow', class: 'joint lock', pain: 'warns', care: 'Slowly.' },
        },
      },
    ]);
    expect(wordOfAction(own.action('try-own-clamp')!, own)).toEqual({ kind: 'submission', key: 'own-clamp' });
  });

  test('when a word is told, it should be one of those that are kept', () => {
    const words = shippedWords();
    for (const word of words.said) {
      const { kind, key } = wordOfAction(word, words);
      expect([key, words.all.some((w) => w.kind === kind && w.key === key)]).toEqual([key, true]);
    }
  });
});
