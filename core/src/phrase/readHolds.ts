import type { Control, Side } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { controlKey } from '../attempts/index.js';
import { holdsAt } from './holds.js';
import { Line } from './line.js';
import { asKnown } from './pieces.js';
import { controlsOf } from './said.js';
import { SMALL, sayingsOf } from './sayings.js';
import { spansAt, type Span } from './spans.js';
import { tokenise } from './tokens.js';

type Hold = Omit<Control, 'id'>;

const NO_NAMES: ReadonlySet<string> = new Set();
/** Words before a hold that say nothing of it. */
const isFiller = (text: string): boolean => SMALL.has(text) || text === 'has' || text === 'have';

/**
 * What a typed hold may mean, as the line reads it (`holds.ts`), best first: *right hand left collar*, *far underhook*, *double underhooks* (two holds).
 * Every word has to be one of it, so nothing is dropped in silence. `holder` is whoever holds where the words do not say.
 */
export const readHolds = (
  typed: string,
  words: Words,
  holder: Control['holder'] = 'subject',
): readonly (readonly Hold[])[] => {
  // what is typed is one hold: a comma parts nothing
  const tokens = tokenise(typed).map((token) => ({ ...asKnown(token, words, NO_NAMES), opens: false }));
  const line = new Line(tokens);
  const sayings = sayingsOf(words);
  const spans = tokens.map((_, at): readonly Span[] =>
    spansAt(line, at, sayings).filter((span) => span.named.kind === 'target'),
  );
  let from = 0;
  const found = [];
  for (; from < tokens.length; from++) {
    found.push(...holdsAt(line, from, (at) => spans[at] ?? [], words).filter((hold) => hold.to === tokens.length));
    if (!isFiller(tokens[from]!.text)) break;
  }
  return found
    .sort((a, b) => b.gain - a.gain)
    .map(({ hold }) => controlsOf(hold, hold.isMine ? 'opponent' : holder, words));
};

/** A hold with every side that was left open: not said first, then each. */
const withSides = (hold: Hold, isSided: boolean): readonly Hold[] => {
  const limbSides: readonly (Side | null)[] = hold.limbSide ? [hold.limbSide] : [null, 'right', 'left'];
  const open: readonly (Side | null)[] = hold.targetSide ? [hold.targetSide] : [null, 'left', 'right'];
  const targetSides = isSided && hold.reach === null ? open : [hold.targetSide];
  return limbSides.flatMap((limbSide) => targetSides.map((targetSide) => ({ ...hold, limbSide, targetSide })));
};

/**
 * What may be chosen where a hold is typed, best first, at most `limit`: what it means; then with each side that was not said. Ties keep their order.
 */
export const readControls = (typed: string, words: Words, limit = 8): readonly Hold[] => {
  const all = readHolds(typed, words).flatMap((holds) => [
    ...holds,
    ...holds.flatMap((hold) => withSides(hold, words.target(hold.target)?.sided ?? false)),
  ]);
  const seen = new Set<string>();
  return all
    .filter((hold) => {
      const key = controlKey({ ...hold, id: '' });
      return !seen.has(key) && seen.add(key);
    })
    .slice(0, limit);
};
