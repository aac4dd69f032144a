import type { Words } from '../vocabulary/index.js';
import { RowTable, type Logged } from './rows.js';
import { Tally } from './tally.js';
import { WHOLE, type CountingView } from './view.js';
import type { LineBook } from './types.js';

/** Id of the line that an attempt of a side of its own would stand on. */
export const lineId = (from: string, action: string, bait: boolean, to: string): string =>
  `${from} ${action}${bait ? ' (bait)' : ''} ${to}`;

/**
 * The lines of the map out of what was logged. Definitions in the project's model: a line's `attempts` are those of its group, so that the counts of a
 * group add up to them. Lines come out sorted by id, so shuffled input gives the same answer. O(n + lines · log lines).
 */
export const buildLines = (logged: readonly Logged[], words: Words, view: CountingView = WHOLE): LineBook =>
  new Tally(RowTable.of(logged, words), view).book();
