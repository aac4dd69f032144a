/** A stretch of a file, in seconds of its own time. */
export type TimeSpan = { readonly fromS: number; readonly toS: number };

/** What was read from the pictures of a file alone. */
export type Motion = {
  /** Time of the file at the first step, in seconds. */
  readonly fromS: number;
  /** How much moves in each step of 0.2 s: mean change of brightness between neighbouring pictures, in sixteenths of a level (0–255). */
  readonly activity: Uint8Array;
  /** Frames with which another view begins. */
  readonly cuts: readonly number[];
  readonly black: readonly TimeSpan[];
  readonly frozen: readonly TimeSpan[];
};

export const ACTIVITY_STEP_S = 0.2;
const PER_LEVEL = 16;
/** A cut changes the picture by at least so many levels in the mean, and by so many times what is usual around it. */
const CUT_LEVELS = 12;
const CUT_TIMES = 3.5;
const AROUND = 12;
const BLACK_LEVEL = 24;
const FROZEN_LEVELS = 0.05;
const LEAST_BLACK_S = 0.2;
const LEAST_FROZEN_S = 1;

const middle = (values: readonly number[]): number => [...values].sort((x, y) => x - y)[values.length >> 1] ?? 0;

/** Gathers neighbouring times at which something holds to stretches of a least length. */
class Stretch {
  readonly spans: TimeSpan[] = [];
  private fromS: number | undefined;

  constructor(private readonly leastS: number) {}

  at(holds: boolean, fromS: number): void {
    if (holds) this.fromS ??= fromS;
    else this.end(fromS);
  }

  end(toS: number): void {
    if (this.fromS !== undefined && toS - this.fromS >= this.leastS) this.spans.push({ fromS: this.fromS, toS });
    this.fromS = undefined;
  }
}

/** Reads small grey pictures one after the other, as a decoder gives them; all of them have the same size. */
export class MotionReader {
  private before: Uint8Array | undefined;
  private frame = 0;
  private fromS = 0;
  private lastS = 0;
  private readonly sums: number[] = [];
  private readonly counts: number[] = [];
  private readonly recent: number[] = [];
  private readonly cuts: number[] = [];
  private readonly black = new Stretch(LEAST_BLACK_S);
  private readonly frozen = new Stretch(LEAST_FROZEN_S);

  push(picture: Uint8Array, atS: number): void {
    if (this.frame === 0) this.fromS = atS;
    let light = 0,
      change = 0;
    const { before } = this;
    for (let i = 0, n = picture.length; i < n; i++) {
      const now = picture[i]!;
      light += now;
      if (!before) continue;
      const by = now - before[i]!;
      change += by < 0 ? -by : by;
    }
    const isBlack = light / picture.length <= BLACK_LEVEL;
    this.black.at(isBlack, atS);
    if (before) this.changed(change / picture.length, isBlack, atS);
    this.before = Uint8Array.from(picture);
    this.lastS = atS;
    this.frame++;
  }

  private changed(levels: number, isBlack: boolean, atS: number): void {
    const usual = middle(this.recent);
    const isCut = levels >= CUT_LEVELS && levels >= CUT_TIMES * Math.max(1, usual);
    if (isCut) {
      this.cuts.push(this.frame);
      this.recent.length = 0;
    } else {
      this.recent.push(levels);
      if (this.recent.length > AROUND) this.recent.shift();
      // another view is no movement
      const step = Math.floor((atS - this.fromS) / ACTIVITY_STEP_S);
      this.sums[step] = (this.sums[step] ?? 0) + levels;
      this.counts[step] = (this.counts[step] ?? 0) + 1;
    }
    // a picture that has not changed stands since the one before
    const stands = levels <= FROZEN_LEVELS && !isBlack;
    this.frozen.at(stands, stands ? this.lastS : atS);
  }

  /** What was read; `endS` is when the last picture ends. */
  end(endS: number): Motion {
    this.black.end(endS);
    this.frozen.end(endS);
    const steps = Math.max(0, Math.ceil((endS - this.fromS) / ACTIVITY_STEP_S - 1e-9));
    return {
      fromS: this.fromS,
      activity: Uint8Array.from({ length: steps }, (_, i) =>
        Math.round(Math.min(255, (PER_LEVEL * (this.sums[i] ?? 0)) / Math.max(1, this.counts[i] ?? 0))),
      ),
      cuts: this.cuts,
      black: this.black.spans,
      frozen: this.frozen.spans,
    };
  }
}

/** Calm counts as less than this part of what moves in the middle of all steps. */
const CALM_PART = 0.45;
const LEAST_CALM_S = 3;
/** A twitch as short as this does not end a calm stretch. */
const TWITCH_STEPS = 3;

/** Stretches in which little moves, at least three seconds each: a rest, talk, waiting. Measured against the footage itself. */
export const calmSpans = ({ activity, fromS }: Pick<Motion, 'activity' | 'fromS'>): readonly TimeSpan[] => {
  const limit = CALM_PART * middle([...activity]);
  const spans: TimeSpan[] = [];
  const add = (from: number, to: number): void => {
    if ((to - from) * ACTIVITY_STEP_S >= LEAST_CALM_S)
      spans.push({ fromS: fromS + from * ACTIVITY_STEP_S, toS: fromS + to * ACTIVITY_STEP_S });
  };
  let start: number | undefined,
    last = 0;
  for (let i = 0; i < activity.length; i++) {
    if (activity[i]! < limit) {
      start ??= i;
      last = i + 1;
    } else if (start !== undefined && i - last >= TWITCH_STEPS) {
      add(start, last);
      start = undefined;
    }
  }
  if (start !== undefined) add(start, last);
  return spans;
};

/** A burst moves at least so many times what moves in the middle of all steps, for at least so many steps. */
const BURST_TIMES = 2;
const LEAST_BURST_STEPS = 3;

/** Stretches in which much moves at once, at least 0.6 s each: a shot, a scramble, a throw. Measured against the footage itself. */
export const burstSpans = ({ activity, fromS }: Pick<Motion, 'activity' | 'fromS'>): readonly TimeSpan[] => {
  const limit = BURST_TIMES * Math.max(1, middle([...activity]));
  const bursts = new Stretch(LEAST_BURST_STEPS * ACTIVITY_STEP_S - 1e-9);
  activity.forEach((level, i) => bursts.at(level >= limit, fromS + i * ACTIVITY_STEP_S));
  bursts.end(fromS + activity.length * ACTIVITY_STEP_S);
  return bursts.spans;
};
