import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the least parameters that current advice names: 19 MiB, two passes. */
const HASHING = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const hashPassword = (password: string): Promise<string> => hash(password, HASHING);

let nobodysHash: Promise<string> | undefined;
/** Whether a password is right; without a hash to compare it takes as long and is wrong. */
export const isPassword = async (known: string | undefined, password: string): Promise<boolean> => {
  nobodysHash ??= hashPassword(randomBytes(16).toString('hex'));
  return (await verify(known ?? (await nobodysHash), password)) && known !== undefined;
};

/** A secret for a cookie or a link. */
export const newToken = (): string => randomBytes(32).toString('base64url');
/** Only the hash of a secret is kept, so that a copy of the database opens nothing. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');
