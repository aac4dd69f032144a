import { lineId } from '../map/index.js';

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

/** So many lines one plan holds: with the longest names they still go out in one request. A larger map becomes several plans. */
export const PLAN_LINES_LIMIT = 1500;

const keyOf = ({ from, action, bait, to }: PlannedLine): string => lineId(from, action, bait, to);

/** The planned lines that no line of a map has yet, each once, in the order in which they come. O(lines). */
export const unseenOf = (
  plans: readonly Pick<Plan, 'lines'>[],
  seen: readonly PlannedLine[],
): readonly PlannedLine[] => {
  const known = new Set(seen.map(keyOf));
  return plans.flatMap(({ lines }) =>
    lines.filter((line) => {
      const key = keyOf(line);
      if (known.has(key)) return false;
      known.add(key);
      return true;
    }),
  );
};
