import type { FactUse } from '../attempts/index.js';
import { tokens, type Words } from '../vocabulary/index.js';
import type { Line } from './line.js';
import type { Piece } from './piece.js';
import type { Span } from './spans.js';
import { MINE, THEIRS } from './whose.js';
import { factChoices, type OtherWay } from './whyChoices.js';

type Fact = Omit<FactUse, 'id'>;

/** Whose it is said to be, in one word for each. */
const ownerOf = (token: string): string => (THEIRS.has(token) ? 'their' : MINE.has(token) ? 'my' : token);
const known = new WeakMap<Words, ReadonlyMap<string, Fact>>();
/** Facts by the words in which they are said. */
const factsBySaying = (words: Words): ReadonlyMap<string, Fact> => {
  const before = known.get(words);
  if (before) return before;
  const made = new Map<string, Fact>();
  for (const { value, texts } of factChoices(words))
    for (const text of texts) {
      const said = tokens(text).map(ownerOf).join(' ');
      if (!made.has(said)) made.set(said, value);
    }
  known.set(words, made);
  return made;
};

/** Where the clause that begins at a token ends. */
const clauseEnd = (line: Line, at: number): number => {
  let to = at + 1;
  while (line.at(to) && !line.at(to)!.opens) to++;
  return to;
};
const textOf = (line: Line, from: number, to: number): readonly string[] =>
  Array.from({ length: to - from }, (_, i) => line.at(from + i)!.text);

const OWNERS = new Set(['their', 'my', 'own', 'they']);
/** Longest fact, in words. */
const MOST_TOKENS = 9;
/** A clause that says all of a fact and nothing else is that fact. */
const WHOLE = 0.3;
/** How somebody stood: a clause of its own, word for word (*half top, hips low, knees inside*), or one behind *with*. */
const factAt = (line: Line, at: number, words: Words): readonly Piece[] => {
  const before = line.at(at - 1);
  const isBegun = line.at(at)!.opens || (before?.text === 'with' && before.opens);
  const to = isBegun ? clauseEnd(line, at) : at;
  if (to - at < 2 || to - at > MOST_TOKENS) return [];
  const said = textOf(line, at, to).map(ownerOf);
  const fact = factsBySaying(words).get(said.join(' '));
  const isBare = !said.some((token) => OWNERS.has(token));
  return fact
    ? [{ said: { is: 'fact', fact, isBare }, from: at, to, gain: to - at + WHOLE, quality: 1, isWritten: true }]
    : [];
};

const BY: ReadonlyMap<string, OtherWay['by']> = new Map([
  ...['they', 'he', 'she', 'opponent'].map((who) => [who, 'opponent'] as const),
  ...['i', 'we'].map((who) => [who, 'subject'] as const),
]);
/** May be either of the two: of what only the other side does it is that one. */
const EITHER = new Set(['he', 'she']);
const COULD = new Set(['could', 'should']);
const HAVE = new Set(['have', 've', 'of']);
/** Least fit of what could have been done. */
const LEAST_FIT = 0.8;
/** What somebody could have done: *they should have hipped out before the knee*; what stands behind it is left as words. */
const otherWayAt = (line: Line, at: number, spansAt: (at: number) => readonly Span[]): readonly Piece[] => {
  const [who, could, have] = [line.at(at)!, line.at(at + 1), line.at(at + 2)];
  const by = BY.get(who.text);
  if (!by || !could || !COULD.has(could.text) || !have || !HAVE.has(have.text) || !line.at(at + 3)) return [];
  const spans = spansAt(at + 3).filter(
    ({ named: { kind }, quality }) =>
      quality >= LEAST_FIT &&
      ((kind === 'action' && !EITHER.has(who.text)) || (kind === 'reaction' && by === 'opponent')),
  );
  const [best] = [...spans].sort(
    (a, b) =>
      b.to - a.to || b.gain - a.gain || Number(b.named.kind === 'reaction') - Number(a.named.kind === 'reaction'),
  );
  if (!best) return [];
  const way: OtherWay = { by, what: best.named.key, isAction: best.named.kind === 'action' };
  const { to, quality, isWritten } = best;
  return [{ said: { is: 'other way', way }, from: at, to, gain: to - at + WHOLE, quality, isWritten }];
};

/** What is told of why it went as it went, where it begins. */
export const whyPieces = (
  line: Line,
  at: number,
  spansAt: (at: number) => readonly Span[],
  words: Words,
): readonly Piece[] => [...factAt(line, at, words), ...otherWayAt(line, at, spansAt)];
