import { describe, expect, test } from '@jest/globals';
import { SHIPPED_WORDS, ownKey, shippedWords, withChanges, type WordKind, type Words } from './index.js';

const words = shippedWords();
const keyOf = (kind: WordKind, name: string, among: Words): string =>
  ownKey(name, (key) => among.get(kind, key) !== undefined);

describe('words of one’s own', () => {
  test('when a key is made of a name, it should be plain, and not be one that is there', () => {
    expect(keyOf('position', 'Ladder Guard (Süd)!', words)).toBe('own-ladder-guard-sud');
    expect(keyOf('position', '梯子', words)).toMatch(/^[a-z0-9-]+$/);
    const change = {
      id: '1',
      version: 1,
      kind: 'reaction',
      key: 'own-turns',
      name: 'turns',
      definition: { kind: 'reaction' },
    } as const;
    expect(keyOf('reaction', 'turns', withChanges(SHIPPED_WORDS, [change]))).toBe('own-turns-2');
    expect(keyOf('reaction', 'x'.repeat(200), words).length).toBeLessThanOrEqual(60);
  });

  test('when an own name is in a language, it should be known to be, and others be English', () => {
    const scope = { kind: 'academy' } as const;
    const [own] = [
      withChanges(SHIPPED_WORDS, [
        {
          ...{ id: '1', version: 1, kind: 'position', key: 'mount' },
          aliases: [
            { id: 'a', alias: 'a cavalo', scope, language: 'pt' },
            { id: 'b', alias: 'the saddle', scope },
          ],
        },
      ]).position('mount')!,
    ];
    expect(own.aliases).toEqual(expect.arrayContaining(['a cavalo', 'the saddle']));
    expect([own.languages?.['a cavalo'], own.languages?.['the saddle']]).toEqual(['pt', undefined]);
    // those that ship keep theirs
    expect(own.languages).toMatchObject(words.position('mount')!.languages ?? {});
  });
});
