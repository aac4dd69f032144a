import { type Random } from '@odograph/core';

export { randomOf, type Random } from '@odograph/core';

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
