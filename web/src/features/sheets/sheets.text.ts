import type { ControlKind } from '@odograph/core';

export const SHEET_TEXT = {
  whichPlace: 'Which place',
  toMap: 'On the map',
  toNext: 'What to find next',
  building: (share: number): string => `Reading your clips … ${Math.round(share * 100)} %`,
  nothing: 'Nothing is recorded from here yet, by us or by them.',
  oursLead:
    'Each row is what we try from here, each column what they do about it. A box with a broken edge is a hole: it’s been met, and nobody has an answer on film.',
  entry: 'Entry',
  none: 'do nothing about it',
  notSaid: 'not said',
  bait: (action: string): string => `${action} (bait)`,
  tries: (n: number, worked: number): string => `${n} tried, ${worked} worked`,
  seenOnly: (n: number): string => (n === 1 ? 'seen once, no rate' : `seen ${n} times, no rate`),
  alsoSeen: (n: number): string => `, ${n} more without a rate`,
  noTries: 'not met yet',
  cell: (entry: string, met: string): string => `${entry}, they ${met}`,
  theirs: 'What they do from here',
  theirsLead: 'Their entries against whoever is here, with what’s been done about each.',
  holds: 'Holds used here',
  holdUse: (groups: number, n: number): string =>
    `${n === 1 ? 'once' : `${n} times`}, ${groups === 1 ? 'one entry' : `${groups} entries`} begun with it`,
  either: 'Either way',
  eitherLead: 'Defending one opens the other.',
  pair: (a: string, b: string): string => `${a} or ${b}`,
  opens: (entry: string, reaction: string, other: string): string => `${entry}: they ${reaction}, then ${other}`,
  notEnough: 'Each of the four has to be seen three times before it’s said how often to use which.',
  always: (entry: string, percent: number): string =>
    `Use ${entry} whatever they do: it works ${percent} % of the time.`,
  mix: (entry: string, share: number, percent: number): string =>
    `Use ${entry} ${share} % of the time: it works ${percent} % of the time, whatever they expect.`,
  times: 'How long it takes',
  spread: (what: string, median: number, low: number, high: number, n: number): string =>
    `${what}: mostly ${median.toFixed(1)} s, half of them ${low.toFixed(1)} to ${high.toFixed(1)} s (${n})`,
  toCommit: 'to commit',
  toEnd: 'from there to the end',
  toFollow: 'to what comes next',
  here: 'How one gets here',
  hereLine: (action: string, from: string): string => `${action} from ${from}`,
  counted: (worked: number, n: number): string => `worked ${worked} of ${n}`,
  answers: 'What answers it',
  noAnswers: 'Nothing on film answers it yet.',
  answerSeen: (n: number, worked: number, shown: number): string =>
    [...(n ? [`worked ${worked} of ${n}`] : []), ...(shown ? [`shown ${shown}`] : [])].join(', '),
  said: 'Only said',
  rules: 'Principle',
  overcome: 'They got through it without needing another answer.',
  put: 'Find or film next',
  putKey: 'f',
  isPut: 'On the list',
  close: 'Close',
  print: 'Print',
} as const;

export const PLACE_TEXT = { title: 'Answers' } as const;

export const HOLD_TEXT = {
  hold: (limb: string, kind: string, target: string, sides: 'same' | 'cross' | null): string =>
    `${limb} ${kind} ${target}${sides === null ? '' : sides === 'same' ? ', same side' : ', across'}`,
  kinds: {
    grip: 'on',
    hook: 'hooked on',
    frame: 'framing on',
    underhook: 'under',
    pin: 'pinning',
    post: 'posted on',
    wedge: 'wedged at',
    lock: 'locked round',
  } satisfies Record<ControlKind, string>,
} as const;

export const CHANCES_TEXT = {
  title: 'Where it ends from here',
  lead: 'If it goes on as it has been counted.',
  working: (share: number): string => `Working it out … ${Math.round(share * 100)} %`,
  cancel: 'Stop',
  again: 'Work it out',
  why: 'Why?',
  steps: 'Steps until then',
  points: 'Points on the way',
  ahead: 'Points ahead on the way',
  sides: 'Whose steps count',
  own: 'what this side does',
  both: 'what either side does',
  goes: (action: string, to: string, isTheirs: boolean): string => `${isTheirs ? 'them: ' : ''}${action} → ${to}`,
  never: 'no end: it goes round and round',
  unknown: 'a place nothing is recorded from',
  percent: (at: number, low: number, high: number): string =>
    `${Math.round(at * 100)} % (${Math.round(low * 100)}–${Math.round(high * 100)} %)`,
  number: (at: number, low: number, high: number): string => `${at.toFixed(1)} (${low.toFixed(1)}–${high.toFixed(1)})`,
  because: (total: number): string =>
    `Out of ${total} counted steps from here. Each step’s chance is its count by all of them; from where it leads it goes on in the same way. The range is where 95 of 100 draws fall when each place’s counts are drawn anew, with half a step for what nobody has seen there yet.`,
  step: (count: number, total: number): string => `${count} of ${total}`,
  nothing: 'Nothing is counted from here yet, so nobody can say.',
} as const;

export const COMPARE_TEXT = {
  title: 'Compare two views',
  lead: 'Each entry from each place in the one view and in the other. It’s called better or worse only where chance doesn’t explain it.',
  second: 'against:',
  working: 'Comparing …',
  failed: 'That couldn’t be compared. Try again.',
  verdicts: {
    better: 'Works better in the first',
    worse: 'Works worse in the first',
    new: 'Only in the first',
    gone: 'Only in the second',
    'no difference to be seen': 'No difference to be seen',
  },
  same: 'Both views count the same attempts. Change one of them.',
  entry: (action: string, place: string): string => `${action} from ${place}`,
  theirs: (entry: string): string => `them: ${entry}`,
  rate: (worked: number, n: number): string => (n ? `${worked} of ${n}` : '–'),
  by: (at: number, low: number, high: number): string =>
    `${at > 0 ? '+' : ''}${Math.round(at * 100)} (${Math.round(low * 100)} to ${Math.round(high * 100)}) points`,
  why: 'Why?',
  because:
    'The difference of the two rates with its 95 % interval (Newcombe). Better or worse is said where that leaves nothing out of doubt and Fisher’s test holds among all entries that are compared, with at most one in ten by chance.',
  heights: 'Places that lie higher or lower',
  height: (first: number, second: number): string =>
    `${first.toFixed(1)} against ${second.toFixed(1)} (${first > second ? '+' : ''}${(first - second).toFixed(1)})`,
  more: (n: number): string => `${n} more`,
} as const;

export const NEXT_TEXT = {
  title: 'Find or film next',
  lead: 'Reactions that stopped somebody and that nobody has an answer to on film, and what they do that works and was never answered. First what comes most often and costs most height.',
  empty: 'No holes in this view: every reaction that was met has an answer, or nothing was met yet.',
  they: (what: string): string => `they ${what}`,
  against: (action: string, place: string): string => `against ${action} from ${place}`,
  theirAction: (action: string): string => `their ${action}`,
  in: (place: string): string => `in ${place}`,
  weight: (n: number, cost: number): string =>
    n === 0
      ? 'no rate: seen in highlights, shown or said'
      : `${n === 1 ? 'once' : `${n} times`}, ${cost < 0.05 ? 'costs no height' : `costs ${cost.toFixed(1)} of height`}`,
  why: 'Why here?',
  because: (n: number, all: string, height: number, ended: number, weight: string): string =>
    `${n} of all counted attempts (${all}); the place lies at ${height.toFixed(1)}, and they ended at ${ended.toFixed(1)} on average. Share times what it costs: ${weight}.`,
  noCost: 'It cost no height, so it comes last.',
  put: 'Put on the list',
  isPut: 'On the list',
  open: 'Table of answers',
  onlySaid: 'Only said, never seen',
  saidTimes: (n: number): string => (n === 1 ? 'said once' : `said ${n} times`),
  entryFrom: (action: string, place: string): string => `${action} from ${place}`,
  findEntry: (action: string, place: string): string => `Find or film: ${action} from ${place}`,
  find: (what: string): string => `Find or film an answer: ${what}`,
  list: 'What’s on the list',
  more: (n: number): string => `${n} more`,
} as const;

/** Names that are said of those that nobody knows. */
const MOST_UNKNOWN = 5;

export const PLAN_TEXT = {
  title: 'Planned, not seen yet',
  lead: 'Lines that you mean to have: a map saved as GraphML, here or in another academy. They stand thin and broken on the map at their place until a clip shows them.',
  pick: 'Add a map',
  part: (name: string, part: number, parts: number): string => `${name} (${part} of ${parts})`,
  seen: (seen: number, all: number): string =>
    seen === all ? `all ${all} seen by now` : `${seen} of ${all} seen by now`,
  to: (place: string): string => `to ${place}`,
  remove: 'Remove',
  more: (n: number): string => `${n} more`,
  takenIn: (n: number): string => (n === 1 ? 'Added 1 line.' : `Added ${n} lines.`),
  unknown: (names: readonly string[]): string =>
    `Left out what names words you don’t have: ${names.slice(0, MOST_UNKNOWN).join(', ')}${
      names.length > MOST_UNKNOWN ? ` and ${names.length - MOST_UNKNOWN} more` : ''
    }. Add them under Words, then add the map again.`,
  notXml: (line: number): string => `This isn’t a map: it stops being XML at line ${line}. Nothing was added.`,
  noLines: 'There are no lines in this file. Nothing was added.',
} as const;
