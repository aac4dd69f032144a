import { stage, type Bout, type Filming, type Staged } from './bouts/index.js';

/** Ticks of the time base in which a piece's presentation times are laid out. */
export const TICKS_PER_S = 90_000;

/** When each frame of a file is shown, in ticks of 1/90000 s, when the scene it shows took place, in seconds, and how many were drawn before it. */
export type FrameTimes = {
  readonly numbers: readonly number[];
  readonly ticks: readonly number[];
  readonly sceneS: readonly number[];
};

/** Whether the n-th drawn picture of a variable-rate piece is kept: about three of four, without a simple rhythm. */
const isKept = (n: number): boolean => n === 0 || (n * n * 13 + n * 7) % 29 > 6;
/** By how many ticks a kept picture comes late, at most 11 ms: phones are not punctual. */
const latenessTicks = (n: number): number => (n === 0 ? 0 : ((n * 37) % 11) * 90);

/**
 * Frame times of a camera that films until the scene is over. Constant rate: every picture on the beat. Variable: some left out, the others a
 * little late. A clock that runs fast counts more seconds than pass.
 */
export const frameTimes = (camera: Filming, durationS: number): FrameTimes => {
  const step = camera.frameTicks / TICKS_PER_S;
  const pace = 1 + camera.fastPpm / 1e6;
  const drawn = Math.floor(((durationS - camera.startS) * pace) / step);
  const numbers = Array.from({ length: drawn }, (_, n) => n).filter((n) => !camera.variable || isKept(n));
  return {
    numbers,
    ticks: numbers.map((n) => n * camera.frameTicks + (camera.variable ? latenessTicks(n) : 0)),
    sceneS: numbers.map((n) => camera.startS + (n * step) / pace),
  };
};

/** A piece with its frames laid out, those of each camera. */
export type LaidOut = { readonly staged: Staged; readonly cameras: readonly FrameTimes[]; readonly times: FrameTimes };

const known = new WeakMap<Bout, LaidOut>();

/** Lays a piece out; solving its movements takes seconds, so each is done once. `times` are those of the first camera. */
export const laidOut = (bout: Bout): LaidOut => {
  const before = known.get(bout);
  if (before) return before;
  const staged = stage(bout);
  const cameras = bout.cameras.map((camera) => frameTimes(camera, staged.durationS));
  const made = { staged, cameras, times: cameras[0]! };
  known.set(bout, made);
  return made;
};
