import type { Collection, Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { matches } from './filter.js';
import { filterOf } from './filterText.js';

/** The clips of a collection that are there: of a fixed one in its order, of a live one those that it finds, in the order of `views`. */
export const clipsIn = (
  collection: Pick<Collection, 'clipIds' | 'filter'>,
  views: readonly ClipView[],
  words: Words,
): readonly ClipView[] => {
  if (collection.filter) {
    const filter = filterOf(collection);
    return views.filter((v) => matches(v, filter, words));
  }
  const byId = new Map(views.map((v) => [v.clip.id, v]));
  return collection.clipIds.flatMap((id) => byId.get(id) ?? []);
};
