import type { Link } from '@odograph/core';
import type { ClipView } from '../../library/index.js';

/** Clips as paragraphs: what hangs together, one after the other, is one exchange; what was not linked, or doesn't fit, begins the next. */
export const exchanges = (clips: readonly ClipView[], links: readonly Link[]): readonly (readonly ClipView[])[] => {
  const before = new Map(links.map((l) => [l.to, l]));
  const all: ClipView[][] = [];
  for (const view of clips) {
    const last = all.at(-1);
    const link = before.get(view.attempt.id);
    const goesOn =
      last?.some(
        ({ attempt }) => attempt.id === view.attempt.id || (link?.kind !== 'seam' && link?.from === attempt.id),
      ) ?? false;
    if (last && goesOn) last.push(view);
    else all.push([view]);
  }
  return all;
};
