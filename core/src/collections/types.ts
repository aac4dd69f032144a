/** One part of what is asked of clips: a facet of the clips' sentence and what it has to be, or `text` for words that have to be found. */
export type FilterPart = { readonly facet: string; readonly value: string };

/**
 * Clips gathered under a name. `filter`: live, whatever clips it finds, whenever it is looked at (every part has to hold; none = all clips); null: fixed,
 * `clipIds` in the order in which somebody put them. A live one keeps no ids.
 */
export type Collection = {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly clipIds: readonly string[];
  readonly filter: readonly FilterPart[] | null;
};

/** So many clips are kept in order by hand: with them one change still fits one request. */
export const COLLECTION_LIMIT = 1000;
