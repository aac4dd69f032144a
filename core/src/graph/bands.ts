import { UNKNOWN, prospectFrom, type Prospect } from './chain.js';
import { digraphOf, type Arc, type Digraph } from './digraph.js';
import { gamma, randomOf } from './random.js';

/** Within what lies 95 % of the draws; what was counted lies always within. */
export type Band = { readonly low: number; readonly high: number };

/** How far a prospect can be believed. */
export type ProspectBands = {
  readonly endings: ReadonlyMap<string, Band>;
  readonly steps: Band;
  readonly points: Band;
};

export type DrawOptions = {
  readonly draws?: number;
  readonly seed?: number;
  readonly isGoingOn?: (done: number) => boolean;
};

/** So much of what was counted from a place stands for something that nobody has seen there yet. */
const UNSEEN = 0.5;

/** The graph with a way from each place on into what nobody has seen yet. */
const withUnseen = ({ ids, starts, to, weight }: Digraph, isEnd: (id: string) => boolean): Digraph =>
  digraphOf(
    ids.flatMap((from, at): Arc[] => {
      const out = Array.from(to.subarray(starts[at], starts[at + 1]), (end, i): Arc => ({
        ...{ from, to: ids[end]!, weight: weight[starts[at]! + i]! },
      }));
      const counted = out.some((arc) => arc.weight > 0);
      return counted && !isEnd(from) ? [...out, { from, to: UNKNOWN, weight: UNSEEN }] : out;
    }),
    ids,
  );

const bandOf = (drawn: readonly number[], counted: number): Band => {
  const sorted = [...drawn].sort((a, b) => a - b);
  const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] ?? counted;
  return { low: Math.min(counted, at(0.025)), high: Math.max(counted, at(0.975)) };
};

/**
 * How far the prospect from a place can be believed: the chances of each place's steps are drawn again and again from the Dirichlet distribution that their counts give, with half
 * a step beside them for what nobody has seen there yet. One seed gives the same bands. `isGoingOn` is told of each draw that is done, and stops where it says no: undefined.
 */
export const bandsFrom = (
  graph: Digraph,
  start: string,
  isEnd: (id: string) => boolean,
  pointsOf: (id: string) => number,
  { draws = 200, seed = 1, isGoingOn }: DrawOptions = {},
): ProspectBands | undefined => {
  const open = withUnseen(graph, isEnd);
  const random = randomOf(seed);
  const all: Prospect[] = [];
  for (let n = 0; n < draws; n++) {
    const weight = open.weight.map((w) => gamma(w, random));
    all.push(prospectFrom({ ...open, weight }, start, isEnd, pointsOf));
    if (isGoingOn?.(n + 1) === false) return undefined;
  }
  const counted = prospectFrom(graph, start, isEnd, pointsOf);
  const names = [...new Set([...counted.endings.keys(), ...all.flatMap((p) => [...p.endings.keys()])])].sort();
  const band = (of: (p: Prospect) => number): Band => bandOf(all.map(of), of(counted));
  return {
    endings: new Map(names.map((name) => [name, band((p) => p.endings.get(name) ?? 0)])),
    steps: band((p) => p.steps),
    points: band((p) => p.points),
  };
};
