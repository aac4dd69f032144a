import type { ClipColumn, ReadClip } from '@odograph/core';

export const COLUMN_TEXT: Record<ClipColumn, string> = {
  footage: 'footage',
  camera: 'camera',
  in: 'in',
  out: 'out',
  athlete: 'athlete',
  from: 'position',
  grips: 'grips',
  theirGrips: 'their grips',
  entry: 'entry',
  bait: 'bait',
  reaction: 'their reaction',
  finish: 'finish',
  result: 'result',
  depth: 'how far',
  why: 'why',
  facts: 'how they stood',
  alternatives: 'what else was there',
  evidence: 'how it’s known',
  note: 'note',
};

const WHY: Record<Extract<ReadClip, { does: 'nothing' }>['why'], (said: string) => string> = {
  footage: (said) => (said ? `no footage called “${said}” here` : 'no footage named'),
  in: (said) => (said ? `“${said}” is no time of that footage` : 'no beginning'),
  out: (said) => (said ? `“${said}” is no time of that footage` : 'no end'),
  'out before in': () => 'ends before it begins',
  athlete: (said) => `“${said}” is neither of the two on it: say whose action it is`,
  unreadable: () => 'can’t be read',
};

export const rowText = (row: ReadClip): string => {
  switch (row.does) {
    case 'makes':
      return 'makes a clip';
    case 'there already':
      return 'is there already';
    case 'nothing':
      return WHY[row.why](row.said);
  }
};

export const CLIPS_TEXT = {
  empty:
    'No clips yet. A clip is a look at one attempt: stop the footage where it starts, mark in and out, and say what it is.',
  toFootage: 'Go to footage',
  noneLeft: 'No clip is all of this at once. Clear a part of the sentence (backspace in it) to see more.',
  more: (n: number): string => (n === 1 ? 'Show one more clip' : `Show more of the other ${n} clips`),
  save: 'Save as a list',
  read: 'Read a list',
  readTitle: 'A list of clips',
  readLead:
    'Say which column holds what; each line then shows what it would make. Nothing changes until you say so. Separate several grips or reactions in one cell with semicolons.',
  none: 'none',
  missing: (columns: readonly string[]): string => `Say which column holds ${columns.join(' and ')}.`,
  summary: (makes: number, there: number, nothing: number): string =>
    `${makes} ${makes === 1 ? 'line makes' : 'lines make'} a clip, there already: ${there}, not understood: ${nothing}`,
  without: 'not understood, left out:',
  takeIn: (n: number): string => (n === 1 ? 'Make this clip' : `Make these ${n} clips`),
  nothingToMake: 'No line makes a clip',
  cancel: 'Cancel',
  noHead: 'There’s no table in this file: its first line has to name the columns.',
  reading: 'Reading …',
} as const;

export const CLIP_LIST_TEXT = {
  clips: 'Clips',
  of: (shown: number, all: number) => `${shown} of ${all}`,
  inTheOrder: 'In the order',
} as const;

export const CLIP_ROW_TEXT = {
  notPlaced: 'not placed yet',
  heights: (from: number, to: number) => `from height ${from} to ${to}`,
  draftNotOnThe: 'draft, not on the map',
  notCounted: 'not counted',
} as const;

export const FILTER_SENTENCE_TEXT = {
  whichClips: 'Which clips',
  narrowByLabel: 'Narrow by',
  narrowBy: '+ narrow by',
  showAll: 'Show all',
} as const;

export const READ_LIST_TEXT = {
  column: (x: number) => `column ${x}`,
  whatEachLineWould: 'What each line would make',
  line: 'Line',
  whatItDoes: 'What it does',
  readAs: 'Read as',
} as const;

export const TEXT_FIELD_TEXT = {
  wordsInIt: 'Words in it',
  anyWords: 'any words',
} as const;

export const COLLECTIONS_TEXT = {
  title: 'Collection',
  any: 'any collection or none',
  keep: 'Keep these as a collection',
  into: 'Into',
  aNew: 'a new collection',
  name: 'Name of the collection',
  kind: 'What’s in it',
  live: 'whatever the sentence finds, now and later',
  fixed: (n: number): string => (n === 1 ? 'this one clip' : `these ${n} clips, in this order`),
  keeping: 'Keep',
  put: (n: number): string => (n === 1 ? 'Add this clip' : `Add these ${n} clips`),
  cancel: 'Cancel',
  tooMany: (most: number): string => `A fixed collection holds ${most} clips at most. Narrow the sentence first.`,
  isLive: 'finds its clips by a sentence',
  isFixed: (n: number): string => (n === 1 ? 'one clip, put in by hand' : `${n} clips, put in by hand`),
  rename: 'Rename',
  remove: 'Remove the collection',
} as const;
