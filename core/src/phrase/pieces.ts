import { RESULTS, RESULT_WORDS, depthWord, type Result, type Subject } from '../attempts/index.js';
import { ACTION_KINDS, tokens, type ActionKind, type Role, type Words } from '../vocabulary/index.js';
import { holdsAt } from './holds.js';
import { LineMemo, type Line } from './line.js';
import { sayingsOf } from './sayings.js';
import { fit } from './slips.js';
import { spansAt, type Span } from './spans.js';
import type { Token } from './tokens.js';
import type { PhraseContext, SaidPlace } from './types.js';
import type { SaidHold } from './holds.js';

/** Where a word says that the next part belongs. */
export type Pointer = 'from' | 'to' | 'they' | 'with' | 'because' | 'joint';

export type Said =
  | { readonly is: 'place'; readonly place: SaidPlace }
  | { readonly is: 'action'; readonly key: string }
  | { readonly is: 'submission'; readonly key: string; readonly won: boolean; readonly isEnd: boolean }
  | { readonly is: 'reset'; readonly how: 'edge' | 'time' | 'stand-up' }
  | { readonly is: 'reaction'; readonly key: string }
  | { readonly is: 'reason'; readonly key: string }
  | { readonly is: 'hold'; readonly hold: SaidHold }
  | { readonly is: 'result'; readonly result: Result }
  | { readonly is: 'bait' }
  | { readonly is: 'depth'; readonly does: readonly ActionKind[]; readonly depth: number }
  | { readonly is: 'pointer'; readonly to: Pointer }
  | { readonly is: 'who'; readonly subject: Subject };

/** Tokens [from, to) and what they may say. */
export type Piece = {
  readonly said: Said;
  readonly from: number;
  readonly to: number;
  readonly gain: number;
  readonly quality: number;
};

type Saids = readonly { readonly tokens: readonly string[]; readonly said: Said; readonly gain?: number }[];
/** Stands for a short word that was typed too badly to be read. */
const ANY = '*';
const list = (texts: string, said: Said, gain?: number): Saids =>
  texts.split('|').map((text) => ({
    tokens: text.split(' ').flatMap((t) => (t === ANY ? [ANY] : tokens(t))),
    said,
    ...(gain === undefined ? {} : { gain }),
  }));

const POINTERS: Saids = [
  ...list(
    'from|out of|starting in|starting from|starts in|start from|start in|begins in|starting',
    { is: 'pointer', to: 'from' },
    0.4,
  ),
  ...list(
    'to|into|onto|ends in|ends up in|ending in|end in|ends|finishes in|finishing in|finish|finishes|finish in|lands in|landing in|lands|gets to|arrives in|ends at|for',
    { is: 'pointer', to: 'to' },
    0.4,
  ),
  ...list('they|he|she|opponent|opp|them|the other|other side|partner', { is: 'pointer', to: 'they' }, 0.5),
  ...list('with|using|w|having|has|holding|keeping|grips|grip|gripping', { is: 'pointer', to: 'with' }, 0.3),
  ...list('because|because of|bc|cause|since|reason|why|due to', { is: 'pointer', to: 'because' }, 0.5),
  ...list('and|then|and then|plus|also|but|after|while|when|so|as|next|now|still', { is: 'pointer', to: 'joint' }, 0.2),
];

const RESULT_SAID: Record<Result, string> = {
  success:
    'ok|okay|yes|success|successful|done|worked|works|got it|good|made it|y|tap|taps|tapped|tapped out|submitted|submits|finished',
  partial: 'partial|partly|partially|half|almost|half way|nearly',
  failed: 'fail|failed|fails|no|did not work|did * work|didn t work|no good|unsuccessful|stopped|stuffed|blocked|n',
  abandoned: 'abandoned|dropped|drops it|given up|gave up|gives up|let go|lets go|bails',
  shown: 'shown|demonstration|demo|drill|drilled|demonstrated',
};
const RESULT_TEXTS: Saids = RESULTS.flatMap((result) =>
  list([RESULT_WORDS[result], ...RESULT_SAID[result].split('|')].join('|'), { is: 'result', result }, 0),
);
const BAIT_TEXTS = list('bait|as bait|fake|faked|faking|feint|threat|threatened|to draw a reaction', { is: 'bait' }, 0);
const RESET_TEXTS: Saids = [
  ...list('out of bounds|edge|edge of the mat|off the mat|restart edge|reset edge|out|boundary', {
    is: 'reset',
    how: 'edge',
  }),
  ...list('time|time is up|time up|bell|buzzer|end of round|restart time|reset time|end of time', {
    is: 'reset',
    how: 'time',
  }),
  ...list('stood up|restart|reset|stand up restart|restart stood up|referee stands them up|stood up by the referee', {
    is: 'reset',
    how: 'stand-up',
  }),
];

/** The rungs of all ladders; the same words may be a rung of several kinds. */
const DEPTH_TEXTS: Saids = [0, 1, 2, 3, 4].flatMap((depth) =>
  [...new Set(ACTION_KINDS.map((does) => depthWord(does, depth)))].map((text) => ({
    tokens: tokens(text),
    said: { is: 'depth', does: ACTION_KINDS.filter((does) => depthWord(does, depth) === text), depth },
    gain: -0.35,
  })),
);

const ROLES: readonly { readonly tokens: readonly string[]; readonly role: Role }[] = (
  [
    ['top', 'top'],
    ['on top', 'top'],
    ['from top', 'top'],
    ['bottom', 'bottom'],
    ['on bottom', 'bottom'],
    ['underneath', 'bottom'],
    ['under', 'bottom'],
    ['attacker', 'attacker'],
    ['attacking', 'attacker'],
    ['attack', 'attacker'],
    ['with', 'attacker'],
    ['defender', 'defender'],
    ['defending', 'defender'],
    ['defence', 'defender'],
    ['defense', 'defender'],
    ['in', 'defender'],
    ['even', 'even'],
  ] as const
).map(([text, role]) => ({ tokens: text.split(' '), role }));

/** Every token of these lists: none of them is a slip of another. */
const KNOWN = new Set(
  [...POINTERS, ...RESULT_TEXTS, ...BAIT_TEXTS, ...RESET_TEXTS, ...DEPTH_TEXTS, ...ROLES].flatMap(
    (said) => said.tokens,
  ),
);

/** In longer words more may go wrong. */
const leastFit = (word: string): number => (word.length >= 6 ? 0.6 : 0.7);
const fitListed = ({ text: typed, isWord }: Pick<Token, 'text' | 'isWord'>, word: string): number => {
  if (word === ANY) return typed.length <= 5 ? 0.75 : 0;
  const how =
    typed !== word && (isWord || KNOWN.has(typed)) && !word.startsWith(typed.slice(0, -1)) ? 0 : fit(typed, word);
  return how < leastFit(word) ? 0 : how;
};

/** How well tokens from `at` on say a text; 0 where they do not, and nothing is skipped. */
const says = (line: Line, at: number, text: readonly string[]): number => {
  let least = 1;
  for (let i = 0; i < text.length; i++) {
    const token = line.at(at + i);
    if (!token || (i > 0 && token.opens)) return 0;
    const how = fitListed(token, text[i]!);
    if (how === 0) return 0;
    least = Math.min(least, how);
  }
  return least;
};

const listed = (line: Line, at: number, all: Saids): readonly Piece[] =>
  all.flatMap(({ tokens: text, said, gain }): Piece[] => {
    const how = says(line, at, text);
    return how
      ? [{ said, from: at, to: at + text.length, gain: how * text.length + (gain ?? -0.1), quality: how }]
      : [];
  });

/** Whose a place is: *his guard* is that of whoever holds it. */
const MINE = new Set(['my', 'our', 'own']);
const THEIRS = new Set(['his', 'her', 'their', 'your']);

/** The role of whoever a position is said to be of: the guards are the bottom's, all else its first role's. */
const holderOf = (family: string, roles: readonly Role[]): Role | undefined =>
  family.endsWith('guard') || family === 'turtle' ? roles.find((r) => r === 'bottom') : roles[0];

const rolesAround = (
  line: Line,
  span: Span,
  words: Words,
): readonly { readonly role: Role | null; readonly from: number; readonly to: number; readonly gain: number }[] => {
  const word = words.position(span.named.key);
  if (!word) return [];
  const found: { role: Role | null; from: number; to: number; gain: number }[] = [
    { role: null, from: span.from, to: span.to, gain: 0 },
  ];
  const isOpen = word.roles.length === 0;
  for (const { tokens: text, role } of ROLES) {
    if (!isOpen && !word.roles.includes(role)) continue;
    const isPlain = text.length > 1 || !['with', 'in', 'even', 'under'].includes(text[0]!);
    const after = says(line, span.to, text);
    if (after && isPlain) found.push({ role, from: span.from, to: span.to + text.length, gain: after });
    const before = span.from - text.length;
    // what stands before must be of the same clause; *under mount*, *with the back* too
    const gap = line.at(span.from - 1)?.text === 'the' || line.at(span.from - 1)?.text === 'of' ? 1 : 0;
    if (before - gap >= 0 && !line.at(span.from)!.opens) {
      const fits = says(line, before - gap, text);
      if (fits && text[0] !== 'from')
        found.push({ role, from: before - gap, to: span.to, gain: fits * (isPlain ? 1 : 0.25) });
    }
  }
  const owner = line.at(span.from - 1)?.text ?? '';
  const holder = holderOf(word.family, word.roles);
  if (holder && !line.at(span.from)!.opens && word.roles.length > 1) {
    const other = word.roles.find((r) => r !== holder && r !== 'even');
    if (MINE.has(owner)) found.push({ role: holder, from: span.from - 1, to: span.to, gain: 0.3 });
    // *his back* is the one that is held, *his guard* the one that holds
    const theirs = word.family === 'back' ? holder : other;
    if (THEIRS.has(owner) && theirs) found.push({ role: theirs, from: span.from - 1, to: span.to, gain: 0.3 });
  }
  return found;
};

const TAPS = ['tap', 'taps', 'tapped', 'submitted', 'finished', 'won', 'wins', 'finish'];
const LOSES = ['lost', 'caught', 'loses', 'tapped to'];

const piecesOfSpan = (line: Line, span: Span, words: Words): readonly Piece[] => {
  const plain = (said: Said): Piece => ({ said, from: span.from, to: span.to, gain: span.gain, quality: span.quality });
  const { kind, key } = span.named;
  switch (kind) {
    case 'position':
      return rolesAround(line, span, words).map(({ role, from, to, gain }) => ({
        said: { is: 'place', place: { position: key, role } },
        from,
        to,
        gain: span.gain + gain,
        quality: span.quality,
      }));
    case 'action':
      return [plain({ is: 'action', key })];
    case 'submission': {
      const ends = (texts: readonly string[], won: boolean): Piece[] =>
        texts.flatMap((text) => {
          const how = says(line, span.to, text.split(' '));
          const said: Said = { is: 'submission', key, won, isEnd: true };
          return how ? [{ ...plain(said), to: span.to + text.split(' ').length, gain: span.gain + how + 0.15 }] : [];
        });
      return [plain({ is: 'submission', key, won: true, isEnd: false }), ...ends(TAPS, true), ...ends(LOSES, false)];
    }
    case 'reaction':
      return [plain({ is: 'reaction', key })];
    case 'reason':
      return [plain({ is: 'reason', key })];
    case 'target':
      return [];
  }
};

const NAMED_LEAST = 0.85;
const whoAt = (typed: readonly Token[], at: number, { athletes }: PhraseContext): readonly Piece[] =>
  (['a', 'b'] as const).flatMap((subject): Piece[] => {
    const names = new Set((athletes?.[subject] ?? []).flatMap((name) => tokens(name)).filter((t) => t.length > 2));
    let to = at;
    while (
      to < typed.length &&
      (to === at || !typed[to]!.opens) &&
      [...names].some((n) => fit(typed[to]!.text, n) >= NAMED_LEAST)
    )
      to++;
    return to > at ? [{ said: { is: 'who', subject }, from: at, to, gain: (to - at) * 1.05, quality: 1 }] : [];
  });

/** The words between, which are as likely to be typed in haste as any other. */
const BETWEEN = ['the', 'and', 'then', 'they', 'with', 'from', 'into', 'ends', 'their', 'opponent'] as const;
const BETWEEN_LEAST = 0.78;
const OTHERS = [...KNOWN].filter((word) => !BETWEEN.some((b) => b === word));
/** A token as it was meant, where that is one of the words between and no word of the vocabulary. */
export const meantBetween = (typed: Token, words: Words): Token => {
  const sayings = sayingsOf(words);
  const token = { ...typed, isWord: sayings.isWord(typed.text) };
  if (token.text.length < 3 || KNOWN.has(token.text) || token.isWord) return token;
  const before = sayings.between.get(token.text);
  if (before !== undefined) return { ...token, text: before };
  const others = [...sayings.fitsOf(token.text).values(), ...OTHERS.map((word) => fitListed(token, word))];
  let [best, meant]: [number, string] = [Math.max(BETWEEN_LEAST, ...others), token.text];
  for (const word of BETWEEN) {
    const how = fit(token.text, word);
    if (how > best) [best, meant] = [how, word];
  }
  if (sayings.between.size > 5000) sayings.between.clear();
  sayings.between.set(token.text, meant);
  return { ...token, text: meant };
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

/** All that may stand in a text, by the token it begins with. */
export const piecesOf = (
  typed: readonly Token[],
  words: Words,
  context: PhraseContext,
): readonly (readonly Piece[])[] => {
  const sayings = sayingsOf(words);
  const before = lineOf(words);
  const spans = before.spans.next(typed, (at, line) => spansAt(line, at, sayings));
  const pieces = before.pieces.next(typed, (at, line): readonly Piece[] => {
    const targetsAt = (i: number): readonly Span[] => {
      line.at(spans[i]?.furthest ?? i);
      return (spans[i]?.value ?? []).filter((s) => s.named.kind === 'target');
    };
    line.at(spans[at]!.furthest);
    return [
      ...spans[at]!.value.flatMap((span) => piecesOfSpan(line, span, words)),
      ...holdsAt(line, at, targetsAt, words).map(({ hold, from, to, gain, quality }): Piece => ({
        said: { is: 'hold', hold },
        from,
        to,
        gain,
        quality,
      })),
      ...listed(line, at, POINTERS),
      ...listed(line, at, RESULT_TEXTS),
      ...listed(line, at, BAIT_TEXTS),
      ...listed(line, at, RESET_TEXTS),
      ...listed(line, at, DEPTH_TEXTS),
    ];
  });
  const found = typed.map((): Piece[] => []);
  typed.forEach((_, at) => {
    for (const piece of [...pieces[at]!.value, ...whoAt(typed, at, context)]) found[piece.from]!.push(piece);
  });
  return found;
};
