import type { DoubtField } from '@odograph/core';
import { instantText } from '../../design/index.js';

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
  lead: 'What nobody had a word for, what somebody wasn’t sure of, what’s only a guess, what two clips tell in two ways, and what no camera shows yet. Settle it once, and it’s settled everywhere it came up.',
  empty:
    'Nothing to settle. While you break down, a question mark at the end of a word puts it here, and so does a question nobody answered.',
  unknown: (text: string, part: string): string => `“${text}”, ${part}`,
  unsure: (part: string): string => `Unsure: ${part}`,
  times: (n: number): string => (n === 1 ? 'seen once' : `seen ${n} times`),
  is: 'It is',
  choose: 'which word',
  callIt: 'and use that name from now on',
  stands: 'Keep it as it is',
  needed: (what: string, how: string): string => `Another angle is needed: ${what} (${how})`,
  neededHint: 'Open it, go to the camera that shows it, cut it there, and type “this frame shows it” behind the note.',
  seenAfterAll: 'It can be seen here',
  twice: (action: string, grip: string | null): string =>
    `Told two ways: ${grip === null ? action : `${grip}, ${action}`}`,
  itIs: (value: string): string => `It’s ${value}`,
  unclear: (what: string, kind: string): string => `The proof can’t be seen well: ${what} (${kind})`,
  unclearHint: 'Find another frame or camera that shows it, and type “this frame shows it” there.',
  guessed: (link: string): string => `A guess: ${link}`,
  isSo: 'It’s so',
  isNotSo: 'It isn’t',
  amended: 'Changed lately',
  amendedLead:
    'What somebody had said and then somebody said differently. Nothing to settle here; look at it if you see it another way.',
  by: (name: string, at: string): string => `Changed by ${name || 'somebody who’s left'}, ${instantText(at)}.`,
  saidBy: (name: string, at: string): string =>
    `It had been said by ${name || 'somebody who’s left'}, ${instantText(at)}.`,
  own: (at: string): string => `Their own words before, ${instantText(at)}.`,
  again: 'Try again',
  look: 'Look at it',
  more: (n: number): string => `and ${n} more`,
} as const;
