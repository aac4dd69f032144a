const { imul } = Math;

/** Repeatable numbers in [0, 1): mulberry32, a 32-bit state; the same seed gives the same row. */
export const randomOf = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = imul(t ^ (t >>> 15), t | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
};

export type Random = ReturnType<typeof randomOf>;

/** A number of the standard normal distribution (Box and Muller 1958). */
const normal = (random: Random): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A number of the gamma distribution with a shape of 0 or more and scale 1 (Marsaglia and Tsang 2000). */
export const gamma = (shape: number, random: Random): number => {
  if (shape <= 0) return 0;
  if (shape < 1) return gamma(shape + 1, random) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normal(random);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < x ** 2 / 2 + d - d * v + d * Math.log(v)) return d * v;
  }
};
