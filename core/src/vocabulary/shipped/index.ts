import type { Word } from '../types.js';
import { ACTIONS } from './actions.js';
import { FACTS } from './facts.js';
import { POSITIONS } from './positions.js';
import { REACTIONS } from './reactions.js';
import { REASONS } from './reasons.js';
import { SUBMISSIONS } from './submissions.js';
import { TARGETS } from './targets.js';

/**
 * Everything that ships. Keys are permanent: they stand in saved clips and are never renamed or reused; names and aliases may be bettered. No word
 * is a person's name. Order carries no meaning but in choices where nothing else decides.
 */
export const SHIPPED_WORDS: readonly Word[] = [
  ...POSITIONS,
  ...ACTIONS,
  ...TARGETS,
  ...SUBMISSIONS,
  ...REACTIONS,
  ...REASONS,
  ...FACTS,
];
