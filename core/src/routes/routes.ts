import type { PlaceId } from '../attempts/index.js';
import type { GripSet, Line } from '../map/index.js';
import { type RouteGraph } from './arcs.js';
import { kBestRoutes } from './kBest.js';

/** One step of a route: a line of the map, what changing grips adds before it, and the cost so far. */
export type Step = { readonly line: Line; readonly gripChanges: number; readonly costSoFar: number };
export type Route = {
  readonly steps: readonly Step[];
  readonly cost: number;
  /** Product of the observed rates. */ readonly chance: number;
  readonly low: number;
  readonly high: number;
};

/** Cost of one limb that has to let go of something or take something new between two steps. */
const GRIP_CHANGE = 0.25;

/** −ln of the lower end of the line's interval; undefined where the line is not used: no success, or from a place to itself. */
export const lineCost = (line: Line): number | undefined =>
  line.successes === 0 || line.from === line.to || !line.interval ? undefined : -Math.log(line.interval.low);

/** Limbs whose hold has to change between what is held at the end of one step and what the next one starts with; 0 where nothing is recorded on either side. */
export const gripChanges = (heldAtEnd: GripSet, neededNext: GripSet): number => {
  if (!heldAtEnd.size || !neededNext.size) return 0;
  let changes = 0;
  for (const [limb, hold] of neededNext) if (heldAtEnd.get(limb) !== hold) changes++;
  return changes;
};

/** Where a route may end: one place, or any submission won. */
export type RouteGoal = { readonly kind: 'place'; readonly place: PlaceId } | { readonly kind: 'any submission' };

/**
 * The best routes over the map's lines: least cost first, none visits a place twice, ties by the lines' ids. Cost of a step = −ln(lower end of the
 * interval of its line) + 0.25 for each limb whose hold must change from the end of the step before.
 */
export const bestRoutes = (lines: readonly Line[], from: PlaceId, goal: RouteGoal, k: number): readonly Route[] => {
  const usable = lines
    .filter((l) => l.side === 'own' && !l.bait && lineCost(l) !== undefined)
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const numbers = new Map<string, number>();
  const number = (place: PlaceId): number => {
    const known = numbers.get(place);
    if (known !== undefined) return known;
    numbers.set(place, numbers.size);
    return numbers.size - 1;
  };
  const arcs = usable.map((line) => ({ from: number(line.from), to: number(line.to), cost: lineCost(line)! }));
  const graph: RouteGraph = {
    nodes: numbers.size,
    arcs,
    // where no grips are recorded, no pair of steps costs more than the steps
    between: usable.some((line) => line.gripsAtEnd.size)
      ? (before, next) => GRIP_CHANGE * gripChanges(usable[before]!.gripsAtEnd, usable[next]!.gripsAtCommit)
      : null,
  };
  const targets = new Set(
    [...numbers]
      .filter(([place]) => (goal.kind === 'place' ? place === goal.place : place.startsWith('won:')))
      .map(([, n]) => n),
  );
  const source = numbers.get(from);
  if (source === undefined || !targets.size) return [];
  return kBestRoutes(graph, source, targets, k).map((found): Route => {
    let costSoFar = 0;
    const steps = found.arcs.map((arc, i): Step => {
      const before = found.arcs[i - 1];
      const line = usable[arc]!;
      const changes = before === undefined ? 0 : gripChanges(usable[before]!.gripsAtEnd, line.gripsAtCommit);
      costSoFar += lineCost(line)! + GRIP_CHANGE * changes;
      return { line, gripChanges: changes, costSoFar };
    });
    const product = (value: (line: Line) => number): number => steps.reduce((p, s) => p * value(s.line), 1);
    return {
      steps,
      cost: found.cost,
      chance: product((l) => l.successes / l.attempts),
      low: product((l) => l.interval!.low),
      high: product((l) => l.interval!.high),
    };
  });
};
