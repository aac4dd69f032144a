import type { ClipView } from '../library/index.js';
import { clipsBehind } from '../map/index.js';
import type { ShownStep } from './keptRoute.js';

/** The clip that shows a step: the one that was chosen, or the first of the most telling attempt. */
export const clipOfShown = ({ line, kept }: ShownStep, views: readonly ClipView[]): ClipView | undefined =>
  (kept?.clipId ? views.find((v) => v.clip.id === kept.clipId) : undefined) ?? clipsBehind(line, views)[0];
