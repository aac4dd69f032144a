import type { Words } from '../vocabulary/index.js';
import { defaultHeight, quantile, stateId } from '../attempts/index.js';
import type { Attempt, State, Subject } from '../attempts/index.js';
import type { Moment } from './types.js';

/** How late people press a key before anything is known of the one who does, in ms, and how many marks that weighs. */
export const USUAL_LAG_MS = 250;
const USUAL_WEIGHT = 5;
/** The latest marks that were put right count: people get quicker. */
const LATEST = 40;
const MOST_LAG_MS = 1500;

/**
 * How late somebody presses the key for a mark, in ms: the median of how far their latest settled marks were put back, with five usual ones beside them,
 * so that one odd mark moves little. Never less than nothing.
 * @example learnedLagMs([400, 410, 390, 400, 405, 395, 400, 400]) // 395
 */
export const learnedLagMs = (observedMs: readonly number[]): number => {
  const all = [...observedMs.slice(-LATEST), ...Array.from({ length: USUAL_WEIGHT }, () => USUAL_LAG_MS)];
  const sorted = all.sort((a, b) => a - b);
  const median = quantile(sorted, 0.5);
  return Math.round(Math.min(MOST_LAG_MS, Math.max(0, median)));
};

/** Finds attempts by their ids; they are only gone through once somebody asks. */
const among = (attempts: readonly Attempt[]): ((id: string) => Attempt | undefined) => {
  let byId: ReadonlyMap<string, Attempt> | undefined;
  return (id) => (byId ??= new Map(attempts.map((a) => [a.id, a]))).get(id);
};

/** Marks that wait: no attempt was told of them, or it is gone, and no place in which somebody was seen. */
export const waitingMarks = (moments: readonly Moment[], attempts: readonly Attempt[]): readonly Moment[] => {
  const isTold = among(attempts);
  return moments.filter((m) => m.state === null && (m.attemptId === null || !isTold(m.attemptId)));
};

/** A mark with a place: somebody was seen there, and nobody acted. */
export type Sighting = Moment & { readonly state: State; readonly subject: Subject };
export const sightingsIn = (moments: readonly Moment[], footageId: string): readonly Sighting[] =>
  moments.flatMap((m) =>
    m.footageId === footageId && m.state !== null ? [{ ...m, state: m.state, subject: m.subject ?? 'a' }] : [],
  );

/** How good the place of a sighting is for one athlete, by default heights; undefined where the position is not known. */
export const sightingHeight = ({ state, subject }: Sighting, viewer: Subject, words: Words): number | undefined => {
  const height = defaultHeight(stateId(state), words);
  return height === undefined ? undefined : (subject === viewer ? height : -height) + 0;
};

/**
 * How late one person pressed, in ms of their own time, oldest mark first: of marks dropped while the picture went, those that were put right by hand or
 * of which an attempt was told, which then says by its start where they belong. `msOf` gives the footage time of a presentation time of an
 * angle, in ms; NaN where the angle is gone.
 */
export const observedLags = (
  moments: readonly Moment[],
  attempts: readonly Attempt[],
  accountId: string,
  msOf: (angleId: string, pts: number) => number,
): readonly number[] => {
  const attemptOf = among(attempts);
  return moments
    .filter((m) => m.accountId === accountId && m.speed > 0 && (m.settled || m.attemptId !== null))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((m): number[] => {
      const told = m.attemptId === null ? undefined : attemptOf(m.attemptId);
      if (!told && !m.settled) return [];
      const endedMs = told ? msOf(told.angleId, told.start.pts) : msOf(m.angleId, m.at.pts);
      const ms = (msOf(m.angleId, m.pressed.pts) - endedMs) / m.speed;
      return Number.isFinite(ms) ? [ms] : [];
    });
};
