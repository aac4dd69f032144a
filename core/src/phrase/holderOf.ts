import type { Role } from '../vocabulary/index.js';

/** The role of whoever a position is said to be of: the guards are the bottom's, all else its first role's. */
export const holderOf = (family: string, roles: readonly Role[]): Role | undefined =>
  family.endsWith('guard') || family === 'turtle' ? roles.find((r) => r === 'bottom') : roles[0];
