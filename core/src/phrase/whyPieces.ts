import type { AttemptAim, EvidenceHow, FactUse } from '../attempts/index.js';
import { tokens, type Words } from '../vocabulary/index.js';
import type { Line } from './line.js';
import type { Piece } from './piece.js';
import { ARTICLES } from './sayings.js';
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

/** How the part before is known, in a clause of its own, or at the end of one; each is all that is said. */
const HOW: ReadonlyMap<string, EvidenceHow> = new Map([
  ...['felt', 'felt it', 'heard', 'heard it', 'felt or heard'].map((said) => [said, 'felt'] as const),
  ...['not seen', 'unseen', 'hidden', 'out of sight', 'couldn see it', 'can not see it'].map(
    (said) => [said, 'hidden'] as const,
  ),
  ...['partly hidden', 'partly seen', 'half seen', 'half hidden'].map((said) => [said, 'partly'] as const),
  ...['concluded', 'must have been'].map((said) => [said, 'concluded'] as const),
  ...['told me', 'they told me', 'they said so', 'told by somebody'].map((said) => [said, 'told'] as const),
]);
const knownAt = (line: Line, at: number): readonly Piece[] => {
  const to = clauseEnd(line, at);
  const how = HOW.get(textOf(line, at, to).join(' '));
  const isAlone = line.at(at)!.opens || how === 'hidden' || how === 'partly';
  return how && isAlone
    ? [{ said: { is: 'known', how }, from: at, to, gain: to - at + WHOLE, quality: 1, isWritten: true }]
    : [];
};

/** How it is said what something was for. */
const AIMED: readonly (readonly string[])[] = [
  ['wanted'],
  ['aimed', 'at'],
  ['aiming', 'at'],
  ['aiming', 'for'],
  ['really', 'wanted'],
];
const TOOK = new Set(['took', 'takes', 'take', 'got']);
/** What is taken or wanted, told by one word for what is mostly meant by it: asked about before it is kept. */
const SHORT: ReadonlyMap<string, string> = new Map([
  ['arm', 'armlock'],
  ['collar', 'collar-choke'],
  ['neck', 'rear-choke'],
  ['foot', 'ankle-lock'],
  ['ankle', 'ankle-lock'],
  ['leg', 'leg-lock'],
]);
/** The token behind words that begin there, articles passed over; undefined where they don't stand there. */
const behind = (line: Line, at: number, words: readonly string[]): number | undefined => {
  if (words.some((word, i) => line.at(at + i)?.text !== word)) return undefined;
  let to = at + words.length;
  while (line.at(to) && ARTICLES.has(line.at(to)!.text)) to++;
  return to;
};
const aimOf = ({ named: { kind, key } }: Span, words: Words): AttemptAim | undefined => {
  if (kind === 'submission') return { kind: 'submission', submission: key };
  if (kind === 'position') {
    const role = words.position(key)?.roles[0];
    return role && { kind: 'state', position: key, role };
  }
  return kind === 'action' ? aimOfAction(key, words) : undefined;
};
const aimOfAction = (action: string, words: Words): AttemptAim | undefined => {
  const aims = words.action(action)?.aims ?? [];
  const [aim] = aims;
  if (aims.length !== 1 || !aim || 'family' in aim) return undefined;
  return 'submission' in aim
    ? { kind: 'submission', submission: aim.submission }
    : { kind: 'state', position: aim.position, role: aim.role };
};
/** What it was for: *wanted the collar choke*, *aimed at mount*; in short, *wanted the collar, took the arm*. */
const aimAt = (line: Line, at: number, spansAt: (at: number) => readonly Span[], words: Words): readonly Piece[] => {
  if (!line.at(at)!.opens) return [];
  const end = clauseEnd(line, at);
  for (const said of AIMED) {
    const from = behind(line, at, said);
    if (from === undefined || from >= end) continue;
    const whole = spansAt(from).filter((s) => s.to === end && s.quality >= LEAST_FIT);
    const found = whole.flatMap((s) => aimOf(s, words) ?? []);
    const short = end === from + 1 ? SHORT.get(line.at(from)!.text) : undefined;
    const aim = found[0] ?? (short && aimOfAction(short, words));
    const isShort = found.length === 0;
    if (aim)
      return [
        { said: { is: 'aim', aim }, from: at, to: end, gain: end - at + WHOLE, quality: 1, isWritten: true, isShort },
      ];
  }
  return [];
};
/** What was done, in short, behind what was wanted. */
const tookAt = (line: Line, at: number, words: Words): readonly Piece[] => {
  const isBehindAim = line.at(at)!.opens && Array.from({ length: at }, (_, i) => line.at(i)!.text).includes('wanted');
  const from = isBehindAim && TOOK.has(line.at(at)!.text) ? behind(line, at, [line.at(at)!.text]) : undefined;
  const key = from === undefined || clauseEnd(line, at) !== from + 1 ? undefined : SHORT.get(line.at(from)!.text);
  return key !== undefined && words.action(key)
    ? [
        {
          said: { is: 'action', key },
          from: at,
          to: from! + 1,
          gain: from! + 1 - at + WHOLE,
          quality: 1,
          isWritten: true,
          isShort: true,
        },
      ]
    : [];
};

/** What is told of why it went as it went, where it begins. */
export const whyPieces = (
  line: Line,
  at: number,
  spansAt: (at: number) => readonly Span[],
  words: Words,
): readonly Piece[] => [
  ...factAt(line, at, words),
  ...otherWayAt(line, at, spansAt),
  ...knownAt(line, at),
  ...aimAt(line, at, spansAt, words),
  ...tookAt(line, at, words),
];
