import { createHash } from 'node:crypto';

/** A repeatable UUIDv7-shaped id: time part from a fixed day, the rest from a hash of the name. The same name always gives the same id. */
export const seededId = (name: string): string => {
  const hash = createHash('sha256').update(`odograph demo ${name}`).digest('hex');
  const time = (Date.UTC(2031, 4, 1) + (Number.parseInt(hash.slice(0, 6), 16) % 86_400_000))
    .toString(16)
    .padStart(12, '0');
  const variant = '89ab'[Number.parseInt(hash[15]!, 16) % 4]!;
  return `${time.slice(0, 8)}-${time.slice(8, 12)}-7${hash.slice(12, 15)}-${variant}${hash.slice(16, 19)}-${hash.slice(19, 31)}`;
};
