import { clipOfStep } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import type { ShownStep } from './shownRoute.js';

/** The clip that shows a step, ready to be played. */
export const clipOfShown = ({ line, kept }: ShownStep, views: readonly ClipView[]): ClipView | undefined => {
  const clip = clipOfStep(
    kept?.clipId ?? null,
    line?.attemptIds ?? [],
    views.map((v) => v.clip),
  );
  return views.find((v) => v.clip === clip);
};
