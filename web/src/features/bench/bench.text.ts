import type { FootageSpan, ProposedPart } from '@odograph/core';

/** A key in braces stands for the key that does now what that one does at first (`Caps`). */
export const LINE_TEXT = {
  label: 'The whole attempt in one line',
  placeholder: 'half top, far underhook, knee slice, they frame then hip out, side control, ok',
  understood: 'Understood so far',
  example: 'Position, grips, entry, what they do, where it ends, how it went: in any order, shortened, as you call it.',
  from: (place: string): string => `from ${place}`,
  endsIn: (place: string): string => `ends in ${place}`,
  proposed: (what: string): string => `and so, unless you say otherwise: ${what}`,
  notUnderstood: (texts: readonly string[]): string =>
    `not understood, kept as a note: ${texts.map((t) => `“${t}”`).join(', ')}`,
  teach: 'F2: say what it is',
  note: (texts: readonly string[]): string => `note: ${texts.map((t) => `“${t}”`).join(', ')}`,
  answer: (others: readonly string[]): string => (others.length ? `? ↓ yes, ↓↓ or ${others.join(', or ')}` : '? ↓ yes'),
  unanswered: 'Not answered, it goes to Doubts and into the note as you typed it.',
  nth: (nth: number): string => ['first', 'then', 'after that', 'and then'][nth] ?? 'then',
  chain: (n: number): string => `This tells ${n} tries, one after the other: each becomes a clip of its own, linked.`,
  stays: (what: readonly string[]): string => `stays as it is: ${what.join('; ')}`,
  called: (typed: string): string => `What do you call “${typed}”?`,
  calledChoose: 'choose, or type to find it',
  forMe: 'for me alone, not for the whole academy',
  learned: (typed: string, name: string): string => `“${typed}” is ${name} from now on.`,
  alsoIn: (n: number): string =>
    n === 1 ? 'One note from before says it too.' : `${n} notes and doubts from before say it too.`,
  look: 'See them',
  sighting: 'a sighting, as long as no entry is said: they are there, and nobody acts',
  loop: (s: number): string => `loop of ${s} s, {-} and {+} change it`,
  or: (others: readonly string[]): string => `(↓ or ${others.join(', or ')})`,
} as const;

/** From what a part is concluded that nobody said. */
const FOLLOWS_FROM = {
  subject: 'the other one was named',
  state: 'where things were left',
  stateRole: 'the side by what is done',
  action: 'it leads from the one place to the other',
  finish: 'it’s what is aimed at',
  finishRole: 'the side by who was on top',
  result: 'by where it ended',
} as const satisfies Record<ProposedPart, string>;
/** What stands though nobody said it. */
export const PROPOSED_TEXT = {
  /** A part that follows, with from what. */
  follows: (what: string, from: ProposedPart): string => `${what} (${FOLLOWS_FROM[from]})`,
  said: (what: readonly string[]): string => `Nobody said it, it follows: ${what.join('; ')}.`,
  confirm: 'That’s right ({=})',
} as const;

/** What does not go together; told, never changed. */
export const ODD_TEXT = {
  lead: 'Does not go together:',
  twoPlaces: (name: string, side: string, limb: string): string =>
    `the ${side} ${limb} of ${name} is in two places at once`,
  tooMany: (name: string, limb: string, count: number): string =>
    `${name} holds with ${count} ${limb === 'foot' ? 'feet' : 'hands'}`,
  noGi: (target: string): string => `${target} is cloth, and nobody wears a gi`,
  notHeld: (position: string, target: string, both: boolean): string =>
    `${position} is made by ${both ? 'both hands on a' : 'a hand on the'} ${target}, which is not among the grips`,
  leadSide: (position: string, before: string, now: string): string =>
    `${position} was told with the ${before} side just before, and now with the ${now} one`,
  side: (before: string, now: string): string => `just before it was “${before}”, now it is “${now}”`,
  result: (follows: string): string => `by where it ended it would be “${follows}”`,
} as const;

export const INSTANT_TEXT = {
  label: 'Instants of this clip',
  goTo: 'Go to',
  notSaid: 'not marked',
  outside: (name: string): string => `The clip does not reach this frame; ${name} stays as it was.`,
  order: 'Start, commit and end come in this order; it stays as it was.',
  loopFrom: (code: string): string => `a loop from ${code}: {u} where it ends`,
  loop: (nth: number, speed: number): string =>
    `loop ${nth}${speed === 1 ? '' : `, ${{ 0.5: 'half', 0.25: 'quarter' }[speed] ?? `${speed} ×`} speed`}`,
  removeLoop: (nth: number): string => `Take loop ${nth} off`,
} as const;

export const BOARD_TEXT = {
  label: 'Body board',
  on: (hands: number, feet: number): string => `hands ${hands} of 2, feet ${feet} of 2`,
  holds: (limb: string, name: string): string => `${name}, ${limb}: on what? Esc leaves.`,
  empty: 'Name a limb, then what it holds. Letters go to the buttons.',
  kind: (kind: string): string => `kind: ${kind}`,
  depth: 'how deep',
  thumb: 'thumb',
  thumbIs: (thumb: string): string => `thumb ${thumb}`,
  won: 'gain in itself',
  taken: (code: string | null): string => (code === null ? 'taken here' : `taken at ${code}`),
  lost: (code: string | null): string => (code === null ? 'lost here' : `lost at ${code}`),
  hand: 'to the other hand here',
  remove: 'off',
} as const;

export const SIDES_TEXT = {
  label: 'Sides',
  summary: 'How sides are told, captions',
  tellings: { own: 'own', your: 'your, their', viewer: 'in the picture', landmark: 'by what stands there' },
  atLeft: 'at the left',
  atRight: 'at the right',
  landmarkHint: 'table',
  needsSeen: 'It needs to be said of a clip from where it is seen; where it is not, sides are each one’s own.',
  seen: { front: 'the front', back: 'the back' },
} as const;

export const OVERLAY_TEXT = {
  over: (kind: string): string => `{0} ${kind}`,
  next: (kind: string): string => `Behind the line: ${kind}. Something else`,
  captions: 'Captions',
  none: 'none',
  count: (n: number): string => (n === 1 ? '1 caption' : `${n.toLocaleString()} captions`),
  give: 'From a file',
} as const;

export const CHAIN_TEXT = {
  nothing: 'It follows nothing that is told.',
  isCut: 'Cut by hand from what came before.',
  follows: {
    touching: (code) => `Right after the one at ${code}.`,
    gap: (code) => `After the one at ${code}, with a gap.`,
    counter: (code) => `A counter to the one at ${code}.`,
    restart: (code) => `After the restart of the one at ${code}.`,
    set: (code) => `Set by hand after the one at ${code}.`,
    seam: (code) =>
      `The one at ${code} left things elsewhere: something between them is not told, or one of the two is not right.`,
  } satisfies Record<string, (code: string) => string>,
  answers: (action: string, from: string, reaction: string): string =>
    `It answers “${reaction}” against ${action} from ${from}`,
  answersAction: (action: string): string => `It answers their ${action}`,
  cut: 'cut',
  set: (code: string): string => `it follows the one at ${code}`,
  asFound: 'as it is found',
  seamHere: 'These do not fit together',
  gapHere: 'A gap: linked, with something between',
  setHere: 'Linked by hand',
} as const;

export const DOUBT_TEXT = {
  said: ({ kind, text }: { readonly kind: 'unsure' | 'unknown'; readonly text: string }): string =>
    kind === 'unknown' ? `“${text}”?` : 'unsure',
  settle: 'It stands as it is said',
} as const;

export const ERROR_TEXT = {
  choice: (by: 'subject' | 'opponent', what: string, cause: string): string =>
    `${by === 'opponent' ? 'theirs' : 'own'}: ${what}, ${cause}`,
  some: 'something',
} as const;

export const TAIL_TEXT = {
  near: 'near finish',
  elsewhere: ' (starts elsewhere)',
  mainly: ' (mainly)',
  lead: (isOwn: boolean, limb: string): string => `${isOwn ? 'own' : 'their'} ${limb}:`,
} as const;

export const SAME_TEXT = {
  looksLike: (code: string): string => `It may be the same try as at ${code}.`,
  itIs: 'It is another look at it',
} as const;

export const MARK_TEXT = {
  waiting: (n: number): string =>
    n === 0 ? 'No marks wait. {d} drops one while it plays.' : n === 1 ? '1 mark waits.' : `${n} marks wait.`,
  next: 'Go to the next',
  putBack: 'Marks are put back by',
  learned: (n: number | null): string =>
    n === null ? 'as set' : n === 0 ? 'the usual' : n === 1 ? 'learned from 1' : `learned from ${n}`,
  less: 'Put marks back less',
  more: 'Put marks back more',
  asLearned: 'as learned',
  at: (code: string, at: number, of: number): string => `Mark ${at} of ${of}, ${code}`,
  sighting: (code: string): string => `Sighting, ${code}`,
  name: (code: string): string => `Mark at ${code}`,
  sighted: (place: string, code: string): string => `Seen at ${code}: ${place}`,
} as const;

/** What can be said of a stretch, in the order of its keys. */
export const SPAN_TEXT: Readonly<Record<FootageSpan['kind'], string>> = {
  advertising: 'advertising',
  talk: 'talk',
  'dead time': 'dead time',
  replay: 'a replay',
  'other footage': 'other footage',
  'logged throughout': 'logged throughout',
};

export const BENCH_TEXT = {
  empty: 'No clips yet. Stop where something begins and press {i}, then {o} where it ends.',
  watchHint: 'Pick a clip to watch it over and over.',
  thisClip: 'this clip',
  noFootage: 'Nothing to break down yet. Take a piece of footage in first.',
  toShelf: 'Go to the footage',
  notThere: 'This footage is not there. Perhaps it was put in the bin.',
  loading: 'Reading the frames …',
  broken: 'The picture cannot be read. The footage is kept; load the page again.',
  sayHint: 'No clip in hand. {i} marks in, {o} marks out; then say what it is here.',
  goTo: 'Go to',
  goToHint: '1:48 left, 0:12:03, or #312 for a frame',
  goToRefusal:
    'There is no such instant in this footage. A reading of the clock can be gone to once one has been noted with {t}.',
  clock: 'The clock shows',
  clockHint: '4:12, and where it is new: stopped, up or down, of 5:00, period 2',
  clockRefusal: 'No reading in it. Minutes and seconds are enough: 4:12.',
  clockRead: 'Clock read at',
  clockUnread: 'Clock not read: {t} notes what it shows.',
  scoreboard: 'Ask the scoreboard',
  noScoreboard: 'No scoreboard kept the clock of this footage.',
  stopped: ' stopped',
  forgetReading: (text: string): string => `Forget the reading ${text}`,
  camera: 'Camera',
  isFirst: 'The clock of this camera is that of the footage; the others are lined up with it.',
  starts: 'Starts',
  before: 'before',
  after: 'after',
  runs: (ppm: number, isSlow: boolean): string =>
    `Its clock runs ${ppm} parts in a million ${isSlow ? 'slow' : 'fast'}.`,
  replaySpeed: (rate: number): string => `It goes by at ${Math.round(rate * 100)} % of the speed.`,
  listen: 'Find it from the sound',
  earlier: 'A frame earlier',
  later: 'A frame later',
  takeOff: 'Take this camera off',
  uncut: 'This attempt is not cut from this camera yet. {k} cuts the same stretch here.',
  outside: 'This camera was not filming then.',
  inMarked: (code: string): string =>
    `In at ${code}. Press {o} where the clip ends, or {x} where a stretch ends that is no technique.`,
  span: 'Stretch',
  spanIs: 'is',
  spanWhat: 'is what?',
  spanCalm: 'moves little. Is it',
  spanForget: 'Take it off',
  spanPass: (more: number): string => (more > 1 ? `Technique; next of ${more}` : 'It is technique'),
  leave: 'Leave it',
  noSpan: 'No stretch here. Mark where it begins with {i}, go to its end, and press {x}.',
  whichFootage: 'Which',
  newFootage: 'footage that is not here yet',
  technical: 'Technique',
  of: 'of',
  lulls: 'Look for lulls',
  lullsHide: 'Hide the lulls',
  inLulls: { played: 'Lulls are played', fast: 'Lulls run fast', skipped: 'Lulls are skipped' },
  noLulls: 'No lull of three seconds or more in which nothing is said yet.',
  remember: 'Remember this instant',
  itIsHere: 'It is this frame',
  remembered: 'Find the remembered instant on this camera, then press {m}.',
  paired: (n: number): string =>
    n === 1
      ? 'Lined up by one instant. A second one, far from it, also tells how fast it goes by.'
      : `Lined up by ${n} instants.`,
  contrary: 'These instants would need a speed that no replay has. Start again with one of them.',
  count: (clips: number, drafts: number): string => {
    const all = clips === 1 ? '1 clip' : `${clips} clips`;
    return drafts === 0 ? all : `${all}, ${drafts === 1 ? '1 draft' : `${drafts} drafts`}`;
  },
  doubts: (n: number): string => (n === 1 ? '1 doubt' : `${n} doubts`),
  proposed: (n: number): string => `, ${n} with something proposed`,
  kept: (share: number): string =>
    share === 1
      ? 'The picture is in this browser: it plays without the server.'
      : `The picture comes into this browser: ${Math.floor(share * 100)} %.`,
  looping: 'in a loop',
  backwards: 'backwards',
  speed: { 0.5: 'half speed', 0.25: 'quarter speed' } as Readonly<Record<number, string>>,
  note: 'Note',
  grips: 'Grips',
  notePlaceholder: 'a cue or a note',
  missing: { state: 'position', action: 'entry', result: 'result' },
} as const;
