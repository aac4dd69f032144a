import type { PlaceId } from '../attempts/index.js';

/** A line that is planned: nobody needs to have seen it. */
export type PlannedLine = {
  readonly from: string;
  readonly action: string;
  readonly bait: boolean;
  readonly to: string;
};

/** Lines that somebody means to have, taken in from a map that was saved elsewhere. */
export type Plan = {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly lines: readonly PlannedLine[];
};

/** So many lines one plan holds; a larger map becomes several. */
export const PLAN_LINES_LIMIT = 3000;

/** What tells lines apart: from, entry and place they lead to; a bait is another line. */
export const plannedKey = ({ from, action, bait, to }: PlannedLine): string =>
  `${from} ${action}${bait ? ' (bait)' : ''} ${to}`;

type Seen = { readonly from: PlaceId; readonly action: string; readonly bait: boolean; readonly to: PlaceId };

/** The planned lines that no line of a map has yet, each once, in the order in which they come. O(lines). */
export const unseenOf = (plans: readonly Pick<Plan, 'lines'>[], seen: readonly Seen[]): readonly PlannedLine[] => {
  const known = new Set(seen.map(plannedKey));
  return plans.flatMap(({ lines }) =>
    lines.filter((line) => {
      const key = plannedKey(line);
      if (known.has(key)) return false;
      known.add(key);
      return true;
    }),
  );
};
