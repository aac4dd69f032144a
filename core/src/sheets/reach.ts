import type { PlaceId } from '../attempts/index.js';
import { wilson, type Line } from '../map/index.js';
import { bestRoutes, type Route, type RouteGoal } from '../routes/index.js';

/** So many more attempts are thought of. */
const MORE = 10;

/** A step of the best route, and whether ten more attempts of its entry would make another route the best. */
export type StepReach = {
  readonly lineId: string;
  readonly ifNoneWorked: boolean;
  readonly ifAllWorked: boolean;
};
export type EvidenceReach = {
  readonly steps: readonly StepReach[];
  /** By how much the chance of the best route, as it is looked for, is greater than that of the next; undefined where there is none. */
  readonly factor: number | undefined;
};

/** The lines as they would be after ten more attempts of one group, of which `worked` reached where the line leads. */
const withMore = (lines: readonly Line[], on: Line, worked: number): readonly Line[] =>
  lines.map((line) => {
    if (line.side !== on.side || line.from !== on.from || line.action !== on.action || line.bait !== on.bait)
      return line;
    const attempts = line.attempts + MORE;
    const successes = line.successes + (line.id === on.id ? worked : 0);
    return { ...line, attempts, successes, interval: wilson(successes, attempts) };
  });

const pathOf = (route: Route | undefined): string => route?.steps.map((s) => s.line.id).join('|') ?? '';

/** How far the evidence goes for the best route between two places: what is worth looking for next. Undefined where there is no route. */
export const reachOf = (lines: readonly Line[], from: PlaceId, goal: RouteGoal): EvidenceReach | undefined => {
  const [best, second] = bestRoutes(lines, from, goal, 2);
  if (!best) return undefined;
  const isOther = (line: Line, worked: number): boolean =>
    pathOf(bestRoutes(withMore(lines, line, worked), from, goal, 1)[0]) !== pathOf(best);
  return {
    steps: best.steps.map(({ line }) => ({
      ...{ lineId: line.id, ifNoneWorked: isOther(line, 0), ifAllWorked: isOther(line, MORE) },
    })),
    factor: second && Math.exp(second.cost - best.cost),
  };
};
