import type { Bout } from './bout.js';
import { evening } from './evening.js';
import { guardClass } from './guardClass.js';
import { harbour } from './harbour.js';
import { legClass } from './legClass.js';
import { morning } from './morning.js';
import { thursday } from './thursday.js';

export { stage, type Bout, type Filming, type Said, type Staged } from './bout.js';
export { WHYS, type Why } from './whys.js';
/** All pieces of the demo, in the order of the shelf. */
export const BOUTS: readonly Bout[] = [evening, harbour, thursday, morning, guardClass, legClass];
