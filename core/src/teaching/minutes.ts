import { drillSeconds, type Drill } from './drill.js';
import type { Cue } from './types.js';

/** How long things take that are said and shown, in seconds; an academy sets its own. */
export type Pace = {
  /** Showings of the best clip at full speed, and at half. */ readonly bestLoops: number;
  readonly slowLoops: number;
  readonly failureLoops: number;
  readonly change: number;
  readonly required: number;
  readonly usual: number;
  readonly habit: number;
  readonly mistake: number;
  readonly caution: number;
  /** A caution that was said before in the same class. */ readonly cautionAgain: number;
  readonly question: number;
};
export const PACE: Pace = {
  ...{ bestLoops: 2, slowLoops: 1, failureLoops: 1, change: 3 },
  ...{ required: 10, usual: 5, habit: 0, mistake: 10, caution: 15, cautionAgain: 5, question: 30 },
};

/** What of a step takes time; lengths of clips in seconds, undefined where it has none. */
export type StepTimes = {
  readonly bestS: number | undefined;
  readonly failureS: number | undefined;
  readonly cues: readonly Pick<Cue, 'weight'>[];
  readonly hasMistake: boolean;
  readonly caution: 'first' | 'again' | null;
  readonly hasQuestion: boolean;
  readonly drill: Drill | null;
};
export type StepMinutes = {
  readonly showing: number;
  readonly explaining: number;
  readonly drill: number;
  readonly whole: number;
};

/** Seconds of a step: showing (length by speed and loops, and each change of what is shown), explaining, drill. Rounded up to the second at the end of each. */
export const stepMinutes = (of: StepTimes, pace: Pace = PACE): StepMinutes => {
  const shown = [
    ...(of.bestS === undefined ? [] : [of.bestS * pace.bestLoops, of.bestS * 2 * pace.slowLoops]),
    ...(of.failureS === undefined ? [] : [of.failureS * pace.failureLoops]),
  ].filter((s) => s > 0);
  const showing = Math.ceil(shown.reduce((a, b) => a + b, 0) + Math.max(0, shown.length - 1) * pace.change);
  const explaining =
    of.cues.reduce((sum, { weight }) => sum + pace[weight], 0) +
    (of.hasMistake ? pace.mistake : 0) +
    (of.caution === 'first' ? pace.caution : of.caution === 'again' ? pace.cautionAgain : 0) +
    (of.hasQuestion ? pace.question : 0);
  const drill = of.drill ? drillSeconds(of.drill, of.bestS) : 0;
  return { showing, explaining, drill, whole: showing + explaining + drill };
};
