import type { Words } from '../vocabulary/index.js';
import { isEveryday } from './everyday.js';
import { waysFor } from './grammar.js';
import { isPlain } from './listed.js';
import type { Piece } from './piece.js';
import { piecesOf } from './pieces.js';
import { START, opened, type Reading, type Way } from './readings.js';
import { SMALL } from './sayings.js';
import type { Token } from './tokens.js';
import type { PhraseContext, SaidFinish } from './types.js';
import { scoreOf, type Mark, type Weights } from './weights.js';

const BEAM = 24;
const SURE = 0.8;
/** A way to go on from a reading, which is made into one only where it stands high enough to be kept; `more` speaks for it or against it beside the way's own marks. */
type Step = {
  readonly way: Way;
  readonly more: readonly Mark[];
  readonly before: Reading;
  readonly score: number;
  readonly piece: Piece | null;
};

const finishKey = (finish: SaidFinish): string =>
  finish.kind === 'state'
    ? `${finish.position}/${finish.role}`
    : finish.kind === 'submission'
      ? `${finish.won ? 'won' : 'lost'}:${finish.submission}`
      : finish.how;

/** What changes where a part is told, beside what the way itself says. */
const TOLD = { pointer: null, isThen: false, isFiner: false, isTold: true } as const;
const changeOf = ({ meant, change }: Way): Partial<Reading> =>
  meant === null ? change : { ...TOLD, ...change, told: meant.part };

/** What two readings must agree in to go on alike: the one before with what changes. */
const standing = (before: Reading, change: Partial<Reading>): string => {
  const now = <F extends keyof Reading>(field: F): Reading[F] =>
    change[field] !== undefined ? change[field] : before[field];
  const [place, finish] = [now('place'), now('finish')];
  return `${now('attempt')} ${now('voice')} ${now('isTold')} ${now('pointer')} ${now('isThen')} ${place?.position} ${place?.role} ${place?.lead} ${now('action')} ${
    finish && finishKey(finish)
  } ${now('result')} ${now('depth')} ${now('who')} ${now('used').size}`;
};

/** The best of the ways that lead to a token, one for each standing, as readings. */
const best = (steps: Step[], at: number): readonly Reading[] => {
  const kept = new Map<string, Reading>();
  for (const { before, way, more, score, piece } of steps.sort((a, b) => b.score - a.score)) {
    const change = changeOf(way);
    const id = standing(before, change);
    if (kept.has(id)) continue;
    const { meant } = way;
    kept.set(id, { ...before, ...change, at, score, piece, meant, marks: [...way.marks, ...more], before });
    if (kept.size === BEAM) break;
  }
  return [...kept.values()];
};

/** Words that say who acts, and that something further is done: to leave one is to turn things over. */
const VOICES = new Set('they he she i we opponent opp partner then'.split(' '));
/** What it costs to leave a token: more where it says who acts, or how it ended. */
const leaving = (r: Reading, token: Token, pieces: readonly Piece[]): readonly Mark[] =>
  VOICES.has(token.text) || (r.result === null && pieces.some((p) => p.said.is === 'result'))
    ? [['unread', 3]]
    : SMALL.has(token.text)
      ? []
      : isPlain(token)
        ? [['everyday', 1]]
        : [['unread', 1]];

/** Whether the last word but small ones was left, in the same clause: *looked at the …*. */
const isBehindLeft = (r: Reading, typed: readonly Token[]): boolean => {
  for (let step: Reading | null = r; step?.before && step.piece === null; step = step.before) {
    const token = typed[step.at - 1]!;
    if (!SMALL.has(token.text)) return true;
    if (token.opens) return false;
  }
  return false;
};

/** A single word of every day as a name, in the midst of words that were left: hardly that name. */
const astray = (r: Reading, token: Token, piece: Piece, typed: readonly Token[]): readonly Mark[] =>
  piece.to - piece.from === 1 &&
  piece.said.is !== 'pointer' &&
  r.before !== null &&
  !token.opens &&
  isEveryday(token.text) &&
  (isBehindLeft(r, typed) ||
    (piece.said.is === 'place' && ((r.meant !== null && r.told !== 'who') || isVoice(r.piece))))
    ? [['astray', 1]]
    : [];
const blurred = ({ quality }: Piece): readonly Mark[] => (quality < SURE ? [['blurred', 100 * (SURE - quality)]] : []);
const isVoice = (piece: Piece | null): boolean =>
  piece?.said.is === 'pointer' && (piece.said.to === 'they' || piece.said.to === 'us');

const isSteering = (piece: Piece): boolean => piece.said.is === 'pointer';

/** A word that is not understood. */
const LEFT: Way = { marks: [], change: {}, meant: null };

/** The readings of the line that was read last, by the token they lead to, and what they were made of. */
type Memo = {
  readonly context: PhraseContext;
  readonly weights: Weights;
  readonly typed: readonly Token[];
  readonly pieces: readonly (readonly Piece[])[];
  readonly reads: readonly (readonly Reading[])[];
};
const memos = new WeakMap<Words, Memo>();

const isSamePiece = (a: Piece, b: Piece): boolean =>
  a === b || (a.said.is === 'who' && b.said.is === 'who' && a.said.subject === b.said.subject && a.to === b.to);
/** How many tokens from the first on are the same and may be the same things: the readings that lead to them are the same too. */
const sameUpTo = (memo: Memo, typed: readonly Token[], pieces: readonly (readonly Piece[])[]): number => {
  let same = 0;
  while (same < Math.min(typed.length, memo.typed.length)) {
    const [a, b] = [typed[same]!, memo.typed[same]!];
    const [these, those] = [pieces[same]!, memo.pieces[same]!];
    const isSame =
      a.text === b.text &&
      a.opens === b.opens &&
      a.arrow === b.arrow &&
      these.length === those.length &&
      these.every((piece, i) => isSamePiece(piece, those[i]!));
    if (!isSame) return same;
    same++;
  }
  return same;
};

/** The readings of a line, best first. A line grows by its end: what leads to the part that stays is kept from the line before. */
export const readings = (
  typed: readonly Token[],
  words: Words,
  context: PhraseContext,
  weights: Weights,
): readonly Reading[] => {
  const pieces = piecesOf(typed, words, context);
  const memo = memos.get(words);
  const same = memo && memo.context === context && memo.weights === weights ? sameUpTo(memo, typed, pieces) : 0;
  const beams: Step[][] = typed.map(() => []);
  beams.push([]);
  const reads: (readonly Reading[])[] = [];
  typed.forEach((token, at) => {
    const known = same > 0 && at <= same ? memo!.reads[at] : undefined;
    const here = known ?? (at === 0 ? [START] : best(beams[at]!, at));
    reads.push(here);
    for (const read of here) {
      const r = opened(read, token);
      const go = (to: number, way: Way, piece: Piece | null, more: readonly Mark[], extra: number): void => {
        beams[to]!.push({ way, more, before: r, piece, score: r.score + scoreOf(way.marks, weights) + extra });
      };
      // what leads to a token whose readings are kept need not be looked at again
      const isOpen = (to: number): boolean => to > same;
      if (isOpen(at + 1)) {
        const more = leaving(r, token, pieces[at]!);
        go(at + 1, LEFT, null, more, scoreOf(more, weights));
      }
      for (const piece of pieces[at]!) {
        if (!isOpen(piece.to)) continue;
        const steered: readonly Mark[] = [['steers', piece.gain]];
        const told: readonly Mark[] = isSteering(piece)
          ? steered
          : [['explains', piece.gain], ['part', 1], ...blurred(piece), ...astray(r, token, piece, typed)];
        const [asSteered, asTold] = [scoreOf(steered, weights), scoreOf(told, weights)];
        for (const way of waysFor(r, piece, words)) {
          if (way.meant === null) go(piece.to, way, piece, steered, asSteered);
          else go(piece.to, way, piece, told, asTold);
        }
      }
    }
  });
  const ended = typed.length
    ? same === typed.length && memo!.reads[same]
      ? memo!.reads[same]
      : best(beams[typed.length]!, typed.length)
    : [START];
  reads.push(ended);
  memos.set(words, { context, weights, typed, pieces, reads });
  return ended
    .map((r) => {
      if (r.action !== null) return r;
      // the other side's attack and nothing that was done; or a result of nothing
      const isBare = (r.result !== null && !r.finish && r.place) || stepsOf(r).some((s) => isAttackOf(s, r.attempt));
      return isBare ? { ...r, score: r.score + weights.entryless } : r;
    })
    .sort((a, b) => b.score - a.score);
};

/** The steps of a reading, first to last. */
export const stepsOf = (reading: Reading): readonly Reading[] => {
  const steps: Reading[] = [];
  for (let r: Reading | null = reading; r?.before; r = r.before) steps.push(r);
  return steps.reverse();
};
const isAttackOf = (step: Reading, attempt: number): boolean =>
  step.attempt === attempt && step.meant?.part === 'reaction' && step.meant.isAction;
