import { SHEET_TEXT } from '../sheets.text.js';

export const PAGE_TEXT = {
  building: SHEET_TEXT.building,
  print: SHEET_TEXT.print,
  close: SHEET_TEXT.close,
  went: (worked: number, n: number, seen: number): string =>
    n ? `worked ${worked} of ${n}${seen ? `, ${seen} more without a rate` : ''}` : SHEET_TEXT.seenOnly(seen),
  times: (n: number): string => (n === 1 ? 'once' : `${n} times`),
  more: (n: number): string => `${n} more`,
  noClips: 'No clips behind this.',
  clipsOf: (what: string): string => `Clips: ${what}`,
  itsSheet: 'Its own page',
  from: (action: string, place: string): string => `${action} from ${place}`,
  baitFrom: (place: string): string => `${place} (as a bait)`,
  thatGoes: (lines: readonly string[]): string => lines.join(', then '),
  toRoute: 'Put into a route',
  whichRoute: 'Put into which route',
  newRoute: 'a new route',
  inRoute: (name: string): string => `Put into ${name}`,
  toRoutePage: 'Open it',
} as const;

export const SWITCH_TEXT = {
  role: 'Who is looked at',
  side: 'Which side',
  anySide: 'either side',
  left: 'left',
  right: 'right',
} as const;

export const HOLD_PAGE_TEXT = {
  title: 'What a hold is worth',
  which: 'Which hold',
  nothing: 'No holds are recorded in this view yet.',
  uses: 'What can be started from it',
  usesLead: (groups: number): string =>
    groups === 1 ? 'One grip, one use so far.' : `One grip, ${groups} uses: begun while it was held.`,
  run: (n: number): string => `Held through ${n} attempts in a row`,
  buys: 'With it and without it',
  buysLead: 'Only where something was said of that limb. It says what goes together, not what causes it.',
  withIt: (worked: number, n: number): string => (n ? `with it ${worked} of ${n}` : 'never with it'),
  without: (worked: number, n: number): string => (n ? `without ${worked} of ${n}` : 'never without'),
  p: (p: number): string => (p < 0.05 ? `hardly chance (p ${p.toFixed(3)})` : `could be chance (p ${p.toFixed(2)})`),
  kept: 'How long it’s kept',
  keptNot: 'Nobody said when it was taken.',
  median: (s: number, n: number, lost: number): string =>
    `Half of them are lost within ${s.toFixed(1)} s (${n} seen, ${lost} lost)`,
  longer: (s: number, n: number, lost: number): string =>
    `More than half are still kept after ${s.toFixed(1)} s, as long as anybody saw (${n} seen, ${lost} lost)`,
  curve: (shares: string): string => `Still kept: ${shares}`,
  share: (share: number, s: number): string => `${Math.round(share * 100)} % after ${s.toFixed(1)} s`,
  lost: 'Where it’s lost',
  lostTo: (reaction: string): string => `they ${reaction}`,
  handed: (hold: string): string => `handed over to ${hold}`,
  notLost: 'Nobody said how it was lost, or it never was.',
  costs: 'What it costs',
  instead: (hold: string): string => `the same limb on ${hold}, and it worked`,
  metBy: (action: string, stopped: number): string =>
    stopped ? `their ${action}, which stopped it ${stopped === 1 ? 'once' : `${stopped} times`}` : `their ${action}`,
  noCosts: 'Nothing was seen that speaks against it.',
} as const;

export const ENTRY_PAGE_TEXT = {
  title: 'An entry, from anywhere',
  which: 'Which entry',
  nothing: 'No entries are recorded in this view yet.',
  all: (went: string): string => `From anywhere: ${went}.`,
  from: 'Where it starts',
  to: 'Where it leads',
  way: (from: string, to: string): string => `${from} → ${to}`,
  met: 'What they do about it',
  met1: (met: number, overcome: number, stopped: number): string =>
    `met ${met}: got through ${overcome}, stopped ${stopped}`,
  answered: (answers: string): string => `answered with ${answers}`,
  noAnswer: 'no answer on film',
  noneMet: 'Nobody has done anything about it yet.',
  depth: 'How far it gets',
  reached: (reached: number, of: number): string => `${reached} of ${of} got there`,
  stalled: (n: number): string => (n === 0 ? '' : n === 1 ? 'one stopped there' : `${n} stopped there`),
  errors: 'Mistakes',
  error: (isOurs: boolean, isBrought: boolean, what: string): string =>
    `${isOurs ? 'ours' : 'theirs'}, ${isBrought ? 'brought about' : 'given away'}${what ? `: ${what}` : ''}`,
  reasons: 'Why it didn’t work',
  reason: (n: number, main: number): string =>
    n === 1
      ? `once${main ? ', the main reason' : ''}`
      : `${n} times${main ? `, the main reason ${main === 1 ? 'once' : main === n ? 'each time' : `${main} times`}` : ''}`,
  holds: 'What’s held at commit',
  tries: 'First and further tries',
  nth: (n: number): string => (n === 1 ? 'first try' : n === 2 ? 'second try' : n === 3 ? 'third try' : `try ${n}`),
  tried: (worked: number, n: number): string => `worked ${worked} of ${n}`,
} as const;

export const REACTION_PAGE_TEXT = {
  title: 'When they …',
  which: 'Which reaction',
  nothing: 'No reactions are recorded in this view yet.',
  name: (reaction: string): string => `When they ${reaction}`,
  sum: (met: number, stopped: number): string =>
    `Met by ${met === 1 ? 'one attempt' : `${met} attempts`}, and ${stopped === 0 ? 'none were stopped' : stopped === 1 ? 'one was stopped' : `${stopped} were stopped`} by it.`,
  where: 'Where it’s met',
  answers: 'What answers it, wherever that was',
  noAnswers: 'Nobody has an answer to it on film.',
  none: 'Who has none',
  noneLead: 'Entries that met it and have no answer on film.',
  allAnswered: 'Every entry that met it has an answer on film.',
  answeredWith: (status: string, answers: string): string => (answers ? `${status}: ${answers}` : status),
} as const;

export const SHAPE_TEXT = {
  title: 'The shape of the map',
  lead: 'Which places everything goes through, what comes round again, what hangs together with nothing, and what needs cloth.',
  working: 'Looking at how the map hangs together …',
  failed: 'That couldn’t be worked out. Try again.',
  nothing: 'Nothing is on the map in this view yet.',
  hubs: 'Crossroads',
  hubsLead:
    'Of all the shortest ways between two other places, the share that goes through this one. Close it, and that much of the game has to go round.',
  hub: (share: number): string => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)} % of all ways`,
  noHubs: 'No place lies between others yet.',
  loops: 'What comes round again',
  loopsLead:
    'Places that lead back to each other in two or three steps: an attack that comes back, or a scramble that goes nowhere.',
  noLoops: 'Nothing leads back to where it came from.',
  isCut: 'There are more; the shortest are here.',
  loop: (names: readonly string[]): string => [...names, names[0]!].join(' → '),
  loopSeen: (n: number): string => `each step seen ${n === 1 ? 'at least once' : `at least ${n} times`}`,
  ends: 'Where it stops',
  endsLead: 'Places that are reached, and from which nobody has been seen to go on.',
  noEnds: 'From every place that’s reached somebody goes on.',
  reached: (n: number): string => (n === 1 ? 'reached once' : `reached ${n} times`),
  islands: 'Islands',
  islandsLead: 'Parts of the map with no line to the rest: something in between was never filmed, or never logged.',
  noIslands: 'Everything on the map hangs together.',
  island: (names: readonly string[]): string => names.join(', '),
  placesIn: (n: number): string => (n === 1 ? 'one place' : `${n} places`),
  cloth: 'What leans on cloth',
  clothLead:
    'At least half of those that tell the holds had hold of cloth, and none without it worked. Its clips are the same entry without cloth, or with no gi worn.',
  noCloth: 'Nothing that’s counted here needs cloth.',
  leans: (withCloth: number, said: number): string => `cloth in ${withCloth} of ${said}`,
  without: (n: number, worked: number): string =>
    n === 0 ? 'never seen without cloth' : `seen ${n === 1 ? 'once' : `${n} times`} without cloth, worked ${worked}`,
} as const;

export const TOLD_TEXT = {
  principles: 'What you hold to be so here',
  strengths: {
    required: 'Has to be so',
    usual: 'Mostly so',
    habit: 'Somebody’s habit',
    never: 'Never without a reason',
  },
  whose: (name: string): string => `(${name})`,
  clash: (other: string): string => `Clashes with: ${other}`,
  facts: 'What goes with working',
  factsLead:
    'What was said of it, with it and without it, over everything from here. It goes together; it isn’t a cause.',
  depth: 'How far each try came',
  furthest: (word: string, n: number, of: number): string => `${word}: ${n} of ${of}`,
} as const;
