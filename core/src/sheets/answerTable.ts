import { flipPlace, foldPlace, lineReaction, readPlace, stateId, type PlaceId } from '../attempts/index.js';
import { wilson, type Interval } from '../map/index.js';
import type { Words } from '../vocabulary/index.js';
import { workedIn, type Case, type SheetSource } from './cases.js';

/** How far a reaction is answered, best first. */
export const ANSWERED = ['works', 'tried', 'shown', 'only said', 'unanswered'] as const;
export type Answered = (typeof ANSWERED)[number];
/** Nobody has been seen to answer it. */
export const isHole = (status: Answered): boolean => status !== 'works' && status !== 'tried';

/** What the other side did; `isAction`: it was an attack of theirs. Null: nothing. */
export type Met = { readonly what: string; readonly isAction: boolean };
/** Under what attempts of a group stand: a reaction, none at all, or nothing said. */
export type Column = Met | 'none' | 'not said';

/** An action that answers, and how often it did. */
export type AnswerSeen = {
  readonly action: string;
  readonly n: number;
  readonly worked: number;
  readonly shown: number;
  readonly attemptIds: readonly string[];
};

export type Cell = {
  readonly column: Column;
  /** Attempts of the group that stand under it, and those of them that worked; only those that rates follow from. */
  readonly n: number;
  readonly worked: number;
  /** Seen without a rate following: picked, or shown. */ readonly seen: number;
  /** Null where there is nothing to answer. */ readonly status: Answered | null;
  /** What answers it, the best first. */ readonly answers: readonly AnswerSeen[];
  /** Actions that were only said to answer it. */ readonly said: readonly string[];
  readonly principleIds: readonly string[];
  readonly attemptIds: readonly string[];
};

/** A group: an entry from a place, a bait apart. */
export type AnswerRow = {
  readonly action: string;
  readonly bait: boolean;
  readonly n: number;
  readonly worked: number;
  readonly interval: Interval | undefined;
  readonly cells: readonly Cell[];
};

/** What answers what, from one place: a row for each entry, a column for each reaction that was met there, the most met first. */
export type AnswerTable = {
  readonly place: PlaceId;
  readonly columns: readonly Column[];
  readonly rows: readonly AnswerRow[];
};

const metKey = (met: Met): string => `${met.isAction ? '!' : ''}${met.what}`;
export const columnKey = (column: Column): string => (typeof column === 'string' ? `(${column})` : metKey(column));

/** Under what an attempt stands. Somebody who says of an attempt that nothing was done to it says so by a success without a reaction: that one stands under none. */
const columnOf = ({ attempt }: Case): Column => {
  const met = lineReaction(attempt);
  if (met) return { what: met.what, isAction: met.isAction };
  return attempt.result === 'success' || attempt.result === 'shown' ? 'none' : 'not said';
};

/** The answers among the cases: those that follow an attempt, by the attempt they answer, and those that somebody put there by hand, by what they answer. */
export type AnswersFound = {
  readonly toAttempt: ReadonlyMap<string, readonly { readonly by: Case; readonly reaction: string | null }[]>;
  readonly byHand: ReadonlyMap<string, readonly Case[]>;
};

/** What follows an attempt and answers a reaction; of null, the attempt itself. */
export const answersTo = ({ toAttempt }: AnswersFound, { attempt }: Case, what: string | null): readonly Case[] =>
  (toAttempt.get(attempt.id) ?? []).flatMap(({ by, reaction }) => (reaction === what ? by : []));

const handKey = (from: PlaceId, action: string, reaction: string): string => `${from} ${action} ${reaction}`;

export const answersFound = ({ cases, answers }: SheetSource): AnswersFound => {
  const byId = new Map(cases.map((c) => [c.attempt.id, c]));
  const toAttempt = new Map<string, { by: Case; reaction: string | null }[]>();
  for (const { attemptId, toId, reaction } of answers) {
    const by = byId.get(attemptId);
    if (!by) continue;
    const known = toAttempt.get(toId);
    if (known) known.push({ by, reaction });
    else toAttempt.set(toId, [{ by, reaction }]);
  }
  const byHand = new Map<string, Case[]>();
  for (const by of cases)
    for (const { from, action, reaction } of by.attempt.answers) {
      const key = handKey(stateId(from), action, reaction);
      byHand.set(key, [...(byHand.get(key) ?? []), by]);
    }
  return { toAttempt, byHand };
};

const byMostTelling = (a: AnswerSeen, b: AnswerSeen): number =>
  b.worked - a.worked || b.n - a.n || b.shown - a.shown || (a.action < b.action ? -1 : 1);

/** Answers by their action, the best first: most successes, then attempts, then by id. */
export const answersSeen = (by: readonly Case[]): readonly AnswerSeen[] => {
  const all = new Map<string, { n: number; worked: number; shown: number; attemptIds: string[] }>();
  for (const { attempt, action, isCounted } of new Set(by)) {
    const one = all.get(action) ?? { n: 0, worked: 0, shown: 0, attemptIds: [] };
    if (isCounted) one.n++;
    else one.shown++;
    if (isCounted && attempt.result === 'success') one.worked++;
    one.attemptIds.push(attempt.id);
    all.set(action, one);
  }
  return [...all]
    .map(([action, one]) => ({ action, ...one, attemptIds: [...one.attemptIds].sort() }))
    .sort(byMostTelling);
};

/** How far something is answered that `overcome` says was come through without an answer. */
export const answeredBy = (answers: readonly AnswerSeen[], said: readonly string[], overcome: boolean): Answered => {
  if (overcome || answers.some((a) => a.worked > 0)) return 'works';
  if (answers.some((a) => a.n > 0)) return 'tried';
  if (answers.length) return 'shown';
  return said.length ? 'only said' : 'unanswered';
};

/** A reaction was come through where the attempt worked all the same, or something later decided it. What a bait is for is the reaction itself. */
const isOvercome = ({ attempt, isCounted }: Case, met: Met): boolean => {
  if (!isCounted || attempt.intent === 'bait') return false;
  const last = lineReaction(attempt);
  return attempt.reactions.some(
    (r) =>
      r.what === met.what &&
      r.isAction === met.isAction &&
      (attempt.result === 'success' || last === undefined || metKey(last) !== metKey(met)),
  );
};

/** Principles that say how a reaction to an action from a place is answered; a narrower scope first. */
const principlesFor = (
  { principles }: SheetSource,
  from: PlaceId,
  action: string,
  met: Met,
  words: Words,
): SheetSource['principles'] => {
  const place = readPlace(from);
  if (place?.kind !== 'state' || met.isAction) return [];
  const folded = foldPlace(from, words);
  const isHere = ({ state }: SheetSource['principles'][number]['scope']): boolean =>
    state === null ||
    ((state.role === null || state.role === place.role) &&
      [from, folded].some((id) => id === `${state.position}/${place.role}`));
  return principles
    .filter(
      ({ scope }) => scope.reaction === met.what && isHere(scope) && (scope.action === null || scope.action === action),
    )
    .sort((a, b) => Number(b.scope.action !== null) - Number(a.scope.action !== null) || (a.id < b.id ? -1 : 1));
};

const cellOf = (
  group: readonly Case[],
  here: readonly Case[],
  column: Column,
  source: SheetSource,
  found: AnswersFound,
  words: Words,
): Cell => {
  const rated = here.filter((c) => c.isRated);
  const base = {
    column,
    n: rated.length,
    worked: workedIn(rated),
    seen: here.length - rated.length,
    attemptIds: here.map((c) => c.attempt.id),
  };
  const [first] = group;
  if (typeof column === 'string' || !first) return { ...base, status: null, answers: [], said: [], principleIds: [] };
  const answers = answersSeen([
    ...here.flatMap((c) => answersTo(found, c, column.what)),
    ...(column.isAction ? [] : (found.byHand.get(handKey(first.from, first.action, column.what)) ?? [])),
  ]);
  const principles = principlesFor(source, first.from, first.action, column, words);
  const done = new Set(answers.map((a) => a.action));
  const said = [
    ...here.flatMap((c) => c.attempt.alternatives.flatMap((a) => (a.by === 'subject' && a.isAction ? a.what : []))),
    ...principles.flatMap((p) => p.answer ?? []),
  ].filter((action) => !done.has(action));
  const status = answeredBy(
    answers,
    said,
    group.some((c) => isOvercome(c, column)),
  );
  return {
    ...base,
    // what nobody met is only said to come
    status: here.length === 0 && status === 'unanswered' ? 'only said' : status,
    answers,
    said: [...new Set(said)].sort(),
    principleIds: principles.map((p) => p.id),
  };
};

/** Groups by entry, a bait apart: the most done first. What only changes holds is no entry. */
export const groupsOf = (cases: readonly Case[]): readonly (readonly Case[])[] => {
  const groups = new Map<string, Case[]>();
  for (const c of cases) {
    if (c.isHeld) continue;
    const key = `${c.from} ${c.action} ${c.attempt.intent}`;
    const group = groups.get(key);
    if (group) group.push(c);
    else groups.set(key, [c]);
  }
  const rated = (group: readonly Case[]): number => group.filter((c) => c.isRated).length;
  return [...groups.entries()]
    .sort(([a, x], [b, y]) => rated(y) - rated(x) || y.length - x.length || (a < b ? -1 : 1))
    .map(([, group]) => group);
};

/** The cells of a group, each of its attempts in one of them: they add up to the group. What it was only said to be able to meet has a cell of its own. */
export const cellsOf = (
  group: readonly Case[],
  source: SheetSource,
  found: AnswersFound,
  words: Words,
): readonly Cell[] => {
  const columns = new Map<string, { readonly column: Column; readonly here: Case[] }>();
  const at = (column: Column): Case[] => {
    const key = columnKey(column);
    const known = columns.get(key) ?? { column, here: [] };
    columns.set(key, known);
    return known.here;
  };
  for (const c of group) at(columnOf(c)).push(c);
  for (const { attempt } of group)
    for (const other of attempt.alternatives)
      if (other.by === 'opponent' && !other.isAction) at({ what: other.what, isAction: false });
  return [...columns.values()].map(({ column, here }) => cellOf(group, here, column, source, found, words));
};

const TAIL = ['none', 'not said'];
/** The table of answers of a place, of one side's attempts from there. */
export const answerTable = (
  place: PlaceId,
  source: SheetSource,
  words: Words,
  whose: 'own' | 'their' = 'own',
  found: AnswersFound = answersFound(source),
): AnswerTable => {
  const groups = groupsOf(source.cases.filter((c) => c.whose === whose && c.from === place));
  const rows = groups.map((group): AnswerRow => {
    const cells = cellsOf(group, source, found, words);
    const rated = group.filter((c) => c.isRated);
    const worked = workedIn(rated);
    const { action, attempt } = group[0]!;
    return {
      ...{ action, bait: attempt.intent === 'bait', n: rated.length, worked },
      interval: wilson(worked, rated.length),
      cells,
    };
  });
  const totals = new Map<string, { readonly column: Column; n: number }>();
  for (const { cells } of rows)
    for (const { column, n, seen } of cells) {
      const key = columnKey(column);
      const one = totals.get(key) ?? { column, n: 0 };
      one.n += n + seen;
      totals.set(key, one);
    }
  const tail = ({ column }: { readonly column: Column }): number =>
    TAIL.indexOf(typeof column === 'string' ? column : '');
  const columns = [...totals.entries()]
    .sort(([a, x], [b, y]) => tail(x) - tail(y) || y.n - x.n || (a < b ? -1 : 1))
    .map(([, { column }]) => column);
  return { place, columns, rows };
};

/** What the other side does from there, as they see it: their groups, with what answers each of them. */
export type TheirRow = {
  readonly action: string;
  readonly bait: boolean;
  readonly n: number;
  readonly worked: number;
  readonly interval: Interval | undefined;
  readonly status: Answered;
  readonly answers: readonly AnswerSeen[];
  readonly attemptIds: readonly string[];
};

/** What they do from a place that one side is in, with one's answers; `whose` are the attempts that are told as theirs. */
export const theirTable = (
  place: PlaceId,
  source: SheetSource,
  whose: 'own' | 'their' = 'their',
  found: AnswersFound = answersFound(source),
): readonly TheirRow[] => {
  const there = flipPlace(place);
  return groupsOf(source.cases.filter((c) => c.whose === whose && c.from === there)).map((group): TheirRow => {
    const rated = group.filter((c) => c.isRated);
    const worked = workedIn(rated);
    const answers = answersSeen(group.flatMap((c) => answersTo(found, c, null)));
    const { action, attempt } = group[0]!;
    return {
      ...{ action, bait: attempt.intent === 'bait', n: rated.length, worked },
      interval: wilson(worked, rated.length),
      status: answeredBy(answers, [], false),
      answers,
      attemptIds: group.map((c) => c.attempt.id),
    };
  });
};
