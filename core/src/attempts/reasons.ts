import type { ReasonUse } from './types.js';

/** The reasons with one more. The first that is said is the main one; one that is said again is the main one from then on. */
export const withReason = (reasons: readonly ReasonUse[], reason: string, id: string): readonly ReasonUse[] =>
  reasons.some((r) => r.reason === reason)
    ? reasons.map((r) => ({ ...r, main: r.reason === reason }))
    : [...reasons, { id, reason, main: reasons.length === 0 }];

/** The reasons without one; where that was the main one, the one said next to it is. */
export const withoutReason = (reasons: readonly ReasonUse[], id: string): readonly ReasonUse[] => {
  const left = reasons.filter((r) => r.id !== id);
  return left.some((r) => r.main) ? left : left.map((r, i) => ({ ...r, main: i === 0 }));
};
