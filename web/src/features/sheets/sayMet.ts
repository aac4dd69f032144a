import type { Column, HoldKind, Words } from '@odograph/core';
import { HOLD_TEXT, SHEET_TEXT as T } from './sheets.text.js';

/** What was met, in words: their reaction, their attack, nothing, or that nobody said. */
export const sayMet = (column: Column, words: Words): string => {
  if (column === 'none') return T.none;
  if (column === 'not said') return T.notSaid;
  return words.name(column.isAction ? 'action' : 'reaction', column.what);
};

/** An entry in words, a bait marked. */
export const sayEntry = (
  { action, bait }: { readonly action: string; readonly bait: boolean },
  words: Words,
): string => (bait ? T.bait(words.name('action', action)) : words.name('action', action));

export const sayHold = ({ limb, kind, target, sides }: HoldKind, words: Words): string =>
  HOLD_TEXT.hold(limb, HOLD_TEXT.kinds[kind], words.name('target', target), sides);
