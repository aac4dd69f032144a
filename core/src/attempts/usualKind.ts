import type { ControlKind, Limb } from '../vocabulary/index.js';

/** What a limb mostly does where nobody says what. */
export const USUAL_KIND: Record<Limb, ControlKind> = {
  hand: 'grip',
  arm: 'lock',
  foot: 'hook',
  leg: 'hook',
  knee: 'wedge',
  head: 'wedge',
  shoulder: 'pin',
  hips: 'pin',
};
