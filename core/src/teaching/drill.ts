/** How a drill is done: the first half and let go, all of it, with the reaction that the coach calls, with one of two, reach and let go, live from where it begins. */
export const DRILL_FORMS = ['first half', 'whole', 'called', 'one of two', 'reach and let go', 'live'] as const;
export type DrillForm = (typeof DRILL_FORMS)[number];
/** How much the other side resists: not at all, lightly, timed right, fully. */
export const RESISTANCES = ['none', 'light', 'timed right', 'full'] as const;
export type Resistance = (typeof RESISTANCES)[number];

/** A drill of a step. `kinds`: how many ways it is done; `reps` null: as many as fit in the seconds of a turn. */
export type Drill = {
  readonly form: DrillForm;
  readonly resistance: Resistance;
  readonly kinds: number;
  readonly isBothSides: boolean;
  readonly seconds: number;
  readonly reps: number | null;
  readonly change: number;
};

export const NEW_DRILL: Drill = {
  ...{ form: 'whole', resistance: 'none', kinds: 1, isBothSides: true, seconds: 40, reps: null, change: 10 },
};

const sidesOf = ({ isBothSides }: Drill): 1 | 2 => (isBothSides ? 2 : 1);

/** A repetition takes at least so long, in seconds. */
const LEAST_REP_S = 4;
/** By resistance: how much longer a repetition takes than the clip; at full resistance it is rounds. */
const SLOWER: Readonly<Record<Resistance, number>> = {
  none: 1.5,
  light: 1.5,
  'timed right': 2,
  full: 1,
};

/** Seconds of one turn: as said, or by repetitions of the step's clips (`clipS`: the median from start to end, in seconds). */
export const turnSeconds = ({ reps, seconds, resistance }: Drill, clipS: number | undefined): number =>
  reps === null || resistance === 'full'
    ? seconds
    : Math.round(reps * Math.max(LEAST_REP_S, clipS ?? LEAST_REP_S) * SLOWER[resistance]);

/** How people work together: pairs, and one group of three where their number is odd. One alone has nobody. */
export const groupsOf = (people: number): { readonly pairs: number; readonly threes: 0 | 1; readonly alone: 0 | 1 } => {
  if (people < 2) return { pairs: 0, threes: 0, alone: people === 1 ? 1 : 0 };
  return people % 2 ? { pairs: (people - 3) / 2, threes: 1, alone: 0 } : { pairs: people / 2, threes: 0, alone: 0 };
};

/** A turn: `who` does it to `on`, by their letters in the group; whoever is neither watches. Times in seconds from the beginning of the drill. */
export type Turn = {
  readonly kind: number;
  readonly side: 1 | 2;
  readonly who: 'A' | 'B' | 'C';
  readonly on: 'A' | 'B' | 'C';
  readonly from: number;
  readonly to: number;
};
export type Turns = {
  readonly turns: readonly Turn[];
  /** Seconds of each turn. */ readonly seconds: number;
  /** Seconds left over at the end. */ readonly rest: number;
  /** So many kinds are done: threes do half of them where a turn would be too short. */ readonly kinds: number;
};

const PAIR = [
  ['A', 'B'],
  ['B', 'A'],
] as const;
const THREE = [
  ['A', 'B'],
  ['B', 'C'],
  ['C', 'A'],
] as const;
/** Nobody works for less than so long. */
const LEAST_TURN_S = 10;

const laidOut = (
  kinds: number,
  sides: 1 | 2,
  roles: typeof PAIR | typeof THREE,
  seconds: number,
  change: number,
): readonly Turn[] => {
  const turns: Turn[] = [];
  for (let kind = 1; kind <= kinds; kind++)
    for (let side = 1; side <= sides; side++)
      for (const [who, on] of roles) {
        const from = turns.length * (seconds + change);
        turns.push({ kind, side: side as 1 | 2, who, on, from, to: from + seconds });
      }
  return turns;
};

/** How long the whole drill takes, in seconds: turns · seconds + (turns − 1) · change. */
export const drillSeconds = (drill: Drill, clipS?: number): number => {
  const turns = drill.kinds * sidesOf(drill) * 2;
  return turns * turnSeconds(drill, clipS) + (turns - 1) * drill.change;
};

/** The turns of a pair: the side inside the kind, partners at every turn. */
export const pairTurns = (drill: Drill, clipS?: number): Turns => {
  const seconds = turnSeconds(drill, clipS);
  return {
    turns: laidOut(drill.kinds, sidesOf(drill), PAIR, seconds, drill.change),
    ...{ seconds, rest: 0, kinds: drill.kinds },
  };
};

/**
 * The turns of three, on the same clock as the pairs: A on B, B on C, C on A. A turn is as long as fits into the pairs' time; what is left over is rest. Where
 * it would be under ten seconds, half of the kinds are done.
 */
export const threeTurns = (drill: Drill, clipS?: number): Turns => {
  const whole = drillSeconds(drill, clipS);
  const of = (kinds: number): number => {
    const n = kinds * sidesOf(drill) * 3;
    return Math.floor((whole - (n - 1) * drill.change) / n);
  };
  let kinds = drill.kinds;
  while (kinds > 1 && of(kinds) < LEAST_TURN_S) kinds = Math.ceil(kinds / 2);
  const seconds = Math.max(0, of(kinds));
  const turns = laidOut(kinds, sidesOf(drill), THREE, seconds, drill.change);
  return { turns, seconds, rest: whole - (turns.at(-1)?.to ?? 0), kinds };
};
