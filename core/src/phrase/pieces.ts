import type { Side, Subject } from '../attempts/index.js';
import { tokens, type PositionWord, type Words } from '../vocabulary/index.js';
import { isEnglish } from './english.js';
import { isEveryday } from './everyday.js';
import { holdsAt, type SaidHold } from './holds.js';
import { LineMemo, type Line } from './line.js';
import { KNOWN, listedAt, says, standsAlone } from './listed.js';
import type { Piece, Said } from './piece.js';
import { rolesAround } from './rolesAround.js';
import { ARTICLES, SMALL, sayingsOf } from './sayings.js';
import { fit } from '../spelling/index.js';
import { spansAt, type Span } from './spans.js';
import type { Token } from './tokens.js';
import type { PhraseContext } from './types.js';
import { ME, MINE, THEIRS, THEM, isOwner } from './whose.js';
import { whyPieces } from './whyPieces.js';

const SIDES: ReadonlyMap<string, Side> = new Map([
  ['left', 'left'],
  ['right', 'right'],
]);

/** *left half guard*: the side of the limb that the position names. */
const leadBefore = (line: Line, at: number, position: string, words: Words): Side | null =>
  (words.position(position)?.lead && !line.at(at)!.opens && SIDES.get(line.at(at - 1)?.text ?? '')) || null;

/** *turtles* and *stacked* are done: less likely a place. */
const DOING = 0.3;
const TAPS = ['tap', 'taps', 'tapped', 'submitted', 'finished', 'won', 'wins', 'win', 'finish'];
const LOSES = ['lost', 'caught', 'loses', 'tapped to'];

/** Whether one of these stands in it, or behind it in the same clause: on whom it is done. */
const isOn = (objects: ReadonlySet<string>, line: Line, { from, to }: Span): boolean => {
  for (let at = from + 1; at <= to; at++) {
    const token = line.at(at);
    if (!token || token.opens) return false;
    if (objects.has(token.text)) return true;
  }
  return false;
};

/** What stands before a side that is no place. */
const SIDED = new Set('left right near far same other wrong this that one his her their my our your'.split(' '));

const BESIDE_LETTER = new Set('from in into to top bottom t b'.split(' '));
/** Whether a single word that may name a place is none by what stands beside it. */
const isNoPlace = (line: Line, at: number): boolean => {
  const { text, opens } = line.at(at)!;
  const before = opens ? '' : (line.at(at - 1)?.text ?? '');
  const next = line.at(at + 1);
  // one letter is a place where it stands first, beside a side, or where a word points to a place
  if (text.length === 1 && at > 0)
    return !BESIDE_LETTER.has(before) && !(next && !next.opens && BESIDE_LETTER.has(next.text));
  // *back to guard*: again
  // *over the back takedown* is how it is done
  if (text === 'back')
    return (
      (next !== undefined && !next.opens && ['to', 'into'].includes(next.text)) ||
      // *back on bottom*: again
      (next?.text === 'on' && ['top', 'bottom'].includes(line.at(at + 2)?.text ?? '')) ||
      (before === 'the' && line.at(at - 2)?.text === 'over')
    );
  // *hafl guard* is no bare guard
  if (text === 'guard') return !opens && !KNOWN.has(before) && !SMALL.has(before);
  // *the left side*, *same side*
  return text === 'side' && SIDED.has(before);
};

type IsOwner = (token: string) => boolean;
const isMine: IsOwner = (token) => MINE.has(token);

/** *arm across their own neck*, *breaks my grip*: of which the name says whose something is. */
const namesOwner = (word: Pick<PositionWord, 'name' | 'aliases'> | undefined, is: IsOwner = isOwner): boolean =>
  [word?.name ?? '', ...(word?.aliases ?? [])].some((text) => tokens(text).some(is));

/** What is held alone is a hold only where something says so, or where nothing else stands there: *back* and *arm* are said of much. */
const HOLDING = new Set(
  'with and has have had hold holds held holding grip grips gripped keeping keeps using plus got gets'.split(' '),
);
/** Whether one of the tokens [from, to) says whose something is. */
const hasOwner = (line: Line, from: number, to: number, is: IsOwner = isOwner): boolean => {
  for (let i = from; i < to; i++) if (is(line.at(i)!.text)) return true;
  return false;
};

const DEFENDING = new Set(
  'defend defended defending survive survived surviving block blocked blocking stop stopped stopping deny denied denying'.split(
    ' ',
  ),
);
/** *I defend the choke*: what this side does something about is theirs. */
const isDefended = (line: Line, from: number): boolean => {
  if (line.at(from)!.opens) return false;
  const at = ARTICLES.has(line.at(from - 1)?.text ?? '') ? from - 2 : from - 1;
  const [verb, by] = [line.at(at), line.at(at - 1)?.text ?? ''];
  return verb !== undefined && DEFENDING.has(verb.text) && (['i', 'we'].includes(by) || verb.opens);
};

const piecesOfSpan = (line: Line, span: Span, words: Words): readonly Piece[] => {
  const { from, to, gain, quality, isWritten } = span;
  const plain = (said: Said): Piece => ({ said, from, to, gain, quality, isWritten });
  const { kind, key } = span.named;
  switch (kind) {
    case 'position': {
      const isOne = to - from === 1;
      // *had his collar and sleeve*: that is held
      if (THEIRS.has(line.at(from - 1)?.text ?? '') && HOLDING.has(line.at(from - 2)?.text ?? '')) return [];
      if (isOne && isNoPlace(line, from)) return [];
      // *open my guard* is done
      if (hasOwner(line, from + 1, to - 1) && !namesOwner(words.position(key))) return [];
      const isVerb = !isWritten && isOne && line.at(from)!.isWord;
      return rolesAround(line, span, words).flatMap((around): Piece[] => {
        const piece = (lead: Side | null): Piece => ({
          said: { is: 'place', place: { position: key, role: around.role, lead } },
          from: around.from - (lead ? 1 : 0),
          to: around.to,
          gain: gain + around.gain + (lead ? 1 : 0) - (isVerb ? DOING : 0),
          quality,
          isWritten,
          ...(around.isOwned ? { isOwned: true } : {}),
          // *stacked* may be what they did as well as where it is
          isVerb: isVerb || (isOne && around.role === null && line.at(from)!.text.endsWith('ed')),
        });
        const lead = leadBefore(line, around.from, key, words);
        return lead ? [piece(null), piece(lead)] : [piece(null)];
      });
    }
    case 'action': {
      // *my double leg*, *his armbar*: whose it is
      const owner = line.at(from)!.opens ? '' : (line.at(from - 1)?.text ?? '');
      // *sprawls on the single leg*: on what is done to them
      const isMet = owner === 'the' && ['on', 'against', 'off', 'after'].includes(line.at(from - 2)?.text ?? '');
      // *no takedown*: of nothing that was done
      if (owner === 'no' && words.all.some((w) => w.kind === 'action' && w.parent === key)) return [];
      // *guillotine position* is where they are
      const behind = line.at(to);
      if (behind && !behind.opens && behind.text === 'position') return [];
      const isTheirs = THEIRS.has(owner) || isOn(ME, line, span) || isDefended(line, from);
      const whose = MINE.has(owner) || isMet ? 'us' : isTheirs ? 'them' : null;
      return [{ ...plain({ is: 'action', key }), isHeadless: span.isHeadless, ...(whose ? { whose } : {}) }];
    }
    case 'submission': {
      const ends = (texts: readonly string[], won: boolean): Piece[] =>
        texts.flatMap((text) => {
          const all = text.split(' ');
          const how = says(line, to, all);
          const said: Said = { is: 'submission', key, won, isEnd: true };
          return how && !line.at(to)!.opens ? [{ ...plain(said), to: to + all.length, gain: gain + how + 0.15 }] : [];
        });
      return [plain({ is: 'submission', key, won: true, isEnd: false }), ...ends(TAPS, true), ...ends(LOSES, false)];
    }
    case 'reaction':
      // *got my knee back in*: done by this side
      if (hasOwner(line, from, to, isMine) && !namesOwner(words.get('reaction', key), isMine)) return [];
      // *in turtle* is where they are
      return !line.at(from)!.opens && line.at(from - 1)?.text === 'in'
        ? []
        : [{ ...plain({ is: 'reaction', key }), isOnThem: isOn(THEM, line, span) }];
    case 'reason':
      return [plain({ is: 'reason', key })];
    case 'target':
      return [];
  }
};

const NAMED_LEAST = 0.85;
const COLOURS = new Set('white blue purple brown black red green grey gray yellow orange pink'.split(' '));
/** What an athlete may be called: each word of the names, and the colour of what is worn. */
const calledOf = ({ athletes }: PhraseContext, subject: Subject): readonly string[] =>
  (athletes?.[subject] ?? []).flatMap((name, i) =>
    tokens(name).filter((t) => (i === 0 ? t.length > 2 : COLOURS.has(t))),
  );
/** All that the athletes may be called. */
export const namesIn = (context: PhraseContext): ReadonlySet<string> =>
  new Set([...calledOf(context, 'a'), ...calledOf(context, 'b')]);
const whoAt = (typed: readonly Token[], at: number, context: PhraseContext): readonly Piece[] =>
  (['a', 'b'] as const).flatMap((subject): Piece[] => {
    const names = calledOf(context, subject);
    const others = calledOf(context, subject === 'a' ? 'b' : 'a');
    // *marco's back*: whose something is
    const isOf = ({ text, from, to: end }: Token): boolean =>
      end - from !== text.length + "'s".length &&
      !others.includes(text) &&
      names.some((n) => (n.length >= 5 ? fit(text, n) >= NAMED_LEAST : text === n));
    let to = at;
    while (to < typed.length && (to === at || !typed[to]!.opens) && isOf(typed[to]!)) to++;
    // *white belt* is a grade
    return to > at && typed[to]?.text !== 'belt'
      ? [{ said: { is: 'who', subject }, from: at, to, gain: (to - at) * 1.05, quality: 1, isWritten: true }]
      : [];
  });

const mayBeBare = (line: Line, from: number, to: number): boolean => {
  const before = line.at(from - 1)?.text ?? '';
  const isAfter = HOLDING.has(
    ['the', 'a', 'his', 'her', 'their'].includes(before) ? (line.at(from - 2)?.text ?? '') : before,
  );
  return (isAfter && !line.at(from)!.opens) || standsAlone(line, from, to);
};

const BENT_LESS = 0.2;
/** A slip is that of the word it is nearest to, by so much. */
const NEARER = 0.1;
/** Letters of a word that is no initials. */
const LONG = 5;
/** Names that are written out stand before all that is put together of the same words. */
const writtenFirst = (spans: readonly Span[]): readonly Span[] => {
  const end = Math.max(0, ...spans.filter((s) => s.isWritten).map((s) => s.to));
  const longest = Math.max(0, ...spans.filter((s) => s.isWritten && s.to > s.from + 1).map((s) => s.to));
  return spans.flatMap((s) =>
    s.to < longest ? [] : s.isWritten || s.to > end ? [s] : s.isWhole ? [{ ...s, gain: s.gain - BENT_LESS }] : [],
  );
};

const ARTICLE_LEAST = 0.84;
const STEERS = ['they', 'then', 'with', 'left', 'right', 'near'] as const;
const STEERS_LEAST = 0.8;
/** A token with whether it is a word as it stands: of the vocabulary, of those that steer, of every day. */
export const asKnown = (token: Token, words: Words, names: ReadonlySet<string>): Token => {
  const { text } = token;
  const isWord =
    names.has(text) || KNOWN.has(text) || isEveryday(text) || isEnglish(text) || sayingsOf(words).isWord(text);
  // the one small word that is never meant to say anything
  if (text === 'th' || (!isWord && text.length >= 3 && text.length <= 4 && fit(text, 'the') >= ARTICLE_LEAST))
    return { ...token, text: 'the', isWord: true };
  // nearly a word that steers: it may be one, so it is nothing else
  return { ...token, isWord: isWord || STEERS.some((word) => fit(text, word) >= STEERS_LEAST) };
};

/** What was made of the line that was read last with some words: it is read again with every key. */
const lines = new WeakMap<
  Words,
  { readonly spans: LineMemo<readonly Span[]>; readonly pieces: LineMemo<readonly Piece[]> }
>();
const lineOf = (words: Words) => {
  const known = lines.get(words) ?? {
    spans: new LineMemo<readonly Span[]>(),
    pieces: new LineMemo<readonly Piece[]>(),
  };
  lines.set(words, known);
  return known;
};

/** *his crossface*, *my underhook*: of what somebody does with a limb it is said whose it is; of what is held, on whom. */
const heldBy = (line: Line, from: number, { kind }: SaidHold): Pick<Piece, 'whose'> => {
  if (kind === 'grip') return {};
  const owners = [line.at(from)!.text, line.at(from)!.opens ? '' : (line.at(from - 1)?.text ?? '')];
  return owners.some((o) => THEIRS.has(o)) ? { whose: 'them' } : owners.some((o) => MINE.has(o)) ? { whose: 'us' } : {};
};

const MODALS = new Set('could should would might couldn shouldn wouldn'.split(' '));
/** *could have passed*: behind such a word nothing is told that happened, until something parts. */
const isSupposed = (line: Line, at: number): boolean => {
  for (let i = at; i >= 0; i--) {
    const token = line.at(i)!;
    // *because couldn't get the angle*: the word may begin a name
    if (MODALS.has(token.text) && i < at) return true;
    if (token.opens) return false;
  }
  return false;
};

type Spans = readonly { readonly value: readonly Span[]; readonly furthest: number }[];

/** Holds that are put together of the tokens from one on. */
const holdPieces = (line: Line, at: number, spans: Spans, words: Words): readonly Piece[] => {
  const targetsAt = (i: number): readonly Span[] => {
    line.at(spans[i]?.furthest ?? i);
    return (spans[i]?.value ?? []).filter((s) => s.named.kind === 'target');
  };
  const isPutTogether = (hold: SaidHold): boolean =>
    !(hold.both && (hold.kind === 'underhook' || words.target(hold.target)?.cloth)) &&
    hold.reach === null &&
    hold.targetSide === null &&
    !words.target(hold.target)?.grips;
  // a name of several words is that name, not a hold that is put together of them
  // behind *my*, too: *my double leg*
  const isOwned = isOwner(line.at(at)!.text);
  const behind = isOwned && spans[at + 1] ? spans[at + 1]!.value : [];
  if (isOwned) line.at(spans[at + 1]?.furthest ?? at);
  const named = Math.max(
    0,
    ...[...spans[at]!.value, ...behind]
      .filter((s) => s.isWhole && s.quality > 0.9 && s.named.kind !== 'target' && s.to > s.from + 1)
      .map((s) => s.to),
  );
  return holdsAt(line, at, targetsAt, words).flatMap(({ hold, from, to, gain, quality, isBare }): Piece[] =>
    (isBare && !mayBeBare(line, from, to)) ||
    // two letters are no slip of what is held
    (isBare && quality < 1 && to - from === 1 && line.at(from)!.text.length <= 2) ||
    // *wall, he has double unders*: where it happens
    (isBare && hold.target === 'wall' && at === 0) ||
    // *has my back* is where they are, *got the back* where it ended
    (isBare && hold.target === 'back') ||
    (to <= named && isPutTogether(hold)) ||
    // *double leg right away*: both is no side
    (hold.both && hold.targetSide !== null)
      ? []
      : [
          {
            ...{ said: { is: 'hold', hold }, from, to, gain, quality, isWritten: quality === 1 },
            ...heldBy(line, from, hold),
          },
        ],
  );
};

/** What the names that stand at a token may say, beside the holds that begin there. */
const namePieces = (
  line: Line,
  at: number,
  spans: readonly Span[],
  holds: readonly Piece[],
  words: Words,
): readonly Piece[] => {
  // a place that stands alone by its name is not what somebody does
  const place = spans.find((s) => s.named.kind === 'position' && s.isWritten && standsAlone(line, at, s.to));
  // *in my closed guard* is one, too
  const owner = line.at(at)!.opens ? '' : (line.at(at - 1)?.text ?? '');
  const isOwn = isOwner(owner) || owner === 'in';
  const owned = isOwn ? spans.find((s) => s.named.kind === 'position' && s.isWritten) : undefined;
  const isBent = ({ said, isWritten, to }: Piece): boolean =>
    said.is === 'reaction' && !isWritten && (to === place?.to || to === owned?.to);
  // what is the name of a hold as it stands is not the half of another name
  const held = Math.max(0, ...holds.filter((h) => h.isWritten && h.from === at).map((h) => h.to));
  const isHalf = ({ said, isWritten, from, to }: Piece): boolean =>
    said.is === 'action' && !isWritten && from === at && to <= held;
  // a slip of one word that is nearer to another: *sprwl* is no *sprawl headlock*
  const nearest = Math.max(0, ...spans.filter((s) => s.to === at + 1).map((s) => s.quality));
  const isFarther = ({ to, quality }: Span): boolean =>
    to === at + 1 && quality < nearest - NEARER && line.at(at)!.text.length >= LONG;
  // *nort south, chok*: a place of several words as it stands, and no entry of which the rest was left out
  const isRestless = ({ isHeadless, named, to }: Span): boolean =>
    isHeadless &&
    named.kind === 'action' &&
    to > at + 1 &&
    spans.some((s) => s.named.kind === 'position' && s.isWhole && s.to === to);
  return spans
    .filter((span) => !isFarther(span) && !isRestless(span))
    .flatMap((span) => piecesOfSpan(line, span, words))
    .filter((piece) => !isHalf(piece) && !isBent(piece));
};

/** All that may stand in a text, by the token it begins with. */
export const piecesOf = (
  typed: readonly Token[],
  words: Words,
  context: PhraseContext,
): readonly (readonly Piece[])[] => {
  const sayings = sayingsOf(words);
  const before = lineOf(words);
  const spans = before.spans.next(typed, (at, line) => writtenFirst(spansAt(line, at, sayings)));
  const pieces = before.pieces.next(typed, (at, line): readonly Piece[] => {
    line.at(spans[at]!.furthest);
    const holds = holdPieces(line, at, spans, words);
    if (isSupposed(line, at)) return [];
    const spansFrom = (i: number): readonly Span[] => {
      line.at(spans[i]?.furthest ?? i);
      return spans[i]?.value ?? [];
    };
    const why = whyPieces(line, at, spansFrom, words);
    return [...why, ...namePieces(line, at, spans[at]!.value, holds, words), ...holds, ...listedAt(line, at, words)];
  });
  const found = typed.map((): Piece[] => []);
  typed.forEach((_, at) => {
    for (const piece of [...pieces[at]!.value, ...whoAt(typed, at, context)]) found[piece.from]!.push(piece);
  });
  return found;
};
