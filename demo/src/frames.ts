import { stage, type Bout, type Staged } from './bouts/index.js';

/** Ticks of the time base in which a piece's presentation times are laid out. */
export const TICKS_PER_S = 90_000;

/** When each frame of a piece is shown, in ticks of 1/90000 s, and when the scene it shows took place, in seconds. */
export type FrameTimes = { readonly ticks: readonly number[]; readonly sceneS: readonly number[] };

/** Whether the n-th drawn picture of a variable-rate piece is kept: about three of four, without a simple rhythm. */
const isKept = (n: number): boolean => n === 0 || (n * n * 13 + n * 7) % 29 > 6;
/** By how many ticks a kept picture comes late, at most 11 ms: phones are not punctual. */
const latenessTicks = (n: number): number => (n === 0 ? 0 : ((n * 37) % 11) * 90);

/** Frame times of a piece. Constant rate: every picture on the beat. Variable: some left out, the others a little late. */
export const frameTimes = (bout: Bout, durationS: number): FrameTimes => {
  const drawn = Math.floor(durationS * bout.rate);
  const step = TICKS_PER_S / bout.rate;
  const numbers = Array.from({ length: drawn }, (_, n) => n).filter((n) => !bout.variable || isKept(n));
  return {
    ticks: numbers.map((n) => n * step + (bout.variable ? latenessTicks(n) : 0)),
    sceneS: numbers.map((n) => n / bout.rate),
  };
};

/** A piece with its frames laid out. */
export type LaidOut = { readonly staged: Staged; readonly times: FrameTimes };

const known = new WeakMap<Bout, LaidOut>();

/** Lays a piece out; solving its movements takes seconds, so each is done once. */
export const laidOut = (bout: Bout): LaidOut => {
  const before = known.get(bout);
  if (before) return before;
  const staged = stage(bout);
  const made = { staged, times: frameTimes(bout, staged.durationS) };
  known.set(bout, made);
  return made;
};
