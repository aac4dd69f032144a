import { quantile } from '../attempts/index.js';
import { wilson, type Interval } from '../map/index.js';
import type { Case, SheetSource } from './cases.js';

/** Some times in seconds: the middle one, and those within which the middle half lies. */
export type Spread = {
  readonly n: number;
  readonly medianS: number;
  readonly quarterS: number;
  readonly threeQuartersS: number;
};

/** Undefined where there are none. */
export const spreadOf = (seconds: readonly number[]): Spread | undefined => {
  if (!seconds.length) return undefined;
  const sorted = [...seconds].sort((a, b) => a - b);
  return {
    n: sorted.length,
    medianS: quantile(sorted, 0.5),
    quarterS: quantile(sorted, 0.25),
    threeQuartersS: quantile(sorted, 0.75),
  };
};

/** How many of some times are within so many seconds, with the interval of that share. */
export const shareWithin = (
  seconds: readonly number[],
  withinS: number,
): { readonly n: number; readonly within: number; readonly interval: Interval | undefined } => {
  const within = seconds.filter((s) => s <= withinS).length;
  return { n: seconds.length, within, interval: wilson(within, seconds.length) };
};

export type Times = {
  readonly toCommit: readonly number[];
  readonly toEnd: readonly number[];
  /** From the end to the start of the next attempt of the same side, where that goes on from it. */ readonly toFollowUp: readonly number[];
};

/** How long attempts take, in seconds, in the order of the cases. An end that nobody set is none. */
export const timesOf = (cases: readonly Case[], { cases: all, links, secondsOf }: SheetSource): Times => {
  const byId = new Map(all.map((c) => [c.attempt.id, c.attempt]));
  const next = new Map<string, string>();
  for (const { from, to, kind } of links) if (kind !== 'seam' && !next.has(from)) next.set(from, to);
  const counted = cases.filter((c) => c.isCounted).map((c) => c.attempt);
  return {
    toCommit: counted.flatMap((a) => (a.commit ? secondsOf(a, a.commit) - secondsOf(a, a.start) : [])),
    toEnd: counted.flatMap((a) => (a.endAssumed ? [] : secondsOf(a, a.end) - secondsOf(a, a.commit ?? a.start))),
    toFollowUp: counted.flatMap((a) => {
      const after = byId.get(next.get(a.id) ?? '');
      return after?.subject === a.subject ? secondsOf(after, after.start) - secondsOf(a, a.end) : [];
    }),
  };
};
