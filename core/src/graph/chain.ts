import { componentsOf, reaching } from './components.js';
import type { Digraph } from './digraph.js';
import { solveInPlace } from './linear.js';

/** Endings of their own kind: a place from which nobody comes to an end, and one beyond which nothing was recorded. */
export const NEVER = 'never';
export const UNKNOWN = 'unknown';

/** How it goes on from a place, if it goes on as it was counted. */
export type Prospect = {
  /** Chances of each ending, those of no chance left out; they sum up to 1. */ readonly endings: ReadonlyMap<
    string,
    number
  >;
  /** Steps until the end, or until it is clear that there is none. */ readonly steps: number;
  /** Points for the places entered on the way. */ readonly points: number;
};

/**
 * A walk over places by counted steps. Endings: places in which it is over (`isEnd`), those beyond which nothing was counted (*unknown*), and those from which none of either
 * can be reached (*never*, all of them one ending). `stages` are the other places, part by part, so that each leads only on to those before it.
 */
type Walk = {
  readonly graph: Digraph;
  /** The number of the ending that a place is; −1 = none. */ readonly endingOf: Int32Array;
  readonly endings: readonly string[];
  readonly stages: readonly (readonly number[])[];
  /** The counted steps from each place to others or to itself, added up. */ readonly total: Float64Array;
};

const walkOf = (graph: Digraph, isEnd: (id: string) => boolean): Walk => {
  const { ids, starts, weight } = graph;
  const total = Float64Array.from(ids, (_, at) => {
    let sum = 0;
    for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) sum += weight[arc]!;
    return sum;
  });
  const endingOf = new Int32Array(ids.length).fill(-1);
  const endings: string[] = [];
  const ending = (name: string): number => {
    const known = endings.indexOf(name);
    return known < 0 ? endings.push(name) - 1 : known;
  };
  ids.forEach((id, at) => {
    if (isEnd(id)) endingOf[at] = endings.push(id) - 1;
  });
  ids.forEach((_, at) => {
    if (endingOf[at]! < 0 && total[at] === 0) endingOf[at] = ending(UNKNOWN);
  });
  const ends = reaching(
    graph,
    ids.flatMap((_, at) => (endingOf[at]! >= 0 ? [at] : [])),
  );
  ids.forEach((_, at) => {
    if (!ends[at]) endingOf[at] = ending(NEVER);
  });
  const { count, of } = componentsOf(graph);
  const stages: number[][] = Array.from({ length: count }, () => []);
  ids.forEach((_, at) => {
    if (endingOf[at]! < 0) stages[of[at]!]!.push(at);
  });
  return { graph, endingOf, endings, stages: stages.filter((stage) => stage.length), total };
};

/** Of each place, row after row: the chance of each ending, then steps, then points. */
const prospectsIn = (walk: Walk, pointsOf: Float64Array): { readonly width: number; readonly rows: Float64Array } => {
  const { graph, endingOf, endings, stages, total } = walk;
  const { ids, starts, to, weight } = graph;
  const width = endings.length + 2;
  const rows = new Float64Array(ids.length * width);
  endingOf.forEach((ending, at) => {
    if (ending >= 0) rows[at * width + ending] = 1;
  });
  const within = new Int32Array(ids.length).fill(-1);
  for (const stage of stages) {
    const n = stage.length;
    stage.forEach((at, i) => (within[at] = i));
    const [a, b] = [new Float64Array(n * n), new Float64Array(n * width)];
    stage.forEach((at, i) => {
      a[i * n + i] = 1;
      const into = i * width;
      b[into + width - 2] = 1;
      for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) {
        const end = to[arc]!;
        const chance = weight[arc]! / total[at]!;
        if (chance === 0) continue;
        if (end !== at) b[into + width - 1]! += chance * pointsOf[end]!;
        if (within[end]! >= 0) a[i * n + within[end]!]! -= chance;
        else for (let j = 0; j < width; j++) b[into + j]! += chance * rows[end * width + j]!;
      }
    });
    solveInPlace(a, n, b, width);
    stage.forEach((at, i) => {
      rows.set(b.subarray(i * width, (i + 1) * width), at * width);
      within[at] = -1;
    });
  }
  return { width, rows };
};

/** Steps that were counted: a way that was only seen, and never counted, is none. */
const counted = (graph: Digraph): Digraph => {
  if (graph.weight.every((w) => w > 0)) return graph;
  const starts = new Int32Array(graph.ids.length + 1);
  const kept: number[] = [];
  for (let at = 0; at < graph.ids.length; at++) {
    for (let arc = graph.starts[at]!; arc < graph.starts[at + 1]!; arc++) if (graph.weight[arc]! > 0) kept.push(arc);
    starts[at + 1] = kept.length;
  }
  const to = Int32Array.from(kept, (arc) => graph.to[arc]!);
  return { ids: graph.ids, starts, to, weight: Float64Array.from(kept, (arc) => graph.weight[arc]!) };
};

/**
 * How it goes on from every place: the chances of each ending, the steps, the points. A step's chance is its count by all counted steps from there. `isEnd` says of a place that
 * it is over there; `pointsOf` what entering a place gives (a step from a place to itself enters none). Parts first: only places that lead back to each other are solved
 * together, by elimination. Places in the order of ids.
 * @example a walk on three places between two ends, each step as likely to either side: from the middle one ½ and ½ after 4 steps
 */
export const prospectsOf = (
  graph: Digraph,
  isEnd: (id: string) => boolean,
  pointsOf: (id: string) => number = () => 0,
): ReadonlyMap<string, Prospect> => {
  const walk = walkOf(counted(graph), isEnd);
  const { width, rows } = prospectsIn(walk, Float64Array.from(graph.ids, pointsOf));
  const inOrder = walk.endings.map((name, ending) => ({ name, ending })).sort((a, b) => (a.name < b.name ? -1 : 1));
  return new Map(
    graph.ids.map((id, at) => {
      const row = at * width;
      const endings = new Map<string, number>();
      for (const { name, ending } of inOrder) {
        const chance = rows[row + ending]!;
        if (chance > 0) endings.set(name, chance);
      }
      return [id, { endings, steps: rows[row + width - 2]!, points: rows[row + width - 1]! }];
    }),
  );
};

/** How often each place is come to on average from one of them, itself at first counted; places in which it is over left out. */
export const visitsFrom = (
  graph: Digraph,
  start: string,
  isEnd: (id: string) => boolean,
): ReadonlyMap<string, number> => {
  const walk = walkOf(counted(graph), isEnd);
  const visits = visitsIn(walk, walk.graph.ids.indexOf(start));
  return new Map(walk.graph.ids.flatMap((id, at) => (walk.endingOf[at]! < 0 ? [[id, visits[at]!] as const] : [])));
};

/** Visits of each place; an ending's are the chance of coming to it. One system for each stage, from the start on. */
const visitsIn = ({ graph, endingOf, stages, total }: Walk, start: number): Float64Array => {
  const { ids, starts, to, weight } = graph;
  const visits = new Float64Array(ids.length);
  if (start < 0) return visits;
  visits[start] = 1;
  if (endingOf[start]! >= 0) return visits;
  const within = new Int32Array(ids.length).fill(-1);
  // a stage leads only to those before it: the last one first
  for (const stage of [...stages].reverse()) {
    if (!stage.some((at) => visits[at]! > 0)) continue;
    const n = stage.length;
    stage.forEach((at, i) => (within[at] = i));
    const [a, b] = [new Float64Array(n * n), Float64Array.from(stage, (at) => visits[at]!)];
    stage.forEach((at, i) => {
      a[i * n + i]! += 1;
      for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) {
        const j = within[to[arc]!]!;
        if (j >= 0) a[j * n + i]! -= weight[arc]! / total[at]!;
      }
    });
    solveInPlace(a, n, b, 1);
    stage.forEach((at, i) => (visits[at] = b[i]!));
    for (const at of stage)
      for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) {
        const end = to[arc]!;
        if (within[end]! < 0) visits[end]! += (visits[at]! * weight[arc]!) / total[at]!;
      }
    for (const at of stage) within[at] = -1;
  }
  return visits;
};

/** The prospect from one place alone; as {@link prospectsOf} gives it. */
export const prospectFrom = (
  graph: Digraph,
  start: string,
  isEnd: (id: string) => boolean,
  pointsOf: (id: string) => number = () => 0,
): Prospect => {
  const walk = walkOf(counted(graph), isEnd);
  const { endingOf, endings, total } = walk;
  const { ids, starts, to, weight } = walk.graph;
  const visits = visitsIn(walk, ids.indexOf(start));
  const chances = new Map<string, number>();
  let [steps, points] = [0, 0];
  ids.forEach((_, at) => {
    const ending = endingOf[at]!;
    if (ending >= 0) {
      if (visits[at]! > 0) chances.set(endings[ending]!, (chances.get(endings[ending]!) ?? 0) + visits[at]!);
      return;
    }
    steps += visits[at]!;
    for (let arc = starts[at]!; arc < starts[at + 1]!; arc++)
      if (to[arc] !== at) points += ((visits[at]! * weight[arc]!) / total[at]!) * pointsOf(ids[to[arc]!]!);
  });
  return { endings: new Map([...chances].sort()), steps, points };
};
