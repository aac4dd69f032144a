import {
  SHIPPED_WORDS,
  type Definition,
  type Doing,
  type OwnAlias,
  type Scope,
  type WordChange,
  type WordKind,
  type Words,
} from '@odograph/core';
import { v7 as newId } from 'uuid';

/** A word as it is being changed. */
export type Draft = {
  readonly kind: WordKind;
  readonly key: string;
  readonly name: string;
  readonly aliases: readonly OwnAlias[];
  readonly hidden: boolean;
  readonly definition: Definition | null;
  readonly scope: Scope;
};

export const EVERYBODY: Scope = { kind: 'academy' };

export const draftOf = (kind: WordKind, key: string, words: Words, change: WordChange | undefined): Draft => ({
  kind,
  key,
  name: words.name(kind, key),
  aliases: change?.aliases ?? [],
  hidden: change?.hidden ?? false,
  definition: change?.definition ?? null,
  scope: change?.scope ?? EVERYBODY,
});

export const shippedName = (kind: WordKind, key: string): string | undefined =>
  SHIPPED_WORDS.find((w) => w.kind === kind && w.key === key)?.name;

/** The edit that keeps a word as it was drawn up; `before` is what the academy said of it so far. */
export const wordEditOf = (
  { kind, key, name: said, aliases, hidden, definition, scope }: Draft,
  before: WordChange | undefined,
): Extract<Doing, { kind: 'word' }> => {
  const id = before?.id ?? newId();
  const name = said === shippedName(kind, key) ? null : said;
  return {
    kind: 'word',
    change: {
      ...{ id, version: before?.version ?? 0, kind, key },
      ...(aliases.length ? { aliases } : {}),
      ...(name === null ? {} : { name }),
      ...(hidden ? { hidden } : {}),
      ...(definition ? { definition } : {}),
      ...(scope.kind === 'academy' ? {} : { scope }),
    },
  };
};
