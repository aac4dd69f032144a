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

/** Footage time in seconds of a presentation time (ticks): offset + (file time − time of the angle's first frame) × rate. */
export const footageSeconds = (clock: AngleClock, pts: number): number =>
  clock.offsetMs / 1000 + (((pts - clock.fromPts) * clock.timeBaseNum) / clock.timeBaseDen) * clock.rate;

/** Where in the file (seconds) an instant of the footage lies: the way back of `footageSeconds`. The angle's rate must not be 0. */
export const fileSeconds = (clock: AngleClock, footageS: number): number =>
  (clock.fromPts * clock.timeBaseNum) / clock.timeBaseDen + (footageS - clock.offsetMs / 1000) / clock.rate;
