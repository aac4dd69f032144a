import { wilson, type Line } from '../map/index.js';
import { fisher } from '../why/index.js';

/** A difference of two rates with its interval. */
export type RateDifference = { readonly by: number; readonly low: number; readonly high: number };

/**
 * The difference of two rates with its 95 % interval, out of the two Wilson intervals (Newcombe 1998, method 10). Undefined where one of them is not known.
 * @example newcombe(56, 70, 48, 80) // { by: .2, low: .0524, high: .3339 }
 */
export const newcombe = (x1: number, n1: number, x2: number, n2: number): RateDifference | undefined => {
  const [a, b] = [wilson(x1, n1), wilson(x2, n2)];
  if (!a || !b) return undefined;
  const [p, q] = [x1 / n1, x2 / n2];
  return { by: p - q, low: p - q - Math.hypot(p - a.low, b.high - q), high: p - q + Math.hypot(a.high - p, q - b.low) };
};

/** Which of some chances pass when no more than a share `rate` of what passes may be there by chance (Benjamini and Hochberg 1995). */
export const passing = (chances: readonly number[], rate: number): readonly boolean[] => {
  const sorted = [...chances].sort((a, b) => a - b);
  let most = -1;
  sorted.forEach((p, i) => {
    if (p <= ((i + 1) / sorted.length) * rate) most = p;
  });
  return chances.map((p) => p <= most);
};

/** A group in two views: how often it was done and worked in each, and what can be said of the difference. */
export type ComparedGroup = {
  readonly side: Line['side'];
  readonly from: string;
  readonly action: string;
  readonly bait: boolean;
  readonly a: Rated;
  readonly b: Rated;
  readonly difference: RateDifference | undefined;
  /** Only in the first; only in the second; worked more, or less, in the first than in the second, so that chance does not explain it; nothing of it. */
  readonly verdict: 'new' | 'gone' | 'better' | 'worse' | 'no difference to be seen';
};
export type Rated = { readonly n: number; readonly worked: number };

/** Of what is called better or worse, at most this share is there by chance. */
const BY_CHANCE = 0.1;
type Group = Pick<Line, 'side' | 'from' | 'action' | 'bait'> & Rated;

/** The groups that lines stand for, those that rates follow from. */
const groupsOf = (lines: readonly Line[]): ReadonlyMap<string, Group> =>
  new Map(
    lines.flatMap(({ side, from, action, bait, attempts, worked }): [string, Group][] =>
      attempts ? [[`${side} ${from} ${action} ${bait}`, { side, from, action, bait, n: attempts, worked }]] : [],
    ),
  );

/**
 * Two views of a map, group by group, in the order of ids: a difference is called one where its interval excludes nothing at all and Fisher's test passes among all groups that
 * are compared.
 */
export const compareLines = (first: readonly Line[], second: readonly Line[]): readonly ComparedGroup[] => {
  const [a, b] = [groupsOf(first), groupsOf(second)];
  const keys = [...new Set([...a.keys(), ...b.keys()])].sort();
  const none: Rated = { n: 0, worked: 0 };
  const both = keys.filter((key) => a.has(key) && b.has(key));
  const test = (key: string): number => {
    const [x, y] = [a.get(key)!, b.get(key)!];
    return fisher(x.worked, x.n - x.worked, y.worked, y.n - y.worked);
  };
  const passes = passing(both.map(test), BY_CHANCE);
  const passed = new Set(both.filter((_, i) => passes[i]));
  return keys.map((key): ComparedGroup => {
    const { side, from, action, bait } = (a.get(key) ?? b.get(key))!;
    const [x, y] = [a.get(key) ?? none, b.get(key) ?? none].map(({ n, worked }) => ({ n, worked })) as [Rated, Rated];
    const difference = newcombe(x.worked, x.n, y.worked, y.n);
    const isOne = difference && passed.has(key) && (difference.low > 0 || difference.high < 0);
    const verdict =
      x.n === 0
        ? 'gone'
        : y.n === 0
          ? 'new'
          : !isOne
            ? 'no difference to be seen'
            : difference.by > 0
              ? 'better'
              : 'worse';
    return { side, from, action, bait, a: x, b: y, difference, verdict };
  });
};
