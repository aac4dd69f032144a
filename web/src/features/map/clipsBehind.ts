import type { ClipView } from '../library/index.js';

/** The clips behind a line, the most telling attempt first. */
export const clipsBehind = (
  line: { readonly attemptIds: readonly string[] },
  views: readonly ClipView[],
): readonly ClipView[] => line.attemptIds.flatMap((id) => views.filter((v) => v.attempt.id === id));
