import type { Words } from '../vocabulary/index.js';
import { askedOn } from './askedOn.js';
import { readings, stepsOf } from './beam.js';
import { notesIn, type Stretch } from './notes.js';
import { isPlain } from './listed.js';
import { asKnown, namesIn, piecesOf } from './pieces.js';
import { StepReading } from './stepReading.js';
import { withProposals } from './proposals.js';
import type { Reading } from './readings.js';
import { tokenise, type Token } from './tokens.js';
import type { Meant, Note, NotUnderstood, PhraseContext, PhrasePart, PhraseReading } from './types.js';
import { WEIGHTS, type Weights } from './weights.js';

/** Readings this much below the best one are looked at for what else the letters may mean. */
const NEAR = 0.6;
/** Of whom and where it is, nothing. */
const NOTHING_KNOWN: PhraseContext = {};
/** What stands beyond this many characters is kept as a note. */
const LONGEST = 500;

/** The tokens that were left unread, the ones beside each other as one stretch. */
const leftOf = (
  text: string,
  { left, setAside }: Pick<Read, 'left' | 'setAside'>,
  typed: readonly Token[],
): readonly NotUnderstood[] => {
  const all: NotUnderstood[] = [];
  let before = -2;
  for (const token of left) {
    const at = typed.indexOf(token);
    const plain = isPlain(token) || setAside.has(token);
    const last = all.at(-1);
    if (last && at === before + 1 && !token.opens && last.isPlain === plain)
      all[all.length - 1] = { from: last.from, to: token.to, text: text.slice(last.from, token.to), isPlain: plain };
    else all.push({ from: token.from, to: token.to, text: text.slice(token.from, token.to), isPlain: plain });
    before = at;
  }
  return all;
};

type Read = {
  readonly parts: readonly PhrasePart[];
  readonly left: readonly Token[];
  /** Of what is left, what is known though it is no part. */ readonly setAside: ReadonlySet<Token>;
  readonly reading: Reading;
  readonly steps: readonly Reading[];
};

const readTokens = (
  typed: readonly Token[],
  notes: readonly Stretch[],
  words: Words,
  context: PhraseContext,
  weights: Weights,
): Read => {
  const [first, ...others] = readings(typed, words, context, weights);
  const near = others.filter((r) => first!.score - r.score < NEAR).map((r) => ({ r, steps: stepsOf(r) }));
  const steps = stepsOf(first!);
  const { parts, pointedTo, left, setAside } = new StepReading(typed, notes, context, {
    first: first!,
    steps,
    near,
  }).read();
  return {
    parts: askedOn(parts, pointedTo, words),
    left: [...left].sort((a, b) => a.from - b.from),
    setAside,
    reading: first!,
    steps,
  };
};

/** Parts that still say something of an attempt whose result is told. */
const AFTER_RESULT = new Set<Meant['part']>(['reason', 'depth', 'finish', 'reaction', 'clothing', 'known']);

/**
 * Where the story ends and a note begins: behind a result that closes an attempt, from the first clause on that is not understood wholly and as it is written.
 * A further attempt (*then …*) goes on. Undefined where nothing follows.
 */
const noteFrom = ({ parts, left, steps }: Read, typed: readonly Token[]): number | undefined => {
  const closing = steps.find(
    (s) => s.meant?.part === 'result' && s.before!.action !== null && s.attempt === s.before!.attempt,
  );
  if (!closing) return undefined;
  // *tapped from mount*
  const isPointedFrom = ({ meant }: PhrasePart): boolean =>
    meant.part === 'position' && steps.some((s) => s.meant === meant && s.before!.pointer === 'from');
  const isSaidNext = (attempt: number): boolean =>
    steps.find((s) => s.meant && s.attempt === attempt)?.before?.isThen === true;
  const hasEnd = (attempt: number): boolean =>
    parts.some((p) => p.attempt >= attempt && (p.meant.part === 'finish' || p.meant.part === 'result'));
  const clauses: Token[][] = [];
  for (const token of typed.slice(closing.at)) {
    const last = clauses.at(-1);
    const isWithin = parts.some((p) => p.from < token.from && token.to <= p.to);
    if ((token.opens && !isWithin) || !last) clauses.push([token]);
    else last.push(token);
  }
  for (const clause of clauses) {
    const [from, to] = [clause[0]!.from, clause.at(-1)!.to];
    const isLeft = left.some((t) => from <= t.from && t.to <= to);
    const here = parts.filter((p) => from <= p.from && p.to <= to);
    // what else there was is mostly told last, and more behind it than is read
    if (here.some((p) => p.meant.part === 'alternative')) continue;
    const goesOn = here.some((p) => p.attempt > closing.attempt && (isSaidNext(p.attempt) || hasEnd(p.attempt)));
    const isSaid =
      here.length > 0 &&
      here.every((p) => p.status === 'certain' && (goesOn || AFTER_RESULT.has(p.meant.part) || isPointedFrom(p)));
    if (isLeft || (!isSaid && !goesOn)) return from;
    if (goesOn) return undefined;
  }
  return undefined;
};

/**
 * Reads what is said in one line: an attempt, or a chain of them, in any usual order: position, grips, entry, reactions in order, finish, result, how far, why; with
 * abbreviations, aliases and slips of the key. A beam search over the ways in which stretches of the text may name something (`docs/algorithms/phrase.md`).
 * Every part says how it is known; notes are kept whole and unread; what was not understood is given back. Parts, notes and what was not understood hold every
 * word together. Ties keep the order of the words. Of a long line the first 500 characters are read.
 */
export const readPhrase = (
  text: string,
  words: Words,
  context: PhraseContext = NOTHING_KNOWN,
  weights: Weights = WEIGHTS,
): PhraseReading => {
  const names = namesIn(context);
  const cut = text.length > LONGEST ? Math.max(text.lastIndexOf(' ', LONGEST), LONGEST / 2) : text.length;
  const beyond: readonly Stretch[] = cut < text.length ? [{ from: cut, to: text.length }] : [];
  const marked = notesIn(text).filter(({ whole }) => whole.from < cut);
  const notes = (more: readonly Stretch[]): readonly Stretch[] => [...marked.map((n) => n.whole), ...beyond, ...more];
  const asTokens = (more: readonly Stretch[]): readonly Token[] =>
    tokenise(text, notes(more)).map((token) => asKnown(token, words, names));
  let typed = asTokens([]);
  let read = readTokens(typed, notes([]), words, context, weights);
  const end = noteFrom(read, typed);
  const tail: Stretch[] = [];
  if (end !== undefined) {
    const to = Math.min(cut, ...marked.map((n) => n.whole.from).filter((from) => from > end));
    tail.push({ from: end, to }, ...(to < cut ? [{ from: to, to: cut }] : []));
    typed = asTokens(tail);
    read = readTokens(typed, notes(tail), words, context, weights);
  }
  const within = (s: Stretch): Note => {
    const inner = text.slice(s.from, s.to);
    const from = s.from + (inner.length - inner.trimStart().length);
    const trimmed = inner.trim().replace(/[,;.\s]+$/u, '');
    return { from, to: from + trimmed.length, text: trimmed };
  };
  const kept = [
    ...marked.filter((n) => end === undefined || n.whole.from < end).map((n) => within(n.inner)),
    ...(end === undefined ? beyond : [{ from: end, to: text.length }]).map(within),
  ].filter((n) => n.text !== '');
  const { parts } = read;
  return withProposals(
    {
      parts,
      notUnderstood: leftOf(text, read, typed),
      notes: kept.sort((a, b) => a.from - b.from),
      attempts: Math.max(1, ...parts.map((p) => p.attempt + 1)),
    },
    read.reading,
    words,
    context,
  );
};

/** The steps by which a line was read, for whoever wants to see why (`npm run phrase -- --explain`). */
export const explainPhrase = (text: string, words: Words, context: PhraseContext = {}): readonly string[] => {
  const notes = notesIn(text);
  const names = namesIn(context);
  const typed = tokenise(
    text,
    notes.map((n) => n.whole),
  ).map((token) => asKnown(token, words, names));
  const pieces = piecesOf(typed, words, context);
  const first = readings(typed, words, context, WEIGHTS)[0]!;
  const say = (meant: Meant): string => {
    const { part, ...what } = meant;
    return `${part} ${JSON.stringify(what)}`;
  };
  return [
    `tokens: ${typed.map((t) => (t.opens ? `| ${t.text}` : t.text)).join(' ')}`,
    ...notes.map((n) => `note: ${text.slice(n.inner.from, n.inner.to)}`),
    ...typed.flatMap((token, at) => [
      `terms at ${token.text}: ${
        [...pieces[at]!]
          .sort((a, b) => b.gain - a.gain)
          .slice(0, 8)
          .map(
            (p) =>
              `${JSON.stringify(p.said)} to ${typed[p.to - 1]!.text} gain ${p.gain.toFixed(2)} fit ${p.quality.toFixed(2)}`,
          )
          .join('; ') || 'nothing'
      }`,
    ]),
    ...stepsOf(first).map((step) => {
      const what = typed
        .slice(step.piece?.from ?? step.at - 1, step.at)
        .map((t) => t.text)
        .join(' ');
      const why = step.marks.map(([f, n]) => `${f} ${(WEIGHTS[f] * n).toFixed(2)}`).join(', ');
      const means = step.meant ? say(step.meant) : step.piece ? `steers ${JSON.stringify(step.piece.said)}` : 'left';
      return `[${step.attempt} ${step.voice}] ${what}: ${means} (${why})`;
    }),
    `score ${first.score.toFixed(2)}`,
  ];
};
