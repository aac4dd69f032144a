import type { PositionWord, Role } from '../vocabulary/index.js';

/** Ways of holding somebody on all fours: those are of whoever is above. */
const HOLDS_TURTLE = new Set(['front-headlock', 'side-ride', 'leg-ride', 'seat-belt-turtle', 'cradle']);

/** The role of whoever a position is said to be of: the guards and the turtle are the bottom's, all else its first role's. */
export const holderOf = ({ key, family, roles }: PositionWord): Role | undefined =>
  family.endsWith('guard') || (family === 'turtle' && !HOLDS_TURTLE.has(key))
    ? roles.find((r) => r === 'bottom')
    : roles[0];
