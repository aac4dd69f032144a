import { arcsOf, type Arcs, type RouteGraph } from './arcs.js';
import { restOf } from './rest.js';
import { Search, type Found } from './search.js';

export type FoundRoute = Found;

/** The cheapest route by a prefix and none of the arcs banned behind it: what it costs at least, and the route itself once it was searched for. */
type Candidate = {
  readonly prefix: readonly number[];
  readonly prefixCost: number;
  readonly banned: ReadonlySet<number>;
  readonly atLeast: number;
  readonly found: Found | null;
};

/** What a lower bound may lie above the cost that it is of: both are sums of the same numbers in another order. */
const ROUNDING = 1e-9;

const compareArcs = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((arc, i) => arc !== b[i]);
  return at < 0 ? a.length - b.length : at >= b.length ? 1 : a[at]! - b[at]!;
};
/** What costs least first; what is not searched for yet before what costs the same; ties by the arcs' numbers. */
const compare = (a: Candidate, b: Candidate): number => {
  const [low, high] = [a.found?.cost ?? a.atLeast - ROUNDING, b.found?.cost ?? b.atLeast - ROUNDING];
  if (low !== high) return low - high;
  if (!a.found || !b.found) return (a.found ? 1 : 0) - (b.found ? 1 : 0);
  return compareArcs(a.found.arcs, b.found.arcs);
};

const made = new WeakMap<RouteGraph, Arcs>();
const arcsIn = (graph: RouteGraph): Arcs => {
  const arcs = made.get(graph) ?? arcsOf(graph);
  made.set(graph, arcs);
  return arcs;
};

/**
 * The `k` cheapest routes from a node to any of the targets that visit no node twice, cheapest first.
 *
 * Yen's deviations with Lawler's rule (a route is only varied from where it left its parent on). Each deviation is held back by what it costs at least, and searched for
 * only when nothing else can be cheaper; the search is an A* whose estimate, from one backward tree, is exact but for the forbidden nodes. With a cost between pairs of arcs
 * the cheapest way may want to pass a node twice; then it is searched again over whole ways, so the answer stays exact. Ties: by the order of the arcs' numbers
 * (callers sort arcs by id), compared arc by arc. Sources: Yen 1971, Lawler 1972, Hart/Nilsson/Raphael 1968.
 */
export const kBestRoutes = (
  graph: RouteGraph,
  source: number,
  targets: ReadonlySet<number>,
  k: number,
): readonly FoundRoute[] => {
  if (targets.has(source) || k < 1) return [];
  const arcs = arcsIn(graph);
  const search = new Search(arcs, graph, restOf(arcs, graph, targets), targets, source);
  const candidates: Candidate[] = [];
  const hold = (prefix: readonly number[], prefixCost: number, banned: ReadonlySet<number>): void => {
    const atLeast = search.atLeast(prefix, prefixCost, banned);
    if (Number.isFinite(atLeast)) insert(candidates, { prefix, prefixCost, banned, atLeast, found: null });
  };
  hold([], 0, new Set());
  const routes: FoundRoute[] = [];
  for (let next = candidates.shift(); next && routes.length < k; next = candidates.shift()) {
    const { prefix, prefixCost, banned, found } = next;
    if (!found) {
      const other = search.cheapest(prefix, prefixCost, banned);
      if (other) insert(candidates, { ...next, found: other });
      continue;
    }
    routes.push(found);
    let soFar = prefixCost;
    for (let i = prefix.length; i < found.arcs.length; i++) {
      const arc = found.arcs[i]!;
      hold(found.arcs.slice(0, i), soFar, new Set(i === prefix.length ? [...banned, arc] : [arc]));
      const before = found.arcs[i - 1];
      soFar += arcs.cost[arc]! + (before === undefined || !graph.between ? 0 : graph.between(before, arc));
    }
  }
  return routes;
};

/** Puts a candidate where it belongs among those in their order. */
const insert = (candidates: Candidate[], candidate: Candidate): void => {
  let [low, high] = [0, candidates.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (compare(candidates[middle]!, candidate) <= 0) low = middle + 1;
    else high = middle;
  }
  candidates.splice(low, 0, candidate);
};
