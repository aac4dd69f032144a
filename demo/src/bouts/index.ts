import type { Bout } from './bout.js';
import { evening } from './evening.js';
import { thursday } from './thursday.js';

export { stage, type Bout, type Said, type Staged } from './bout.js';
/** All pieces of the demo, in the order of the shelf. */
export const BOUTS: readonly Bout[] = [evening, thursday];
