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
export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** A repeatable UUIDv7-shaped id: an instant in milliseconds, the rest by chance. */
export const idAt = (random: Random, atMs: number): string => {
  const hex = (digits: number): string =>
    Math.floor(random() * 16 ** digits)
      .toString(16)
      .padStart(digits, '0');
  const time = Math.floor(atMs).toString(16).padStart(12, '0');
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-${pick(random, ['8', '9', 'a', 'b'])}${hex(3)}-${hex(6)}${hex(6)}`;
};
