import type { Answered } from '@odograph/core';

export const MAP_TEXT = {
  title: 'Map',
  empty: 'The map draws itself from your clips. A clip with position, entry and result is a line on it.',
  toBench: 'Break footage down',
  computing: 'Computing the map …',
  failed: 'The map couldn’t be worked out. Your clips are safe; it’s tried again every few seconds.',
  rest: '. Pick a place, or Shift-pick two for the routes between. Dotted lines have no rate yet.',
  answers: 'What answers what',
  from: 'From here',
  to: 'Leads here',
  nothingFrom: 'Nothing recorded from here yet.',
  nothingTo: 'Nothing recorded that leads here yet.',
  against: 'How they get us here',
  whole: 'Whole map',
  routes: 'Routes to it',
  anySubmission: 'Routes to any submission',
  pickTarget: 'Pick where it should lead',
  pickingTarget: 'Now pick the place it should lead to',
  counted: 'Counted:',
  whose: 'Whose game',
  whoever: 'whoever acts',
  room: 'the room',
  roomEmpty: 'the room (nobody is marked as a member)',
  in: 'in',
  setting: 'Setting',
  anySetting: 'any setting',
  clothing: 'Clothing',
  anyClothing: 'gi and no-gi',
  skewed: 'Why its numbers say less',
  begun: 'How it began',
  anyBegun: 'however begun',
  cold: 'cold',
  answering: 'after a reaction',
  anySkew: 'whatever skews it',
  noSkew: 'nothing skewing it',
  rules: 'Rules',
  anyRules: 'any rules',
  level: 'Level',
  anyLevel: 'any level',
  speaker: 'Who’s talking',
  anySpeaker: 'whoever talks',
  collection: 'Collection',
  anyCollection: 'any clips',
  goneCollection: 'a collection that’s gone',
  from_: 'from',
  firstDay: 'First day',
  anyDay: 'any day',
  until: 'until',
  lastDay: 'Last day',
  everything: 'Count everything',
  nothingCounted: 'Nothing counts in this view. Let more through.',
  asPicture: 'picture',
  asTable: 'table',
  shownAs: 'Shown as',
  orderedBy: 'Ordered by',
  columns: [
    'From',
    'Entry',
    'Leads to',
    'Tried',
    'Worked',
    'Led there',
    'By working',
    'Rate of leading there',
    'Highlights',
    'Shown',
    'Proposed',
    'Given',
    'Thrown away',
  ],
  more: (n: number): string => (n === 1 ? 'One more line' : `${n} more lines`),
  places: (most: number, all: number): string => `${most} of ${all} places`,
  theirs: 'They, from here',
  drafts: (n: number): string => `, ${n === 1 ? '1 draft' : `${n} drafts`} not on it`,
  proposed: (n: number): string => `, of these ${n} proposed`,
  includePicked: 'Count highlights-only footage too',
  pickedWarning: 'Highlights are mostly what worked, so these rates look better than they are.',
  picked: (n: number): string => `, ${n} from highlights`,
  onlyPicked: (n: number): string =>
    `${n === 1 ? 'The one clip here comes' : `All ${n} clips here come`} from highlights-only footage, so nothing is rated yet. Clip a bout with every attempt, both sides, and say so on its footage sheet; or count highlights too.`,
  stake: 'much at stake: good and bad ends are both near',
} as const;

export const CLIP_ON_THE_SPOT_TEXT = {
  holdThePicture: 'Hold the picture',
  play: 'Play',
  next: (nth: number, of: number) => `Clip ${nth} of ${of}: next`,
  openItToBreak: 'Open it to break down',
} as const;

export const MAP_AXES_TEXT = {
  restart: 'restart',
} as const;

export const MAP_HEAD_TEXT = {
  totals: (attempts: number, lines: number) => `${attempts} attempts on ${lines} lines`,
  shown: (n: number) => `, ${n} shown`,
  unplaced: (n: number) => `, ${n} unplaced`,
} as const;

/** The orders of the table. */
export const ORDER_TEXT = { seen: 'seen most', rate: 'works best', from: 'by place' } as const;

/** What is done along a line, with whose it is. */
export const LINE_TEXT = {
  by: (action: string, isTheirs: boolean) => (isTheirs ? `them: ${action}` : action),
  done: (action: string, isTheirs: boolean, isBait: boolean) =>
    `${LINE_TEXT.by(action, isTheirs)}${isBait ? LINE_TEXT.bait : ''}`,
  bait: ' (bait)',
  beside: (entries: readonly string[]): string => `${entries.length} entries: ${entries.join(', ')}`,
} as const;

export const ZOOM_TEXT = {
  title: 'Size of the map',
  larger: 'Larger',
  smaller: 'Smaller',
  whole: 'Back to its own size',
  percent: (zoom: number): string => `${Math.round(zoom * 100)} %`,
  hint: 'Ctrl and the wheel, or + and −; drag to move',
} as const;

export const PLACE_SHEET_TEXT = {
  to: ' to ',
  from: ' from ',
  height: (height: number, stake: string | null) =>
    `height ${height > 0 ? '+' : ''}${height.toFixed(1)} of 5${stake === null ? '' : `, ${stake}`}`,
} as const;

export const SAID_HERE_TEXT = {
  title: 'Only said, never seen',
  times: (n: number): string => (n === 1 ? 'said once' : `said ${n} times`),
  answer: (reaction: string, action: string, isTheirs: boolean): string =>
    `${isTheirs ? 'they ' : ''}${reaction}, against ${isTheirs ? '' : 'their '}${action}`,
  principles: 'Principles',
} as const;

export const VIEW_SENTENCE_TEXT = {
  gi: 'gi',
  noGi: 'no-gi',
} as const;

export const MAP_NAV_TEXT = {
  label: 'What the map says',
  to: {
    '/map': 'Map',
    '/map/answers': 'Answers',
    '/map/entry': 'Entries',
    '/map/hold': 'Holds',
    '/map/reaction': 'Reactions',
    '/map/shape': 'Shape',
    '/map/next': 'Find or film next',
    '/map/compare': 'Compare',
  },
} as const;

export const ANSWERED_TEXT: Readonly<Record<Answered, string>> = {
  works: 'works',
  tried: 'tried',
  shown: 'shown',
  'only said': 'only said',
  unanswered: 'no answer',
};

export const UNFOLDED_TEXT = {
  they: (what: string): string => `they ${what}`,
  their: (what: string): string => `their ${what}`,
  fork: (entry: string, met: string, status: string, answers: string): string =>
    `${entry}, ${met}: ${status}${answers ? `, with ${answers}` : ''}`,
  answer: (action: string): string => `then ${action}`,
  said: (action: string, to: string, isPlanned: boolean): string =>
    `${action} to ${to}: ${isPlanned ? 'planned' : 'only said'}, never seen from here`,
  saidShort: (action: string, isPlanned: boolean): string => `${action} (${isPlanned ? 'planned' : 'only said'})`,
} as const;
