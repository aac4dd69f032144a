import { angleClock, clockAt, footageSeconds, type Instant } from '@odograph/core';
import type { ClipView } from '../library/index.js';

/** Seconds of the footage at which an instant of the attempt lies; undefined where the clip is from another camera than the attempt is told on. */
const secondsOf = ({ attempt, angle, file }: ClipView, at: Instant): number | undefined =>
  angle.id === attempt.angleId ? footageSeconds(angleClock(angle, file), at.pts) : undefined;

const PACES = [
  [0.5, 'under half a second'],
  [1, 'half a second to one'],
  [2, 'one to two seconds'],
  [Infinity, 'two seconds or more'],
] as const;
const paceOf = (seconds: number): string => PACES.find(([below]) => seconds < below)![1];
const between = (view: ClipView, from: Instant, to: Instant | null): readonly string[] => {
  const [a, b] = [secondsOf(view, from), to ? secondsOf(view, to) : undefined];
  return a === undefined || b === undefined ? [] : [paceOf(b - a)];
};

/** How long it took from the start to the commit, and from there to the end. */
export const toCommit = (view: ClipView): readonly string[] => between(view, view.attempt.start, view.attempt.commit);
export const toEnd = (view: ClipView): readonly string[] =>
  between(view, view.attempt.commit ?? view.attempt.start, view.attempt.endAssumed ? null : view.attempt.end);

/** What was left on the match clock where it started, by the minute; nothing where nobody read the clock. */
export const timeLeft = (view: ClipView): readonly string[] => {
  const seconds = secondsOf(view, view.attempt.start);
  const left = seconds === undefined ? undefined : clockAt(view.footage.clock, seconds * 1000)?.leftMs;
  if (left === undefined || left === null) return [];
  const minutes = Math.floor(left / 60_000);
  return [minutes === 0 ? 'less than a minute' : `${minutes} to ${minutes + 1} minutes`];
};
