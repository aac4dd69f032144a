import type { FootageSpan } from '@odograph/core';

/** A key in the hint line; `press` is what it is called in the table of keys, where it can also be pressed with the pointer. */
export type Hint = {
  readonly keys: string;
  readonly does: string;
  readonly press?: string;
  /** Told only while a clip is in hand, or only while none is: the line has no room for all. */
  readonly when?: 'clip' | 'no clip' | 'fresh clip' | 'told clip';
};

/** Keys that work while the picture has the hand. */
export const PICTURE_KEYS: readonly Hint[] = [
  { keys: 'space', does: 'play', press: ' ' },
  { keys: '←', does: '', press: 'ArrowLeft' },
  { keys: '→', does: 'one frame', press: 'ArrowRight' },
  { keys: 'shift ← →', does: 'ten' },
  { keys: 'I', does: 'in', press: 'i' },
  { keys: 'O', does: 'out', press: 'o' },
  { keys: 'P', does: 'say it', press: 'p', when: 'clip' },
  { keys: '/', does: 'in one line', press: '/', when: 'clip' },
  { keys: 'D', does: 'mark', press: 'd', when: 'no clip' },
  { keys: 'J', does: 'next mark', press: 'j', when: 'no clip' },
  { keys: '↑', does: '', press: 'ArrowUp' },
  { keys: '↓', does: 'clip', press: 'ArrowDown' },
  { keys: 'N', does: 'new', press: 'n', when: 'clip' },
  { keys: 'L', does: 'loop', press: 'l', when: 'clip' },
  { keys: 'S', does: 'slower', press: 's' },
  { keys: '1 … 8', does: 'instants', press: '1', when: 'told clip' },
  { keys: '9', does: 'link', press: '9', when: 'told clip' },
  { keys: 'E', does: 'next instant', press: 'e', when: 'told clip' },
  { keys: 'H', does: 'holds', press: 'h', when: 'told clip' },
  { keys: 'U', does: 'detail', press: 'u', when: 'told clip' },
  { keys: 'W', does: 'next detail', press: 'w', when: 'told clip' },
  { keys: 'A', does: 'again', press: 'a', when: 'fresh clip' },
  { keys: 'F', does: 'again, failed', press: 'f', when: 'fresh clip' },
  { keys: 'Y', does: 'again, other side', press: 'y', when: 'fresh clip' },
  { keys: 'Q', does: 'same grips', press: 'q', when: 'fresh clip' },
  { keys: 'R', does: 'backwards', press: 'r', when: 'told clip' },
  { keys: 'R', does: 'backwards', press: 'r', when: 'no clip' },
  { keys: 'G', does: 'go to', press: 'g', when: 'told clip' },
  { keys: 'Z', does: 'turn over', press: 'z', when: 'told clip' },
  { keys: 'G', does: 'go to', press: 'g', when: 'no clip' },
  { keys: 'T', does: 'clock', press: 't', when: 'no clip' },
  { keys: 'X', does: 'stretch', press: 'x', when: 'no clip' },
  { keys: '0', does: 'behind the line', press: '0', when: 'no clip' },
  { keys: 'C', does: 'camera', press: 'c' },
  { keys: 'K', does: 'cut it here', press: 'k' },
  { keys: ',', does: '', press: ',', when: 'no clip' },
  { keys: '.', does: 'line up', press: '.', when: 'no clip' },
  { keys: 'M', does: 'same instant', press: 'm', when: 'no clip' },
  { keys: 'Del', does: 'bin', press: 'Delete', when: 'clip' },
  { keys: 'ctrl Z', does: 'undo', press: 'ctrl+z' },
  { keys: 'ctrl Y', does: 'redo', press: 'ctrl+y', when: 'told clip' },
];

/** Everything that has a key while the picture has the hand, by the key it has when nothing is changed. */
export const KEY_ACTIONS: readonly { readonly press: string; readonly does: string }[] = [
  { press: 'i', does: 'in' },
  { press: 'o', does: 'out' },
  { press: 'p', does: 'say it part by part' },
  { press: '/', does: 'say it in one line' },
  { press: 'd', does: 'drop a mark' },
  { press: 'j', does: 'next mark' },
  { press: 'b', does: 'a beat back' },
  { press: 'v', does: 'once more, slower' },
  { press: 'n', does: 'leave the clip' },
  { press: 'l', does: 'loop' },
  { press: 's', does: 'slower' },
  { press: 'r', does: 'backwards' },
  { press: 'g', does: 'go to an instant' },
  { press: '1', does: 'set-up, or the first kind of stretch' },
  { press: '2', does: 'start' },
  { press: '3', does: 'grips on' },
  { press: '4', does: 'off balance' },
  { press: '5', does: 'commit' },
  { press: '6', does: 'control' },
  { press: '7', does: 'finish' },
  { press: '8', does: 'end' },
  { press: '9', does: 'cut or set the link' },
  { press: 'e', does: 'next instant' },
  { press: 'h', does: 'body board' },
  { press: 'u', does: 'a detail: where it begins, where it ends' },
  { press: 'w', does: 'next detail' },
  { press: 'z', does: 'turn over, left for right' },
  { press: 'a', does: 'the same again' },
  { press: 'f', does: 'again, failed' },
  { press: 'y', does: 'again, other side' },
  { press: 'q', does: 'same grips' },
  { press: 't', does: 'what the clock shows' },
  { press: 'x', does: 'a stretch' },
  { press: 'c', does: 'next camera' },
  { press: 'k', does: 'cut it from this camera' },
  { press: 'm', does: 'the same instant on another camera' },
  { press: ',', does: 'earlier by a frame: mark or camera' },
  { press: '.', does: 'later by a frame: mark or camera' },
  { press: '-', does: 'shorter loop round a mark' },
  { press: '+', does: 'longer loop round a mark' },
  { press: '0', does: 'what lies behind the line' },
  { press: ';', does: 'lulls played, fast or skipped' },
];

/** A key as it stands on its cap. */
export const capText = (key: string): string => (key.length === 1 ? key.toUpperCase() : key);

export const KEYS_TEXT = {
  title: 'Keys',
  all: 'all keys',
  sheet: 'All keys, to be changed',
  back: 'Back to the clips',
  change: 'change',
  press: 'press a key',
  reset: 'as they were',
  taken: (key: string, does: string): string => `${key} is for “${does}”. Change that one first.`,
  notFree: 'Letters, digits and signs can be used; the others belong to the browser and to moving about.',
} as const;

/** Keys that work while the phrase has it. */
export const PHRASE_KEYS: readonly Hint[] = [
  { keys: 'type', does: 'names, aliases, beginnings' },
  { keys: 'enter', does: 'take it, go on' },
  { keys: ',', does: 'the rest in one line' },
  { keys: 'tab', does: 'next part' },
  { keys: 'backspace', does: 'clear, when empty' },
  { keys: '?', does: 'unsure, or no word for it' },
  { keys: 'esc', does: 'back to the picture' },
];

/** Keys that work while the whole attempt is said in one line. */
export const LINE_KEYS: readonly Hint[] = [
  { keys: 'type', does: 'in any order' },
  { keys: '↑ ↓', does: 'another reading, where one is close' },
  { keys: 'enter', does: 'keep it' },
  { keys: 'esc', does: 'part by part' },
];

/** The same, where it is said of a mark. */
export const MARK_LINE_KEYS: readonly Hint[] = [
  ...LINE_KEYS.slice(0, -1),
  { keys: 'esc', does: 'to the picture: move the mark, see it again' },
];

/** Keys that work while the body board has the hand. */
export const BOARD_KEYS: readonly Hint[] = [
  { keys: 'type', does: 'to a button: right hand, left collar' },
  { keys: 'enter', does: 'press it' },
  { keys: '←', does: '', press: 'ArrowLeft' },
  { keys: '→', does: 'one frame', press: 'ArrowRight' },
  { keys: 'esc', does: 'back to the picture' },
];

export const LINE_TEXT = {
  label: 'The whole attempt in one line',
  placeholder: 'half top, far underhook, knee slice, they frame then hip out, side control, ok',
  understood: 'Understood so far',
  example: 'Position, grips, entry, what they do, where it ends, how it went: in any order, shortened, as you call it.',
  from: (place: string): string => `from ${place}`,
  proposed: (what: string): string => `and so, unless you say otherwise: ${what}`,
  notUnderstood: (texts: readonly string[]): string =>
    `not understood, kept as a note: ${texts.map((t) => `“${t}”`).join(', ')}`,
  sighting: 'a sighting, as long as no entry is said: they are there, and nobody acts',
  loop: (s: number): string => `loop of ${s} s, − and + change it`,
  or: (others: readonly string[]): string => `(↓ or ${others.join(', or ')})`,
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
  loopFrom: (code: string): string => `a loop from ${code}: U where it ends`,
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

export const OVERLAY_TEXT = {
  over: (kind: string): string => `0 ${kind}`,
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
  lead: (isOwn: boolean, limb: string): string => `${isOwn ? 'own' : 'their'} ${limb}:`,
} as const;

export const SAME_TEXT = {
  looksLike: (code: string): string => `It may be the same try as at ${code}.`,
  itIs: 'It is another look at it',
} as const;

export const MARK_TEXT = {
  waiting: (n: number): string =>
    n === 0 ? 'No marks wait. D drops one while it plays.' : n === 1 ? '1 mark waits.' : `${n} marks wait.`,
  next: 'Go to the next',
  putBack: 'Marks are put back by',
  learned: (n: number | null): string =>
    n === null ? 'as set' : n === 0 ? 'the usual' : n === 1 ? 'learned from 1' : `learned from ${n}`,
  less: 'Put marks back less',
  more: 'Put marks back more',
  asLearned: 'as learned',
  at: (code: string, at: number, of: number): string => `Mark ${at} of ${of}, ${code}`,
  name: (code: string): string => `Mark at ${code}`,
  sighted: (place: string, code: string): string => `Seen at ${code}: ${place}`,
} as const;

/** Keys that work while a mark is in hand and the picture has the hand. */
export const MARK_KEYS: readonly Hint[] = [
  { keys: 'J', does: 'next mark', press: 'j' },
  { keys: 'P', does: 'say what it is', press: 'p' },
  { keys: 'home', does: 'to the mark', press: 'Home' },
  { keys: 'B', does: 'a beat back', press: 'b' },
  { keys: 'V', does: 'once more, slower', press: 'v' },
  { keys: ',', does: '', press: ',' },
  { keys: '.', does: 'move it a frame', press: '.' },
  { keys: '−', does: '', press: '-' },
  { keys: '+', does: 'loop', press: '+' },
  { keys: 'Del', does: 'take it off', press: 'Delete' },
  { keys: 'esc', does: 'leave it', press: 'Escape' },
];

/** Keys that work while a stretch is in hand. */
export const spanHints = (kinds: number): readonly Hint[] => [
  { keys: `1 … ${kinds}`, does: 'say what it is' },
  { keys: 'Del', does: 'take it off', press: 'Delete' },
  { keys: 'esc', does: 'back to the picture', press: 'Escape' },
];

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
  empty: 'No clips yet. Stop where something begins and press I, then O where it ends.',
  watchHint: 'Pick a clip to watch it over and over.',
  thisClip: 'this clip',
  noFootage: 'Nothing to break down yet. Take a piece of footage in first.',
  toShelf: 'Go to the footage',
  notThere: 'This footage is not there. Perhaps it was put in the bin.',
  loading: 'Reading the frames …',
  broken: 'The picture cannot be read. The footage is kept; load the page again.',
  sayHint: 'No clip in hand. I marks in, O marks out; then say what it is here.',
  goTo: 'Go to',
  goToHint: '1:48 left, 0:12:03, or #312 for a frame',
  goToRefusal:
    'There is no such instant in this footage. A reading of the clock can be gone to once one has been noted with T.',
  clock: 'The clock shows',
  clockHint: '4:12, and where it is new: stopped, up or down, of 5:00, period 2',
  clockRefusal: 'No reading in it. Minutes and seconds are enough: 4:12.',
  clockRead: 'Clock read at',
  clockUnread: 'Clock not read: T notes what it shows.',
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
  uncut: 'This attempt is not cut from this camera yet. K cuts the same stretch here.',
  outside: 'This camera was not filming then.',
  inMarked: (code: string): string =>
    `In at ${code}. Press O where the clip ends, or X where a stretch ends that is no technique.`,
  span: 'Stretch',
  spanIs: 'is',
  spanWhat: 'is what?',
  spanCalm: 'moves little. Is it',
  spanForget: 'Take it off',
  spanPass: (more: number): string => (more > 1 ? `Technique; next of ${more}` : 'It is technique'),
  leave: 'Leave it',
  noSpan: 'No stretch here. Mark where it begins with I, go to its end, and press X.',
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
  remembered: 'Find the remembered instant on this camera, then press M.',
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
