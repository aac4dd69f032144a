import { tokens, type WordKind, type Words } from '@odograph/core';

const LONGEST = 48;

/** A key for a new word: made of its name, told apart from shipped ones by its beginning, and from others by a number. */
export const ownKey = (kind: WordKind, name: string, words: Words): string => {
  const base = `own-${tokens(name)
    .map((t) => t.replace(/[^a-z0-9]/g, ''))
    .filter(Boolean)
    .join('-')
    .slice(0, LONGEST)}`.replace(/-+$/, '');
  for (let n = 1; ; n++) {
    const key = n === 1 ? base : `${base}-${n}`;
    if (!words.get(kind, key)) return key;
  }
};
