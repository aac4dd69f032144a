import { flipPlace, type PlaceId, type Subject } from '@odograph/core';
import type { ClipView } from '../../library/index.js';

/** Where the attempt before left things, as the side that acts now sees it. */
export const leftIn = (before: ClipView | undefined, subject: Subject): readonly PlaceId[] => {
  if (!before?.to) return [];
  return [before.attempt.subject === subject ? before.to : flipPlace(before.to)];
};
