import { KEPT, wordedFields, wordsSaid, type Words } from '@odograph/core';
import type { AttemptFields, WrongField } from '@odograph/core/contract';
import { Refused } from '../errors/refused.js';

const WORDED: ReadonlySet<string> = new Set(wordedFields(KEPT.attempt));
/** Whether fields of an attempt can say words at all. */
export const mayHaveWords = (fields: object): boolean => Object.keys(fields).some((field) => WORDED.has(field));

/** Refuses words that the vocabulary does not have, and roles that a position does not have, each by the name of its field. */
export const checkWords = (fields: Partial<AttemptFields>, words: Words, prefix: string): void => {
  const wrong = wordsSaid(KEPT.attempt, fields).flatMap(({ kind, key, path, role }): readonly WrongField[] => {
    const field = `${prefix}.${path}`;
    if (role === undefined)
      return words.get(kind, key) ? [] : [{ field, fault: { code: 'not-here', facts: { what: 'word' } } }];
    const isWrong = words.position(key) !== undefined && !words.hasRole(key, role);
    return isWrong ? [{ field, fault: { code: 'no-role', facts: { position: words.name('position', key) } } }] : [];
  });
  if (wrong.length) throw new Refused({ code: 'invalid', facts: { fields: wrong } });
};
