/** What of an angle and its file decides footage time. */
export type AngleClock = {
  readonly fromPts: number;
  readonly offsetMs: number;
  readonly rate: number;
  readonly timeBaseNum: number;
  readonly timeBaseDen: number;
};

/** Footage time in seconds of a presentation time (ticks): offset + (file time − time of the angle's first frame) × rate. */
export const footageSeconds = (clock: AngleClock, pts: number): number =>
  clock.offsetMs / 1000 + (((pts - clock.fromPts) * clock.timeBaseNum) / clock.timeBaseDen) * clock.rate;
