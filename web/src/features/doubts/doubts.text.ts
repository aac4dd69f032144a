import type { DoubtField } from '@odograph/core';

/** What a part of an attempt is called here. */
export const PART_TEXT: Readonly<Record<DoubtField, string>> = {
  state: 'position',
  controls: 'grip',
  action: 'entry',
  reactions: 'reaction',
  finish: 'finish',
  result: 'result',
  reasons: 'reason',
};

export const DOUBTS_TEXT = {
  title: 'Doubts',
  lead: 'What had no word yet, and what was said but not for sure. Settled once, it is settled everywhere it was met.',
  empty:
    'Nothing waits to be settled. While breaking down, a question mark at the end of a word keeps it here, and so does what a line asked and nobody answered.',
  unknown: (text: string, part: string): string => `“${text}”, ${part}`,
  unsure: (part: string): string => `Unsure: ${part}`,
  times: (n: number): string => (n === 1 ? 'met once' : `met ${n} times`),
  is: 'It is',
  choose: 'which word',
  callIt: 'and call it that from now on',
  stands: 'It stands as it is said',
  look: 'Look at it',
  more: (n: number): string => `and ${n} more`,
} as const;
