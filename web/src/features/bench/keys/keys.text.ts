/** A key in the hint line; `press` is what it is called in the table of keys, where it can also be pressed with the pointer. */
export type Hint = {
  readonly keys: string;
  readonly does: string;
  readonly press?: string;
  /** Told only while a clip is in hand, or only while none is: the line has no room for all. */
  readonly when?: 'clip' | 'no clip' | 'fresh clip' | 'told clip';
};

type When = NonNullable<Hint['when']>;
/** Which of the hints are told of now. */
export const hintsWhen =
  (now: Exclude<When, 'clip'>) =>
  ({ when }: Hint): boolean =>
    !when || when === now || (when === 'clip' && now !== 'no clip');

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
  { keys: 'Y', does: 'why', press: 'y', when: 'told clip' },
  { keys: 'Q', does: 'beside another try', press: 'q', when: 'told clip' },
  { keys: 'A', does: 'again', press: 'a', when: 'fresh clip' },
  { keys: 'F', does: 'again, failed', press: 'f', when: 'fresh clip' },
  { keys: 'Y', does: 'again, other side', press: 'y', when: 'fresh clip' },
  { keys: 'Q', does: 'same grips', press: 'q', when: 'fresh clip' },
  { keys: '=', does: 'what follows is right', press: '=', when: 'told clip' },
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
  { press: "'", does: 'until when the mistake could be mended' },
  { press: 'e', does: 'next instant' },
  { press: 'h', does: 'body board' },
  { press: 'u', does: 'a detail: where it begins, where it ends' },
  { press: 'w', does: 'next detail' },
  { press: 'z', does: 'turn over, left for right' },
  { press: 'a', does: 'the same again' },
  { press: 'f', does: 'again, failed' },
  { press: 'y', does: 'again, other side; of a told clip: why it went so' },
  { press: 'q', does: 'same grips; of a told clip: beside another try' },
  { press: '=', does: 'what follows is right' },
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
  { press: '>', does: 'lead others, or stop' },
  { press: '<', does: 'keep this instant, and back to it' },
  { press: '%', does: 'how well the clip shows it from here' },
  { press: '_', does: 'mark a small picture as a camera' },
  { press: '@', does: 'a name for this instant' },
  { press: '$', does: 'play the whole run' },
  { press: '&', does: 'it counters what they did just before' },
  { press: '#', does: 'draw on the picture' },
  { press: '!', does: 'put this frame on the to-do list' },
  { press: '*', does: 'drawings on or off' },
];

/** A key as it stands on its cap. */
export const capText = (key: string): string => (key === '-' ? '−' : key.length === 1 ? key.toUpperCase() : key);

export const KEYS_TEXT = {
  title: 'Keys',
  all: 'all keys',
  sheet: 'All keys (you can change them)',
  back: 'Back to the clips',
  change: 'change',
  press: 'press a key',
  reset: 'as they were',
  taken: (key: string, does: string): string => `${key} is taken by “${does}”. Change that one first.`,
  notFree: 'You can use letters, digits and signs; the rest belong to the browser and to moving around.',
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
  { keys: 'ctrl enter', does: 'keep it, what follows is right' },
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

/** Keys that work while the details of an attempt stand one below the other. */
export const REASONS_KEYS: readonly Hint[] = [
  { keys: '↑ ↓', does: 'detail' },
  { keys: 'E', does: 'enables', press: 'e' },
  { keys: 'V', does: 'prevents', press: 'v' },
  { keys: 'F', does: 'forces', press: 'f' },
  { keys: 'X', does: 'exposes', press: 'x' },
  { keys: 'D', does: 'delays', press: 'd' },
  { keys: 'enter', does: 'that one', press: 'Enter' },
  { keys: 'esc', does: 'let it be, back', press: 'Escape' },
];

/** Keys that work while it is asked how well the clip shows it. */
export const VIEW_KEYS: readonly Hint[] = [
  { keys: '1 … 8', does: 'from this frame on' },
  { keys: '0', does: 'ends here', press: '0' },
  { keys: '←', does: '', press: 'ArrowLeft' },
  { keys: '→', does: 'one frame', press: 'ArrowRight' },
  { keys: 'esc', does: 'leave it', press: 'Escape' },
];

/** Keys that work while somebody draws on the picture. */
export const DRAW_KEYS: readonly Hint[] = [
  { keys: '← ↑ → ↓', does: 'cross' },
  { keys: 'enter', does: 'point', press: 'Enter' },
  { keys: 'backspace', does: 'point back', press: 'Backspace' },
  { keys: 'W', does: 'whose', press: 'w' },
  { keys: 'E', does: 'next shape', press: 'e' },
  { keys: 'Del', does: 'remove', press: 'Delete' },
  { keys: 'I', does: '', press: 'i' },
  { keys: 'O', does: 'from, to here', press: 'o' },
  { keys: ',', does: '', press: ',' },
  { keys: '.', does: 'one frame', press: '.' },
  { keys: 'H', does: 'hold', press: 'h' },
  { keys: 'P', does: 'pointer', press: 'p' },
  { keys: 'Z', does: 'turn over', press: 'z' },
  { keys: 'esc', does: 'back', press: 'Escape' },
];

/** Keys that work while a small picture in the picture is marked. */
export const INSET_KEYS: readonly Hint[] = [
  { keys: '← ↑ → ↓', does: 'move it', press: 'ArrowLeft' },
  { keys: 'shift ← ↑ → ↓', does: 'size it', press: 'shift+ArrowLeft' },
  { keys: 'enter', does: 'make it a camera', press: 'Enter' },
  { keys: 'esc', does: 'leave it', press: 'Escape' },
];

/** Keys that work while the clip in hand lies beside another one. */
export const TRIES_KEYS: readonly Hint[] = [
  { keys: '↑', does: '', press: 'ArrowUp' },
  { keys: '↓', does: 'clip', press: 'ArrowDown' },
  { keys: 'space', does: 'play', press: ' ' },
  { keys: 'esc', does: 'back to the list', press: 'Escape' },
];

/** Keys that work while a mark is in hand and the picture has the hand. */
export const MARK_KEYS: readonly Hint[] = [
  { keys: 'J', does: 'next mark', press: 'j' },
  { keys: 'P', does: 'say what it is', press: 'p' },
  { keys: 'home', does: 'to the mark', press: 'Home' },
  { keys: 'B', does: 'a beat back', press: 'b' },
  { keys: 'V', does: 'once more, slower', press: 'v' },
  { keys: ',', does: '', press: ',' },
  { keys: '.', does: 'move it a frame', press: '.' },
  { keys: 'O', does: 'it ends here', press: 'o' },
  { keys: '−', does: '', press: '-' },
  { keys: '+', does: 'loop', press: '+' },
  { keys: 'Del', does: 'take it off', press: 'Delete' },
  { keys: 'esc', does: 'leave it', press: 'Escape' },
];

/** Keys that work while something is asked in a line of its own. */
export const ASK_KEYS: readonly Hint[] = [
  { keys: 'enter', does: 'take it' },
  { keys: 'esc', does: 'back to the picture' },
];

/** Keys that work while an edge of a clip is dragged. */
export const EDGE_KEYS: readonly Hint[] = [
  { keys: 'let go', does: 'keeps it there' },
  { keys: 'esc', does: 'leaves it where it was', press: 'Escape' },
];

/** Keys that work while a stretch is in hand. */
export const stretchHints = (kinds: number): readonly Hint[] => [
  { keys: `1 … ${kinds}`, does: 'say what it is' },
  { keys: 'Del', does: 'take it off', press: 'Delete' },
  { keys: 'esc', does: 'back to the picture', press: 'Escape' },
];

export const KEY_HINTS_TEXT = {
  keys: 'Keys',
} as const;
