import type { Words } from '../vocabulary/index.js';
import { meantBetween, piecesOf, type Piece, type Pointer } from './pieces.js';
import { placesFor, type Reading } from './placing.js';
import { withRoles } from './roles.js';
import { SMALL } from './sayings.js';
import { tokenise, type Token } from './tokens.js';
import type { Meant, NotUnderstood, PhraseContext, PhrasePart, PhraseReading, SaidFinish } from './types.js';

/** What is added to a piece's gain by where it stands, and taken off for each part and each token that stays open. */
const PART = 0.45;
const OPEN = 0.75;
const SMALL_OPEN = 0.05;
const BEAM = 16;
/** Two readings are close if their scores are. */
const CLOSE = 0.2;

/** A way to go on from a reading, which is made into one only where it stands high enough to be kept. */
type Step = {
  readonly before: Reading;
  readonly change: Partial<Reading>;
  readonly score: number;
  readonly piece: Piece | null;
  readonly meant: Meant | null;
};

const pointed = (before: Reading, piece: Piece, to: Pointer): Step => ({
  before,
  change: {
    voice: to === 'they' ? 'they' : to === 'joint' ? before.voice : 'us',
    pointer: to === 'joint' ? before.pointer : to === 'they' ? null : to,
  },
  score: before.score + piece.gain * 0.3,
  piece,
  meant: null,
});

const START: Reading = {
  at: 0,
  score: 0,
  voice: 'us',
  pointer: null,
  place: null,
  action: null,
  finish: null,
  result: false,
  depth: false,
  who: false,
  used: new Set(),
  last: null,
  before: null,
  piece: null,
  meant: null,
};

const finishKey = (finish: SaidFinish): string =>
  finish.kind === 'state'
    ? `${finish.position}/${finish.role}`
    : finish.kind === 'submission'
      ? `${finish.won ? 'won' : 'lost'}:${finish.submission}`
      : finish.how;

/** What two readings must agree in to go on alike. */
const standing = (r: Reading): string =>
  [
    r.voice,
    r.pointer,
    r.place?.position,
    r.place?.role,
    r.action,
    r.finish && finishKey(r.finish),
    r.result,
    r.depth,
    r.used.size,
  ].join(' ');

/** The best of the ways that lead to a token, one for each standing, as readings. */
const best = (steps: readonly Step[], at: number): readonly Reading[] => {
  const kept = new Map<string, Reading>();
  for (const { before, change, score, piece, meant } of [...steps].sort((a, b) => b.score - a.score)) {
    const reading: Reading = { ...before, ...change, at, score, piece, meant, before };
    const id = standing(reading);
    if (!kept.has(id)) kept.set(id, reading);
    if (kept.size === BEAM) break;
  }
  return [...kept.values()];
};

/** A new clause: what they do may go on, what was pointed at is over. */
const opened = (r: Reading, token: Token): Reading => {
  if (!token.opens || r.at === 0) return r;
  const voice = r.voice === 'they' ? 'after they' : r.voice;
  return {
    ...r,
    voice,
    pointer: token.arrow ? 'to' : r.pointer === 'with' || r.pointer === 'because' ? r.pointer : null,
  };
};

const readings = (typed: readonly Token[], words: Words, context: PhraseContext): readonly Reading[] => {
  const pieces = piecesOf(typed, words, context);
  const beams: Step[][] = typed.map(() => []);
  beams.push([]);
  typed.forEach((token, at) => {
    for (const read of at === 0 ? [START] : best(beams[at]!, at)) {
      const r = opened(read, token);
      const isSmall = SMALL.has(token.text);
      beams[at + 1]!.push({
        before: r,
        change: {},
        score: r.score - (isSmall ? SMALL_OPEN : OPEN),
        piece: null,
        meant: null,
      });
      for (const piece of pieces[at]!) {
        const { said } = piece;
        if (said.is === 'pointer') beams[piece.to]!.push(pointed(r, piece, said.to));
        else
          for (const { score, change, meant } of placesFor(r, piece, words, context))
            beams[piece.to]!.push({
              before: r,
              change: { pointer: null, ...change, last: said.is },
              score: r.score + piece.gain + score - PART,
              piece,
              meant,
            });
      }
    }
  });
  return typed.length ? best(beams[typed.length]!, typed.length) : [START];
};

/** The steps of a reading, first to last. */
const stepsOf = (reading: Reading): readonly Reading[] => {
  const steps: Reading[] = [];
  for (let r: Reading | null = reading; r?.before; r = r.before) steps.push(r);
  return steps.reverse();
};

const rounded = (x: number): number => Math.round(100 * Math.min(1, Math.max(0, x))) / 100;

/** Reads a phrase that is one attempt; roles and results that were not said stay open (`withRoles` fills them in). */
const readParts = (text: string, words: Words, context: PhraseContext): PhraseReading => {
  const typed = tokenise(text).map((token) => meantBetween(token, words));
  const [first, ...others] = readings(typed, words, context);
  if (!first) return { parts: [], notUnderstood: [] };
  const close = others.filter((r) => first.score - r.score < CLOSE).map((r) => ({ r, steps: stepsOf(r) }));
  const parts: PhrasePart[] = [];
  const open: NotUnderstood[] = [];
  for (const { piece, meant, at } of stepsOf(first)) {
    if (piece && meant) {
      const [from, to] = [typed[piece.from]!.from, typed[piece.to - 1]!.to];
      const same = JSON.stringify(meant);
      const also = close.flatMap(({ r, steps }) => {
        const step = steps.find(
          (s) => s.piece?.from === piece.from && s.piece.to === piece.to && s.meant && JSON.stringify(s.meant) !== same,
        );
        return step ? [{ meant: step.meant!, apart: first.score - r.score }] : [];
      });
      const unique = also.filter(
        ({ meant: m }, i) => also.findIndex((o) => JSON.stringify(o.meant) === JSON.stringify(m)) === i,
      );
      const doubt = unique[0] ? 0.5 * (1 - unique[0].apart / CLOSE) : 0;
      parts.push({
        meant,
        from,
        to,
        confidence: rounded(piece.quality * (1 - doubt)),
        others: unique.map((o) => o.meant),
      });
    } else if (!piece && !SMALL.has(typed[at - 1]!.text)) {
      const token = typed[at - 1]!;
      const last = open.at(-1);
      const isNext = last && !token.opens && text.slice(last.to, token.from).trim() === '';
      if (isNext) open[open.length - 1] = { from: last.from, to: token.to, text: text.slice(last.from, token.to) };
      else open.push({ from: token.from, to: token.to, text: text.slice(token.from, token.to) });
    }
  }
  return { parts, notUnderstood: open };
};

/**
 * Reads one attempt said in one line, in any usual order: position, grips, entry, reactions in order, finish, result, how far, why; with abbreviations,
 * aliases and slips of the key. A beam search over the ways in which stretches of the text may name something; what fits the context and what
 * was said before stands higher. What was not understood is given back, never dropped. Ties keep the order of the words.
 */
export const readPhrase = (text: string, words: Words, context: PhraseContext = {}): PhraseReading =>
  withRoles(readParts(text, words, context), words, context);
