import type { ClipView } from '../library/index.js';

export const ORDERS = ['as it happened', 'newest footage', 'most seen', 'shortest'] as const;
export type Order = (typeof ORDERS)[number];

const byId = (a: ClipView, b: ClipView): number => (a.clip.id < b.clip.id ? -1 : 1);

/** Clips in an order; `seenOf` says how many attempts stand behind a clip's line. Ties by id; the input is left as it is. */
export const ordered = (
  views: readonly ClipView[],
  order: Order,
  seenOf: (view: ClipView) => number,
): readonly ClipView[] => {
  const lengthS = (v: ClipView): number => ((v.clip.out.pts - v.clip.in.pts) * v.file.timeBaseNum) / v.file.timeBaseDen;
  switch (order) {
    case 'as it happened':
      return views;
    case 'newest footage':
      return [...views].sort(
        (a, b) =>
          (b.footage.date ?? '').localeCompare(a.footage.date ?? '') ||
          a.footage.id.localeCompare(b.footage.id) ||
          a.clip.in.frame - b.clip.in.frame,
      );
    case 'most seen':
      return [...views].sort((a, b) => seenOf(b) - seenOf(a) || byId(a, b));
    case 'shortest':
      return [...views].sort((a, b) => lengthS(a) - lengthS(b) || byId(a, b));
  }
};
