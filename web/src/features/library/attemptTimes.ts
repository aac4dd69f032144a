import { angleClock, clockAt, footageSeconds, type Instant } from '@odograph/core';
import type { ClipView } from './clipViews.js';
import { ATTEMPT_TIMES_TEXT as T } from './library.text.js';

/** How long an attempt took from start to commit and from there to its end, in seconds, and what was left on the match clock where it started, in milliseconds; null where nobody said it. */
export type AttemptTimes = {
  readonly toCommitS: number | null;
  readonly toEndS: number | null;
  readonly leftMs: number | null;
};

const NONE: AttemptTimes = { toCommitS: null, toEndS: null, leftMs: null };

/** The times of an attempt; none where the clip is from another camera than the attempt is told on. */
export const attemptTimes = ({ attempt, angle, file, footage }: ClipView): AttemptTimes => {
  if (angle.id !== attempt.angleId) return NONE;
  const clock = angleClock(angle, file);
  const at = ({ pts }: Instant): number => footageSeconds(clock, pts);
  const { start, commit, end, endAssumed } = attempt;
  return {
    toCommitS: commit && at(commit) - at(start),
    toEndS: endAssumed ? null : at(end) - at(commit ?? start),
    leftMs: clockAt(footage.clock, at(start) * 1000)?.leftMs ?? null,
  };
};

/** The same in a few words. */
export const timesText = (view: ClipView): string => {
  const { toCommitS, toEndS, leftMs } = attemptTimes(view);
  return [
    ...(toCommitS === null ? [] : [T.toCommit(toCommitS)]),
    ...(toEndS === null ? [] : [T.toEnd(toEndS, toCommitS !== null)]),
    ...(leftMs === null ? [] : [T.left(leftMs)]),
  ].join(', ');
};
