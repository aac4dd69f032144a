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
  unanswered: 'If you don’t answer, it goes to Doubts, and into the note as you typed it.',
  nth: (nth: number): string => ['first', 'then', 'after that', 'and then'][nth] ?? 'then',
  chain: (n: number): string => `That’s ${n} tries in a row: each becomes a clip of its own, linked.`,
  stays: (what: readonly string[]): string => `stays as it is: ${what.join('; ')}`,
  called: (typed: string): string => `What do you call “${typed}”?`,
  calledChoose: 'choose, or type to find it',
  forMe: 'just for me, not the whole academy',
  learned: (typed: string, name: string): string => `“${typed}” means ${name} from now on.`,
  alsoIn: (n: number): string =>
    n === 1 ? 'One earlier note says it too.' : `${n} earlier notes and doubts say it too.`,
  look: 'See them',
  sighting: 'a sighting until you say an entry: they’re there, and nobody acts',
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
  said: (what: readonly string[]): string => `Not said, but it follows: ${what.join('; ')}.`,
  confirm: 'That’s right ({=})',
} as const;

/** What does not go together; told, never changed. */
export const ODD_TEXT = {
  lead: 'Doesn’t add up:',
  twoPlaces: (name: string, side: string, limb: string): string =>
    `the ${side} ${limb} of ${name} is in two places at once`,
  tooMany: (name: string, limb: string, count: number): string =>
    `${name} holds with ${count} ${limb === 'foot' ? 'feet' : 'hands'}`,
  noGi: (target: string): string => `${target} is cloth, and nobody’s in a gi`,
  notHeld: (position: string, target: string, both: boolean): string =>
    `${position} needs ${both ? 'both hands on a' : 'a hand on the'} ${target}, and that’s not among the grips`,
  leadSide: (position: string, before: string, now: string): string =>
    `${position} had the ${before} side just before, and has the ${now} one now`,
  side: (before: string, now: string): string => `just before it was “${before}”, now it is “${now}”`,
  result: (follows: string): string => `ending there usually counts as “${follows}”`,
} as const;

export const INSTANT_TEXT = {
  label: 'Instants of this clip',
  goTo: 'Go to',
  notSaid: 'not marked',
  outside: (name: string): string => `The clip doesn’t reach this frame, so ${name} stays where it was.`,
  order: 'Start, commit and end have to come in that order, so nothing changed.',
  loopFrom: (code: string): string => `a loop from ${code}: {u} where it ends`,
  loop: (nth: number, speed: number): string =>
    `loop ${nth}${speed === 1 ? '' : `, ${{ 0.5: 'half', 0.25: 'quarter' }[speed] ?? `${speed} ×`} speed`}`,
  removeLoop: (nth: number): string => `Take loop ${nth} off`,
} as const;

export const BOARD_TEXT = {
  label: 'Body board',
  on: (hands: number, feet: number): string => `hands ${hands} of 2, feet ${feet} of 2`,
  holds: (limb: string, name: string): string => `${name}, ${limb}: what does it hold? Esc cancels.`,
  empty: 'Pick a limb, then what it holds. Typing takes you to a button.',
  depth: 'how deep',
  thumb: 'thumb',
  thumbIs: (thumb: string): string => `thumb ${thumb}`,
  won: 'a win in itself',
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
  needsSeen: 'Say where each clip is seen from; until then, left and right are the athlete’s own.',
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
  nothing: 'It follows nothing that’s logged.',
  isCut: 'Cut by hand from what came before.',
  follows: {
    touching: (code) => `Right after the one at ${code}.`,
    gap: (code) => `After the one at ${code}, with a gap.`,
    counter: (code) => `A counter to the one at ${code}.`,
    restart: (code) => `After the restart of the one at ${code}.`,
    set: (code) => `Set by hand after the one at ${code}.`,
    seam: (code) =>
      `The one at ${code} ended in a different position: something in between wasn’t logged, or one of them is wrong.`,
  } satisfies Record<string, (code: string) => string>,
  answers: (action: string, from: string, reaction: string): string =>
    `It answers “${reaction}” against ${action} from ${from}`,
  answersAction: (action: string): string => `It answers their ${action}`,
  cut: 'cut',
  set: (code: string): string => `it follows the one at ${code}`,
  asFound: 'as found',
  seamHere: 'These don’t fit together',
  gapHere: 'A gap: linked, with something in between',
  setHere: 'Linked by hand',
} as const;

export const DOUBT_TEXT = {
  said: ({ kind, text }: { readonly kind: 'unsure' | 'unknown'; readonly text: string }): string =>
    kind === 'unknown' ? `“${text}”?` : 'unsure',
  settle: 'Keep it as it is',
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
  looksLike: (code: string): string => `This may be the same try as the one at ${code}.`,
  itIs: 'Same try, another look',
} as const;

export const MARK_TEXT = {
  waiting: (n: number): string =>
    n === 0 ? 'No marks waiting. {d} drops one while it plays.' : n === 1 ? '1 mark waiting.' : `${n} marks waiting.`,
  next: 'Go to the next',
  putBack: 'Marks are moved back by',
  learned: (n: number | null): string =>
    n === null ? 'as set' : n === 0 ? 'the usual' : n === 1 ? 'learned from 1' : `learned from ${n}`,
  less: 'Move marks back less',
  more: 'Move marks back more',
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
  empty: 'No clips yet. Stop where something starts and press {i}, then {o} where it ends.',
  watchHint: 'Pick a clip to watch it on a loop.',
  thisClip: 'this clip',
  noFootage: 'Nothing to break down yet. Add some footage first.',
  toShelf: 'Go to footage',
  notThere: 'This footage isn’t here. It may be in the bin.',
  loading: 'Reading the frames …',
  broken: 'The picture can’t be read. The footage is safe; reload the page.',
  sayHint: 'No clip in hand. {i} marks in, {o} marks out; then say what it is here.',
  goTo: 'Go to',
  goToHint: '1:48 left, 0:12:03, or #312 for a frame',
  goToRefusal: 'There’s no such moment in this footage. You can go to a clock time once one has been entered with {t}.',
  clock: 'The clock shows',
  clockHint: '4:12, and the first time: stopped, up or down, of 5:00, period 2',
  clockRefusal: 'There’s no time in that. Minutes and seconds are enough: 4:12.',
  clockRead: 'Clock read at',
  clockUnread: 'No clock yet: press {t} to enter what it shows.',
  scoreboard: 'Ask the scoreboard',
  noScoreboard: 'The scoreboard has no times for this footage.',
  stopped: ' stopped',
  forgetReading: (text: string): string => `Forget the reading ${text}`,
  camera: 'Camera',
  isFirst: 'This camera sets the time; the others are lined up with it.',
  starts: 'Starts',
  before: 'before',
  after: 'after',
  runs: (ppm: number, isSlow: boolean): string =>
    `Its clock runs ${ppm} parts in a million ${isSlow ? 'slow' : 'fast'}.`,
  replaySpeed: (rate: number): string => `It goes by at ${Math.round(rate * 100)} % of the speed.`,
  listen: 'Find it from the sound',
  earlier: 'A frame earlier',
  later: 'A frame later',
  takeOff: 'Remove this camera',
  uncut: 'This attempt isn’t cut from this camera yet. {k} cuts the same stretch here.',
  outside: 'This camera wasn’t filming then.',
  inMarked: (code: string): string =>
    `In at ${code}. Press {o} where the clip ends, or {x} where a stretch ends that isn’t technique.`,
  span: 'Stretch',
  spanIs: 'is',
  spanWhat: 'is what?',
  spanCalm: 'moves little. Is it',
  spanForget: 'Take it off',
  spanPass: (more: number): string => (more > 1 ? `Technique; next of ${more}` : 'It’s technique'),
  leave: 'Leave it',
  noSpan: 'No stretch here. Mark where it begins with {i}, go to its end, and press {x}.',
  whichFootage: 'Which',
  newFootage: 'footage that isn’t here yet',
  technical: 'Technique',
  of: 'of',
  lulls: 'Look for lulls',
  lullsHide: 'Hide the lulls',
  inLulls: { played: 'Lulls are played', fast: 'Lulls run fast', skipped: 'Lulls are skipped' },
  noLulls: 'No unlogged lull of three seconds or more.',
  remember: 'Remember this instant',
  itIsHere: 'It’s this frame',
  remembered: 'Find the remembered instant on this camera, then press {m}.',
  paired: (n: number): string =>
    n === 1
      ? 'Lined up by one instant. A second one, far from it, also tells how fast it goes by.'
      : `Lined up by ${n} instants.`,
  contrary: 'These moments would need a speed no replay has. Start again with one of them.',
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
