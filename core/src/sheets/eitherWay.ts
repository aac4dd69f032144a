import { lineReaction, type PlaceId } from '../attempts/index.js';
import { answersFound, type AnswersFound } from './answerTable.js';
import { workedIn, type Case, type SheetSource } from './cases.js';

/** Rates of one's two entries (rows) against their two reactions (columns). */
export type Game = readonly [readonly [number, number], readonly [number, number]];
/** How a game is played best: always the same entry, or each of the two so often; and how often it works then. */
export type Mix =
  | { readonly kind: 'one'; readonly entry: 0 | 1; readonly value: number }
  | { readonly kind: 'mix'; readonly first: number; readonly value: number };

/**
 * The best mix of two entries against somebody who answers as well as can be (von Neumann 1928, two by two).
 * @example bestMix([[.2, .6], [.7, .3]]) // { kind: 'mix', first: .5, value: .45 }
 */
export const bestMix = ([[a, b], [c, d]]: Game): Mix => {
  const [least1, least2] = [Math.min(a, b), Math.min(c, d)];
  const most = Math.min(Math.max(a, c), Math.max(b, d));
  if (Math.max(least1, least2) >= most)
    return { kind: 'one', entry: least1 >= least2 ? 0 : 1, value: Math.max(least1, least2) };
  const all = a + d - b - c;
  return { kind: 'mix', first: (d - c) / all, value: (a * d - b * c) / all };
};

export type Counted = { readonly n: number; readonly worked: number };
/** Two entries from a place of which each opens when the other is defended: what they do against the first, and against the second. */
export type EitherWay = {
  readonly place: PlaceId;
  readonly entries: readonly [string, string];
  readonly reactions: readonly [string, string];
  /** Each entry against each reaction. */
  readonly seen: readonly [readonly [Counted, Counted], readonly [Counted, Counted]];
  /** Undefined where one of the four was seen less than three times. */ readonly mix: Mix | undefined;
};

/** Each of the four has to be seen so often. */
const LEAST = 3;

/** Reactions that stopped an entry, by the entries that answered them and worked. */
const opened = (cases: readonly Case[], found: AnswersFound): ReadonlyMap<string, ReadonlySet<string>> => {
  const by = new Map<string, Set<string>>();
  for (const { attempt, action, isCounted } of cases) {
    const met = lineReaction(attempt);
    if (!met || met.isAction || !isCounted || attempt.result === 'success') continue;
    for (const { by: q, reaction } of found.toAttempt.get(attempt.id) ?? []) {
      if (reaction !== met.what || !q.isCounted || q.attempt.result !== 'success' || q.isHeld) continue;
      const key = `${action} ${q.action}`;
      by.set(key, (by.get(key) ?? new Set()).add(met.what));
    }
  }
  return by;
};

const countOf = (cases: readonly Case[], entry: string, reaction: string): Counted => {
  const some = cases.filter((c) => {
    const met = lineReaction(c.attempt);
    return c.isRated && c.action === entry && met !== undefined && !met.isAction && met.what === reaction;
  });
  return { n: some.length, worked: workedIn(some) };
};

/**
 * Pairs of entries from one place where defending the one opens the other: the first was stopped by a reaction that the second answered and worked, and the other way round by
 * another one. In the order of places and ids; baits are no entries of such a pair.
 */
export const eitherWaysOf = (source: SheetSource, found: AnswersFound = answersFound(source)): readonly EitherWay[] => {
  const byPlace = new Map<PlaceId, Case[]>();
  for (const c of source.cases)
    if (c.whose === 'own' && c.attempt.intent === 'own' && !c.isHeld) {
      const here = byPlace.get(c.from);
      if (here) here.push(c);
      else byPlace.set(c.from, [c]);
    }
  return [...byPlace.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([place, cases]) => {
      const answered = opened(cases, found);
      const entries = [...new Set(cases.map((c) => c.action))].sort();
      return entries.flatMap((a, i) =>
        entries.slice(i + 1).flatMap((b) =>
          [...(answered.get(`${a} ${b}`) ?? [])].sort().flatMap((r) =>
            [...(answered.get(`${b} ${a}`) ?? [])]
              .filter((q) => q !== r)
              .sort()
              .map((q): EitherWay => pairOf(place, cases, [a, b], [r, q])),
          ),
        ),
      );
    });
};

const pairOf = (
  place: PlaceId,
  cases: readonly Case[],
  entries: EitherWay['entries'],
  reactions: EitherWay['reactions'],
): EitherWay => {
  const row = (entry: string): readonly [Counted, Counted] => [
    countOf(cases, entry, reactions[0]),
    countOf(cases, entry, reactions[1]),
  ];
  const seen = [row(entries[0]), row(entries[1])] as const;
  const isEnough = seen.flat().every(({ n }) => n >= LEAST);
  const rate = ({ n, worked }: Counted): number => worked / n;
  const game = seen.map(([x, y]) => [rate(x), rate(y)]) as unknown as Game;
  return { place, entries, reactions, seen, mix: isEnough ? bestMix(game) : undefined };
};
