import { createHash, randomBytes } from 'node:crypto';

/** A secret for a cookie or a link. */
export const newToken = (): string => randomBytes(32).toString('base64url');
/** Only the hash of a secret is kept, so that a copy of the database opens nothing. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');

/** As long as an id, for what is known by its token alone: names it without telling it. */
export const markOf = (token: string): string => hashToken(token).slice(0, 36);
