/** What of an angle and its file decides footage time. */
export type AngleClock = {
  readonly fromPts: number;
  readonly offsetMs: number;
  readonly rate: number;
  readonly timeBaseNum: number;
  readonly timeBaseDen: number;
};

/** The clock of an angle: its place in the footage, and the time base of its file. */
export const angleClock = (
  { fromPts, offsetMs, rate }: Pick<AngleClock, 'fromPts' | 'offsetMs' | 'rate'>,
  { timeBaseNum, timeBaseDen }: Pick<AngleClock, 'timeBaseNum' | 'timeBaseDen'>,
): AngleClock => ({ fromPts, offsetMs, rate, timeBaseNum, timeBaseDen });

/**
 * The clock of a file's angle out of how its file lies against that of another angle: `offsetS + rate × t` is the time in the other's file of what this one
 * shows at `t` (both in seconds of their files).
 */
export const clockAgainst = (
  other: AngleClock,
  { offsetS, rate }: { readonly offsetS: number; readonly rate: number },
  mine: Pick<AngleClock, 'fromPts' | 'timeBaseNum' | 'timeBaseDen'>,
): Pick<AngleClock, 'offsetMs' | 'rate'> => {
  const firstS = (mine.fromPts * mine.timeBaseNum) / mine.timeBaseDen;
  const thereS = offsetS + rate * firstS;
  const otherFirstS = (other.fromPts * other.timeBaseNum) / other.timeBaseDen;
  return { offsetMs: other.offsetMs + (thereS - otherFirstS) * 1000 * other.rate, rate: rate * other.rate };
};

/** Footage time in seconds of a presentation time (ticks): offset + (file time − time of the angle's first frame) × rate. */
export const footageSeconds = (clock: AngleClock, pts: number): number =>
  clock.offsetMs / 1000 + (((pts - clock.fromPts) * clock.timeBaseNum) / clock.timeBaseDen) * clock.rate;

/** Where in the file (seconds) an instant of the footage lies: the way back of `footageSeconds`. The angle's rate must not be 0. */
export const fileSeconds = (clock: AngleClock, footageS: number): number =>
  (clock.fromPts * clock.timeBaseNum) / clock.timeBaseDen + (footageS - clock.offsetMs / 1000) / clock.rate;
