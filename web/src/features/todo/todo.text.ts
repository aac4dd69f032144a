import type { Todo, TodoKind, TodoStatus } from '@odograph/core';

export const KIND_TEXT: Readonly<Record<TodoKind, string>> = {
  try: 'to try',
  question: 'question',
  advice: 'advice',
  announced: 'announced',
  credit: 'credit',
  find: 'to find or film',
};
/** What a kind is for, in a few words. */
export const KIND_HINT: Readonly<Record<TodoKind, string>> = {
  try: 'Something to try in rolling: how often, by whom, and whether it works.',
  question: 'A question that a clip answers.',
  advice: 'What was called from the corner, and whether they did it.',
  announced: 'So many were announced: which of them are here, and which are missing?',
  credit: 'Whose idea a detail was. Kept among those who log, unless you say it may be told.',
  find: 'A clip that isn’t here yet.',
};
export const BY_TEXT: Readonly<Record<TodoKind, string>> = {
  try: 'Whose idea',
  question: 'Asked by',
  advice: 'Called by',
  announced: 'Announced by',
  credit: 'Whose it is',
  find: 'Asked by',
};
const BY_SAID: Readonly<Record<TodoKind, string>> = {
  try: 'from',
  question: 'asked by',
  advice: 'called by',
  announced: 'announced by',
  credit: 'from',
  find: 'asked by',
};
export const STATUS_TEXT: Readonly<Record<TodoStatus, string>> = { open: 'open', done: 'done', dropped: 'dropped' };

const day = (iso: string): string =>
  new Date(`${iso}T12:00:00`).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

export const TODO_TEXT = {
  title: 'To do',
  lead: 'What to try, questions a clip should answer, advice from the corner, what was announced and isn’t all here. It stays open until you say it’s done or dropped.',
  empty: 'Nothing here. Add what to try next, or press “To do” on the bench to put a frame on the list.',
  nothing: 'Nothing on the list fits.',
  show: 'Show',
  anyKind: 'everything',
  anyStatus: 'open, done or dropped',
  anybody: 'anybody',
  whichKind: 'What kind',
  whichStatus: 'Open or not',
  whose: 'For whom',
  that: 'that’s',
  for: 'for',
  adding: 'Something to do',
  kind: 'What is it?',
  text: 'What exactly',
  due: 'By when',
  option: 'Which position and entry',
  optionPlaceholder: 'turtle top, back take',
  readAs: (what: string): string => `Read as: ${what}.`,
  notUnderstood: (texts: readonly string[]): string => `Not understood: ${texts.map((t) => `“${t}”`).join(', ')}.`,
  people: 'Who',
  said: 'How many',
  parts: 'What they are, with commas',
  partsPlaceholder: 'grip, angle, hip turn',
  shared: 'It may be told to students',
  here: (where: string): string => `At ${where}`,
  notHere: 'Leave the frame out',
  add: 'Add',
  needsText: 'Say what it is.',
  needsParts: 'More are named than were announced.',
  by: (kind: TodoKind, who: string): string => `${BY_SAID[kind]} ${who}`,
  opened: (iso: string): string => `since ${day(iso)}`,
  dueOn: (iso: string): string => `by ${day(iso)}`,
  overdue: (iso: string): string => `was due ${day(iso)}`,
  tried: (n: number, worked: number): string =>
    n === 0 ? 'Not tried yet' : `Tried ${n === 1 ? 'once' : `${n} times`}, worked ${worked}`,
  triedBy: (name: string, n: number, worked: number): string => `${name} ${n}, worked ${worked}`,
  found: (n: number): string => (n === 1 ? 'Found: one clip answers it.' : `Found: ${n} clips answer it.`),
  notFound: 'Not found yet.',
  theirs: (action: string): string => `their ${action}`,
  undated: (n: number): string =>
    n === 1 ? '1 more in footage without a date' : `${n} more in footage without a date`,
  announced: (said: number, stored: number): string => `${said} announced, ${stored} here`,
  complete: 'complete',
  missing: (names: readonly string[], unnamed: number): string =>
    `missing: ${[...names, ...(unnamed ? [unnamed === 1 ? '1 without a name' : `${unnamed} without a name`] : [])].join(', ')}`,
  cutOff: (names: readonly string[]): string => `cut off by the end of the footage: ${names.join(', ')}`,
  isCutOff: 'cut off',
  whichClip: (name: string): string => `Clip that shows ${name}`,
  answeredBy: 'Clips for it',
  clipPlaceholder: 'words of the clip',
  addClip: 'add a clip',
  unlink: (what: string): string => `Take ${what} off`,
  followed: 'Did they do it?',
  followedText: { yes: 'yes', no: 'no', 'could not': 'couldn’t' } satisfies Record<
    NonNullable<Todo['followed']>,
    string
  >,
  proposal: (seconds: string): string => `${seconds} s later:`,
  noProposal: 'Nothing of theirs starts within 15 s.',
  status: (text: string): string => `Open or done: ${text}`,
  remove: 'Remove',
  look: (title: string, code: string): string => `Look at it: ${title}, ${code}`,
  told: 'may be told to students',
  private: 'among those who log',
  gone: 'a clip that’s gone',
} as const;
