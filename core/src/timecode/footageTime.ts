import { frameAtS, ptsOf, type TimeTable } from './timetable.js';

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

/** Instants are written with fractions of a millisecond: nearer than this they are the same. */
const SAME_MS = 0.01;

/** The first frame of a file that begins at an instant of the footage (ms) or after it; the number of frames where none does. */
export const firstFrameFrom = (table: TimeTable, clock: AngleClock, atMs: number): number => {
  const near = frameAtS(table, fileSeconds(clock, atMs / 1000));
  return footageSeconds(clock, ptsOf(table, near)) * 1000 < atMs - SAME_MS ? near + 1 : near;
};

/** The frames [inFrame, outFrame) of a file whose pictures begin in a stretch of the footage (ms); undefined where there are none. */
export const framesIn = (
  table: TimeTable,
  clock: AngleClock,
  { fromMs, toMs }: { readonly fromMs: number; readonly toMs: number },
): { readonly inFrame: number; readonly outFrame: number } | undefined => {
  if (clock.rate === 0) return undefined;
  const [inFrame, outFrame] = [firstFrameFrom(table, clock, fromMs), firstFrameFrom(table, clock, toMs)];
  return inFrame < outFrame ? { inFrame, outFrame } : undefined;
};

/** One instant seen twice: in the footage (ms), and in the file (s). */
export type SamePair = { readonly footageMs: number; readonly fileS: number };

/** Pairs that lie nearer to each other than this say nothing about how fast the footage goes by on a file, in seconds. */
const LEAST_APART_S = 0.5;
const RATES = { least: 1 / 64, most: 8 } as const;

/**
 * Offset and rate of an angle out of instants that were found in it and in the footage. One pair moves it; several that lie apart also say how fast the
 * footage goes by on it, by the straight line with the least squares. Undefined where they contradict any speed a replay can have.
 */
export const clockOfPairs = (
  { fromPts, rate, timeBaseNum, timeBaseDen }: AngleClock,
  pairs: readonly SamePair[],
): Pick<AngleClock, 'offsetMs' | 'rate'> | undefined => {
  const n = pairs.length;
  if (n === 0) return undefined;
  const mean = (of: (pair: SamePair) => number): number => pairs.reduce((sum, p) => sum + of(p), 0) / n;
  const [fileS, footageS] = [mean((p) => p.fileS), mean((p) => p.footageMs / 1000)];
  const spread = pairs.reduce((sum, p) => sum + (p.fileS - fileS) ** 2, 0);
  const isApart = Math.max(...pairs.map((p) => p.fileS)) - Math.min(...pairs.map((p) => p.fileS)) >= LEAST_APART_S;
  const slope = pairs.reduce((sum, p) => sum + (p.fileS - fileS) * (p.footageMs / 1000 - footageS), 0) / spread;
  const found = isApart ? slope : rate;
  if (found < RATES.least || found > RATES.most) return undefined;
  const firstS = (fromPts * timeBaseNum) / timeBaseDen;
  return { offsetMs: (footageS + (firstS - fileS) * found) * 1000, rate: found };
};
