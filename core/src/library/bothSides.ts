import { flipPlace, type PlaceId } from '../attempts/index.js';
import type { Arc } from '../graph/index.js';
import { housePoints } from '../scoring/index.js';

type Step = {
  readonly from: PlaceId;
  readonly to: PlaceId;
  readonly count: number;
  /** Not said where everything is told of whoever acts. */ readonly side?: 'own' | 'their';
};

/**
 * The counted steps of either side as one side sees them: what this side does, and what is done to it. `isWhoever`: the lines are those of whoever acts, so that each of
 * them is also done to somebody.
 */
export const stepsOfBoth = (lines: readonly Step[], isWhoever: boolean): readonly Arc[] =>
  lines.flatMap(({ from, to, count }) => [
    { from, to, weight: count },
    ...(isWhoever ? [{ from: flipPlace(from), to: flipPlace(to), weight: count }] : []),
  ]);

/** The steps of the side that acts alone. */
export const stepsOfOwn = (lines: readonly Step[]): readonly Arc[] =>
  lines.flatMap(({ from, to, count, side }) => (side === 'their' ? [] : [{ from, to, weight: count }]));

/** Points by which a side is ahead where a place is entered: its own less those that the other side gets there. */
export const pointsAhead = (id: PlaceId): number => housePoints(id) - housePoints(flipPlace(id));
