/** z of a 95 % interval. */
const Z = 1.959963984540054;

export type Interval = { readonly low: number; readonly high: number };

/**
 * Wilson score interval of a rate, 95 %, closed form, no continuity correction (Wilson 1927).
 * (p + z²/2n ± z·√(p(1−p)/n + z²/4n²)) / (1 + z²/n). No attempts: undefined, nothing is known.
 * @example wilson(2, 3) // { low: 0.2077, high: 0.9385 }
 */
export const wilson = (successes: number, attempts: number): Interval | undefined => {
  if (attempts === 0) return undefined;
  const p = successes / attempts;
  const z2 = Z * Z;
  const middle = p + z2 / (2 * attempts);
  const half = Z * Math.sqrt((p * (1 - p)) / attempts + z2 / (4 * attempts * attempts));
  const scale = 1 + z2 / attempts;
  return {
    low: successes === 0 ? 0 : (middle - half) / scale,
    high: successes === attempts ? 1 : (middle + half) / scale,
  };
};
