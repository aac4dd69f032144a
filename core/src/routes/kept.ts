import type { Clip } from '../attempts/index.js';
import { lineId } from '../map/index.js';
import type { LineStep } from '../teaching/index.js';

/** Id of the line of the map that a step says. */
export const lineOfStep = (step: Pick<LineStep, 'from' | 'action' | 'to'>): string =>
  lineId(step.from, step.action, false, step.to);

/** The clip that shows a step: the one that was chosen, or the first clip of the most telling attempt of its line that has one. */
export const clipOfStep = <C extends Pick<Clip, 'id' | 'attemptId'>>(
  chosen: string | null,
  attemptsOfLine: readonly string[],
  clips: readonly C[],
): C | undefined => {
  const own = chosen === null ? undefined : clips.find((c) => c.id === chosen);
  if (own) return own;
  const first = attemptsOfLine.find((attempt) => clips.some((c) => c.attemptId === attempt));
  return first === undefined ? undefined : clips.find((c) => c.attemptId === first);
};
