import type { RouteStep } from '@odograph/core';

/** Where the wall stands: at a step, so many of its cues said, or its drill. */
export type WallAt = { readonly stepId: string; readonly cue: number; readonly isDrill: boolean };

/** All cues of a step in the order in which they are said: what has to be first, then what is usual, then habits. */
export const cuesOf = ({ cue, cues }: Pick<RouteStep, 'cue' | 'cues'>): readonly string[] => {
  const of = (weight: RouteStep['cues'][number]['weight']): readonly string[] =>
    cues.filter((c) => c.weight === weight).map((c) => c.text);
  return [...(cue ? [cue] : []), ...of('required'), ...of('usual'), ...of('habit')];
};

/** What comes after: the next cue, the drill, the next step; null at the end of the line. */
export const wallOn = (
  at: WallAt,
  step: Pick<RouteStep, 'cue' | 'cues' | 'drill'>,
  next: string | undefined,
): WallAt | null => {
  if (!at.isDrill && at.cue + 1 < cuesOf(step).length) return { ...at, cue: at.cue + 1 };
  if (!at.isDrill && step.drill) return { ...at, isDrill: true };
  return next === undefined ? null : atStep(next);
};

/** The beginning of a step. */
export const atStep = (stepId: string): WallAt => ({ stepId, cue: 0, isDrill: false });

/** What came before within the step; null at its beginning. */
export const wallBack = (at: WallAt): WallAt | null => {
  if (at.isDrill) return { ...at, isDrill: false };
  return at.cue > 0 ? { ...at, cue: at.cue - 1 } : null;
};
