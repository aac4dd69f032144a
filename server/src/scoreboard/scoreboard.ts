import type { ClockAnchor } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';

/** What keeps the clock of a match and tells afterwards what it showed: the stand-in that ships with the product, or a real scoreboard in its place. */
export type Scoreboard = {
  /** What the clock of a footage showed at instants of it, whenever something about it changed; undefined where none was kept. */
  readonly readings: (academyId: AcademyId, footageId: string) => Promise<readonly ClockAnchor[] | undefined>;
};
export const SCOREBOARD = Symbol('scoreboard');
