import type { StepKind } from '@odograph/core';

export const ROUTES_TEXT = {
  title: 'Routes',
  kept: 'Kept routes',
  nothingKept: 'None yet. Build one by hand out of any clips, or find one below and keep it.',
  byHand: 'Build one by hand',
  firstStep: 'First step',
  fresh: 'A route without a name',
  find: 'Find a route',
  keep: 'Keep it',
  keepAs: 'Name',
  keeping: 'Keep the route',
  cancel: 'Cancel',
  play: 'Play it',
  wall: 'On the wall',
  steps: (n: number): string => (n === 1 ? '1 step' : `${n} steps`),
  branches: (n: number): string => (n === 1 ? '1 branch' : `${n} branches`),
  cues: (n: number): string => (n === 0 ? 'no cue yet' : n === 1 ? '1 cue' : `${n} cues`),
  all: 'All routes',
  vtt: 'Save cues as WebVTT',
  toBin: 'Move to bin',
  name: 'Name of the route',
  step: (n: number): string => `Step ${n}`,
  cue: 'Cue',
  cueHint: 'one short sentence, read from across the mat',
  note: 'Note',
  noteHint: 'usual mistakes, what to watch for',
  clip: 'Shown by',
  mostTelling: 'the most telling clip',
  noClip: 'No clip shows this step yet.',
  notForYou:
    'There’s no clip of this step that may be shown to students. Your coaches decide that for each person on it.',
  nothingKeptForStudents: 'None yet. Your coaches keep routes here to teach from.',
  notOnMap: 'Nothing on the map shows this step any more; the step stays.',
  gone: 'There’s no such route. It may be in the bin.',
  computing: 'Reading the map …',
  noMap: 'The map couldn’t be worked out, so no route can be found yet. It’s tried again every few seconds.',
  changesBefore: (n: number): string => (n === 1 ? 'One grip changes before it.' : `${n} grips change before it.`),
} as const;

/** What a step shows that is no line of the map. */
export const STEP_KIND_TEXT: Readonly<Record<StepKind, string>> = {
  line: 'an entry',
  place: 'a place to hold',
  hold: 'a grip to win',
  look: 'something to look at',
  talk: 'something to say',
  drill: 'a drill',
};

/** A step, as one speaks of it. */
export const STEP_TEXT = {
  fromTo: (from: string, to: string) => `from ${from} to ${to}`,
  mistake: 'Usual mistake:',
} as const;

export const KEPT_ROUTE_TEXT = {
  title: (from: string, to: string, steps: string) => `${from} to ${to}, ${steps}`,
} as const;

export const KEPT_ROUTES_TEXT = {
  play: (name: string) => `Play ${name}`,
} as const;

export const ROUTE_FINDER_TEXT = {
  nth: (nth: number) => ['Best', 'Second', 'Third'][nth] ?? `Number ${nth + 1}`,
  /** What stands before how often it led on, and behind it. */
  before: (steps: number, changes: number) =>
    `${steps === 1 ? '1 step' : `${steps} steps`}, ${changes === 0 ? 'no grip change recorded' : changes === 1 ? '1 grip change' : `${changes} grip changes`}; every step led to the next`,
  behind: (low: string, high: string, cost: string) =>
    `of the time in what was seen, and by what is known ${low} to ${high}; cost ${cost}`,
  playIt: 'Play it',
  /** What any submission may be called; the first is shown. */
  anySubmission: ['any submission', 'submission', 'tap'],
  whichRoute: 'Which route',
  theBestWaysFrom: 'The best ways from',
  from: 'From',
  whichPlace: 'which place',
  to: 'to',
  toLabel: 'To',
  whichPlaceOrAny: 'which place, or any submission',
  theRoutesCouldNot: 'The routes could not be computed. Load the page again; nothing is lost.',
  sayWhereItStarts:
    'Say where it starts and where it should lead. A route is made of lines of the map that have worked at least once; least risk first, then the fewest changes of grip.',
  none: (from: string, to: string) =>
    `No route: nothing that was seen to work leads from ${from} to ${to}. Drafts, demonstrations and highlights-only footage make no route.`,
} as const;

export const ROUTE_PLAYER_TEXT = {
  step: (nth: number, of: number) => `step ${nth} of ${of}`,
  inBranch: 'in a branch',
  ifThey: 'Branches from here',
  branch: (on: string, step: string) => `${on} → ${step}`,
  changes: (n: number) => (n === 1 ? 'One grip changes before this step.' : `${n} grips change before this step.`),
  goOn: (action: string) => `Go on to ${action} →`,
  lookingForTheRoute: 'Looking for the route …',
  thisRouteIsNo: 'This route is no longer there: the clips it stood on have changed.',
  backToTheRoutes: 'Back to the routes',
  thatWasTheWhole: 'That was the whole route.',
  fromTheBeginning: 'From the beginning',
  theStep: 'The step',
  before: '← Before',
  toTheEnd: 'To the end →',
} as const;

export const ROUTE_PROFILE_TEXT = {
  profileOfTheRoute: 'Profile of the route; up is better',
  step: (nth: number, name: string): string => `Step ${nth}: ${name}`,
  inBranch: (name: string): string => `In a branch: ${name}`,
} as const;

export const ROUTE_SPARK_TEXT = {
  whatItClimbsUp: 'What it climbs; up is better',
} as const;

export const ROUTE_LEAD_TEXT = {
  open: 'Open a window that follows',
} as const;

export const REACH_TEXT = {
  title: 'How far the evidence goes',
  factor: (factor: number): string =>
    factor < 1.005
      ? 'The best and the second are as good as each other by what is known.'
      : `By what is known, the best is ${factor < 10 ? factor.toFixed(1) : Math.round(factor)} times as likely to be gone as the second.`,
  onlyOne: 'There’s no second way to hold it against.',
  look: 'Look for these next. Ten more tries could make another way the best:',
  step: (entry: string, ifNone: boolean, ifAll: boolean): string =>
    `${entry}, ${ifNone && ifAll ? 'whether none or all of them worked' : ifNone ? 'if none of them worked' : 'if all of them worked'}`,
  entry: (action: string, place: string): string => `${action} from ${place}`,
  firm: 'Ten more tries of any one step, whatever came of them, wouldn’t make another way the best.',
} as const;

export const CLOTH_TEXT = {
  title: 'What hangs on cloth',
  sum: (leaning: number, steps: number, said: number): string =>
    leaning === 0
      ? `No step of the best leans on cloth${said < steps ? `, as far as it’s said what was held (${said} of ${steps})` : ''}.`
      : `${leaning} of the ${steps} steps of the best ${leaning === 1 ? 'leans' : 'lean'} on cloth, the first of them here:`,
  without: (n: number, worked: number): string =>
    n === 0 ? 'nobody has been seen to do it without' : `without cloth: ${worked} of ${n} worked`,
} as const;

export const ADD_STEP_TEXT = {
  next: 'What comes next',
  nextHint: 'an entry from here, or any clip',
  line: (action: string, to: string): string => `${action} → ${to}`,
  aClip: 'a clip',
  orElse: 'Or',
  called: 'What it’s called',
  add: 'Add it',
  cancel: 'Cancel',
} as const;

export const ADD_BRANCH_TEXT = {
  title: 'A branch',
  ifThey: 'If they',
  reaction: 'What they do',
  reactionHint: 'post, frame, turn in …',
  choice: 'Or in words, then Enter',
  then: (on: string): string => `If ${on}`,
  straight: 'Or go straight to',
  pickStep: 'a step of this route …',
  cancel: 'Cancel',
} as const;

export const ROUTE_STEPS_TEXT = {
  title: 'Steps',
  hint: '↑ ↓ picks a step; with Alt it moves. A adds one after it, B a branch, D doubles it, M mirrors it, Delete takes it out.',
  if: (on: string): string => `If ${on}:`,
  onAt: 'then',
  ends: 'it ends there',
  goesOn: (step: string): string => `on at ${step}`,
  cut: 'Cut the branch',
  elsewhere: 'starts elsewhere',
  planned: 'planned: nothing on film yet',
  shown: 'shown, not seen to work yet',
  add: 'Add a step',
  addFirst: 'Add a step at the start',
  addBranch: 'Branch off',
  mirror: 'Mirror the route',
  after: (step: string): string => `After ${step}`,
  atStart: 'At the start',
  round: 'That would lead round in a circle, so nothing was changed.',
  only: 'A route keeps at least one step.',
  inBranch: (name: string): string => `${name} (in a branch)`,
  nth: (nth: number, name: string): string => `${nth}. ${name}`,
} as const;

export const STEP_PANEL_TEXT = {
  title: 'Step in hand',
  up: 'Move up',
  down: 'Move down',
  moveTo: 'Move it to …',
  toStart: 'the start',
  behind: (step: string): string => `after ${step}`,
  twice: 'Double it',
  take: 'Take it out',
  takeWith: (branches: number): string =>
    branches === 1 ? 'Take it out, with its branch' : `Take it out, with its ${branches} branches`,
  called: 'What it’s called',
  required: 'has to be',
  usual: 'usually',
  habit: 'a habit',
  cues: 'More cues',
  weight: (cue: string): string => `How much hangs on “${cue}”`,
  addCue: 'one more cue',
  checks: 'Check where it begins',
  addCheck: 'elbow inside, hips low …',
  out: (text: string): string => `Take out: ${text}`,
  mistake: 'Usual mistake',
  mistakeHint: 'what goes wrong most',
  question: 'Ask the room',
  questionHint: 'a question before it’s shown',
  note: 'For the teacher only',
  noteHint: 'nobody else sees this',
  otherClips: 'Other clips',
  roles: { second: 'second best', slow: 'slow', failure: 'the failure to show', 'without cloth': 'without cloth' },
  noClip: 'none',
  mirror: 'Mirrored',
} as const;

export const DRILL_TEXT = {
  title: 'Drill',
  add: 'Add a drill',
  remove: 'Take the drill out',
  form: 'How',
  forms: {
    'first half': 'first half, let go',
    whole: 'all of it',
    called: 'the coach calls what they do',
    'one of two': 'one of two',
    'reach and let go': 'reach and let go',
    live: 'live from there',
  },
  held: 'Held to reach and let go by the academy’s policy: take the place, add nothing, let go.',
  resistance: 'Resistance',
  resistances: { none: 'none', light: 'light', 'timed right': 'timed right', full: 'full' },
  sides: 'Sides',
  both: 'both',
  one: 'one',
  kinds: 'Ways',
  seconds: 'Seconds a turn',
  reps: 'Or repetitions',
  byReps: (seconds: number): string => `${seconds} s a turn, by the clip’s length`,
  change: 'To change',
  people: 'People',
  groups: (pairs: number, threes: number, alone: number): string => {
    if (alone) return 'One alone has nobody to work with.';
    const all = [
      ...(pairs ? [pairs === 1 ? 'one pair' : `${pairs} pairs`] : []),
      ...(threes ? ['a group of three'] : []),
    ];
    return all.length ? all.join(' and ') : 'nobody';
  },
  pairs: (n: number): string => (n === 1 ? 'The pair' : 'Each pair'),
  three: (kinds: number, all: number): string =>
    kinds < all ? `The group of three, which does ${kinds} of the ${all} ways` : 'The group of three',
  columns: ['at', 'way', 'side', 'who'],
  side: (side: 1 | 2): string => (side === 1 ? 'first' : 'other'),
  works: (who: string, on: string): string => `${who} on ${on}`,
  each: (seconds: number, rest: number): string => `${seconds} s each${rest ? `, ${rest} s rest at the end` : ''}`,
} as const;

export const STEP_TIME_TEXT = {
  minutes: 'Minutes',
  made: (showing: string, explaining: string, drill: string): string =>
    `showing ${showing}, explaining ${explaining}, drill ${drill}`,
  byHand: 'set by hand',
  workedOut: (clock: string): string => `Back to what’s worked out: ${clock}`,
  whole: (clock: string): string => `${clock} min`,
} as const;

export const FOR_WHOM_TEXT = {
  for: 'For',
  level: 'Level',
  anyLevel: 'any level (as first weeks)',
  age: 'Age',
  anyAge: 'any age (as children)',
  /** What the policy makes of a step. */ forms: {
    'not at all': 'not taught to them: the academy’s policy',
    'reach and let go': 'reach and let go: take the place, add nothing, let go',
    light: 'light',
    full: '',
  },
} as const;
