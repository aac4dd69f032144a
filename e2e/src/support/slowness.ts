const STEPS = 20_000_000;
/** How long that many steps take on the quiet machine for which limits are written, in ms. */
const QUIET_MS = 40;
const GOES = 12;

/**
 * How many times slower the machine is just now than the quiet one for which limits in seconds are written: at least 1. Other work on the machine counts,
 * as it does for what is measured beside it.
 */
export const slowness = (): number => {
  const began = performance.now();
  let sum = 0;
  for (let i = 0; i < GOES * STEPS; i++) sum += i % 7;
  // what is summed is used, so that no compiler may leave it out
  return sum > 0 ? Math.max(1, (performance.now() - began) / (GOES * QUIET_MS)) : 1;
};
