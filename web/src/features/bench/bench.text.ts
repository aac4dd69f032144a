/** Keys that work while the picture has the hand, and while the phrase has it. */
export const PICTURE_KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['space', 'play'],
  ['← →', 'one frame'],
  ['shift ← →', 'ten'],
  ['I', 'in'],
  ['O', 'out'],
  ['P', 'say it'],
  ['↑ ↓', 'clip before, after'],
  ['N', 'new'],
  ['L', 'loop'],
  ['S', 'slower'],
  ['Del', 'bin'],
  ['ctrl Z', 'undo'],
];

export const PHRASE_KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['type', 'names, aliases, beginnings'],
  ['enter', 'take it, go on'],
  ['tab', 'next part'],
  ['backspace', 'clear, when empty'],
  ['esc', 'back to the picture'],
];

export const BENCH_TEXT = {
  empty: 'No clips yet. Stop where something begins and press I, then O where it ends.',
  noFootage: 'Nothing to break down yet. Take a piece of footage in first.',
  toShelf: 'Go to the footage',
  notThere: 'This footage is not there. Perhaps it was put in the bin.',
  loading: 'Reading the frames …',
  broken: 'The picture cannot be read. The footage is kept; load the page again.',
  sayHint: 'No clip in hand. I marks in, O marks out; then say what it is here.',
  inMarked: (code: string): string => `In at ${code}. Press O where it ends.`,
  missing: { state: 'position', action: 'entry', result: 'result' },
} as const;
