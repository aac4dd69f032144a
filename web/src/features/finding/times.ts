import { attemptTimes, type ClipView } from '../library/index.js';

const PACES = [
  [0.5, 'under half a second'],
  [1, 'half a second to one'],
  [2, 'one to two seconds'],
  [Infinity, 'two seconds or more'],
] as const;
const paceOf = (seconds: number | null): readonly string[] =>
  seconds === null ? [] : [PACES.find(([below]) => seconds < below)![1]];

/** How long it took from the start to the commit, and from there to the end. */
export const toCommit = (view: ClipView): readonly string[] => paceOf(attemptTimes(view).toCommitS);
export const toEnd = (view: ClipView): readonly string[] => paceOf(attemptTimes(view).toEndS);

/** What was left on the match clock where it started, by the minute; nothing where nobody read the clock. */
export const timeLeft = (view: ClipView): readonly string[] => {
  const { leftMs } = attemptTimes(view);
  if (leftMs === null) return [];
  const minutes = Math.floor(leftMs / 60_000);
  return [minutes === 0 ? 'less than a minute' : `${minutes} to ${minutes + 1} minutes`];
};
