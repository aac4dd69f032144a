import type { Collection, FilterPart } from '@odograph/core';
import { FACETS } from './facets.js';
import type { Filter } from './filter.js';

/** All that a filter can name, in the order in which the sentence says it. */
const KEYS = [...FACETS.map((f) => f.key), 'text' as const];

/** What is asked of clips, read from names and values; names that nobody knows ask for nothing. */
export const readFilter = (valueOf: (key: string) => string | null | undefined): Filter =>
  Object.fromEntries(
    KEYS.flatMap((key) => {
      const value = valueOf(key);
      return value ? [[key, value]] : [];
    }),
  );

/** A filter as a collection keeps it. */
export const keptFilter = (filter: Filter): readonly FilterPart[] =>
  KEYS.flatMap((facet) => (filter[facet] === undefined ? [] : [{ facet, value: filter[facet] }]));

/** What a live collection asks of clips. */
export const filterOf = ({ filter }: Pick<Collection, 'filter'>): Filter => {
  const parts = new Map((filter ?? []).map((part) => [part.facet, part.value]));
  return readFilter((key) => parts.get(key));
};
