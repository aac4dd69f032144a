import { KEPT, wordedFields, wordsSaid, type Entity, type Words } from '@odograph/core';
import type { WrongField } from '@odograph/core/contract';
import { perEntity } from '../database/columns.js';
import { Refused } from '../errors/refused.js';

const WORDED = perEntity((fields) => new Set(wordedFields(fields)));
/** Whether fields of a row can say words at all. */
export const mayHaveWords = (entity: Entity, fields: object): boolean =>
  Object.keys(fields).some((field) => WORDED[entity].has(field));

/** Refuses words that the vocabulary does not have, and roles that a position does not have, each by the name of its field (`prefix` stands before it). */
export const checkWords = (entity: Entity, fields: object, words: Words, prefix: string): void => {
  const wrong = wordsSaid(KEPT[entity], fields).flatMap(({ kind, key, path, role }): readonly WrongField[] => {
    const field = `${prefix}${path}`;
    if (role === undefined)
      return words.get(kind, key) ? [] : [{ field, fault: { code: 'not-here', facts: { what: 'word' } } }];
    const isWrong = words.position(key) !== undefined && !words.hasRole(key, role);
    return isWrong ? [{ field, fault: { code: 'no-role', facts: { position: words.name('position', key) } } }] : [];
  });
  if (wrong.length) throw new Refused({ code: 'invalid', facts: { fields: wrong } });
};
