import type { BranchOn, Words } from '@odograph/core';

/** On what a branch is taken, in words: *they post a hand*, or a choice as it was typed. */
export const sayOn = (on: BranchOn, words: Words): string =>
  on.kind === 'reaction' ? `they ${words.name('reaction', on.reaction)}` : on.text;
