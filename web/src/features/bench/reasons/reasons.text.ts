import type { Compared, LinkKind } from '@odograph/core';

export const PANEL_TEXT = { close: 'Back to the list' } as const;

export const REASONS_TEXT = {
  label: 'What made what possible',
  title: 'Why it went so',
  empty: 'Say where it started and what was done first; then link the details here.',
  pick: 'Pick a detail: what hangs on it falls with it.',
  falls: (n: number): string =>
    n === 0 ? 'Nothing hangs on it alone.' : n === 1 ? 'Without it one more falls.' : `Without it ${n} more fall.`,
  mayFall: (n: number): string => (n === 1 ? ' One more if a guess is right.' : ` ${n} more if the guesses are right.`),
  comesBack: (n: number): string => (n === 1 ? ' One comes back.' : ` ${n} come back.`),
  from: (what: string, kind: string): string => `“${what}” ${kind} … choose what, then enter. Esc lets it be.`,
  links: 'Links',
  guess: 'a guess',
  sure: 'sure',
  remove: (text: string): string => `Take the link off: ${text}`,
  turn: (text: string): string => `Sure or a guess: ${text}`,
  state: { falls: 'falls', mayFall: 'may fall', comesBack: 'comes back' },
} as const;

/** How a link reads between its two details. */
export const KIND_TEXT: Readonly<Record<LinkKind, string>> = {
  enables: 'enables',
  prevents: 'prevents',
  forces: 'forces',
  exposes: 'exposes',
  delays: 'delays',
};

export const TRIES_TEXT = {
  label: 'Two tries beside each other',
  title: 'Beside another try',
  beside: 'Beside',
  none: 'There’s no other attempt in this footage.',
  other: (code: string, what: string): string => `at ${code}: ${what}`,
  this: 'this one',
  cameWith: 'Came with the change. That’s not to say it caused it.',
  differs: 'Also different',
  nothing: 'Nothing else is different.',
  same: (n: number): string => (n === 1 ? 'One detail is the same.' : `${n} details are the same.`),
  notTold: 'not told',
  toCommit: 'to commit',
  toEnd: 'then to end',
  join: 'It’s another try of that one',
  part: 'Not a try of the same thing',
} as const;

export const COMPARED_TEXT: Readonly<Record<Compared, string>> = {
  state: 'position',
  fact: 'how they stood',
  hold: 'grip',
  entry: 'entry',
  form: 'how it was done',
  reaction: 'reaction',
  alternative: 'also there',
  mistake: 'mistake',
  depth: 'how far',
  result: 'result',
};
