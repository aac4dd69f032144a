import { factSlot, lineReaction, normaliseSides, type ErrorUse, type FactUse } from '../attempts/index.js';
import { wilson, type Interval } from '../map/index.js';
import { hasPattern, twoByTwo, type WithAndWithout } from '../why/index.js';
import { columnKey, type Met } from './answerTable.js';
import { workedIn, type Case } from './cases.js';

/** Puts what belongs together into groups: the largest first, then by key. */
export const grouped = <T>(all: readonly T[], key: (one: T) => string): readonly (readonly T[])[] => {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const group = groups.get(key(one));
    if (group) group.push(one);
    else groups.set(key(one), [one]);
  }
  return [...groups].sort(([a, x], [b, y]) => y.length - x.length || (a < b ? -1 : 1)).map(([, group]) => group);
};

const idsOf = (cases: readonly Case[]): readonly string[] => [...new Set(cases.map((c) => c.attempt.id))].sort();

/** How often some attempts were seen, and how often they worked where rates follow from them. */
export type Went = {
  readonly n: number;
  readonly worked: number;
  readonly interval: Interval | undefined;
  /** Seen without a rate following: picked, or shown. */ readonly seen: number;
  readonly attemptIds: readonly string[];
};
export const wentOf = (cases: readonly Case[]): Went => {
  const rated = cases.filter((c) => c.isRated);
  const worked = workedIn(rated);
  return {
    ...{ n: rated.length, worked, interval: wilson(worked, rated.length), seen: cases.length - rated.length },
    attemptIds: idsOf(cases),
  };
};

/** A reaction, or an attack of theirs, that attempts met: how many of them, how many came through it, and how many it stopped. */
export type MetRow = {
  readonly what: string;
  readonly isAction: boolean;
  readonly met: number;
  /** It worked all the same, or something else decided how it went. */ readonly overcome: number;
  readonly stopped: number;
  readonly attemptIds: readonly string[];
};

/** A reaction, or an attack of theirs, is the one under which an attempt stands. */
export const isLine = ({ attempt }: Case, met: Met): boolean => {
  const last = lineReaction(attempt);
  return last !== undefined && columnKey(last) === columnKey(met);
};

/** Reactions anywhere in the list of an attempt, each once, of attempts that count; a bait is for its reaction, so that one is no obstacle. */
export const metBy = (cases: readonly Case[]): readonly MetRow[] => {
  const all = cases.flatMap((c) => {
    if (!c.isCounted || c.attempt.intent === 'bait') return [];
    const kinds = new Map(c.attempt.reactions.map((r) => [columnKey(r), r]));
    return [...kinds].map(([key, met]) => ({
      ...{ key, what: met.what, isAction: met.isAction, c },
      isStopped: isLine(c, met) && c.attempt.result !== 'success',
    }));
  });
  return grouped(all, (m) => m.key).map((some) => {
    const stopped = some.filter((m) => m.isStopped).length;
    const { what, isAction } = some[0]!;
    return {
      ...{ what, isAction, met: some.length, overcome: some.length - stopped, stopped },
      attemptIds: idsOf(some.map((m) => m.c)),
    };
  });
};

/** Mistakes in attempts: whose, brought about by the other side or given away, and what it was (a reason; null = not said). */
export type ErrorRow = Pick<ErrorUse, 'by' | 'cause' | 'what'> & {
  readonly n: number;
  readonly attemptIds: readonly string[];
};
export const errorsIn = (cases: readonly Case[]): readonly ErrorRow[] =>
  grouped(
    cases.flatMap((c) => c.attempt.errors.map((e) => ({ c, e }))),
    ({ e }) => `${e.by} ${e.cause} ${e.what ?? ''}`,
  ).map((some) => {
    const { by, cause, what } = some[0]!.e;
    return { by, cause, what, n: some.length, attemptIds: idsOf(some.map(({ c }) => c)) };
  });

/** Why attempts that count didn't work: how often a reason was told, and how often as the main one. */
export type ReasonRow = {
  readonly reason: string;
  readonly n: number;
  readonly main: number;
  readonly attemptIds: readonly string[];
};
export const reasonsIn = (cases: readonly Case[]): readonly ReasonRow[] =>
  grouped(
    cases.flatMap((c) => (c.isCounted ? c.attempt.reasons.map((r) => ({ c, r })) : [])),
    ({ r }) => r.reason,
  ).map((some) => ({
    reason: some[0]!.r.reason,
    n: some.length,
    main: some.filter(({ r }) => r.main).length,
    attemptIds: idsOf(some.map(({ c }) => c)),
  }));

/** The rungs of an action's ladder, 0 … 4. */
const RUNGS = [0, 1, 2, 3, 4] as const;
/** How far attempts of one action came: for each rung how many got there, and how many of those got no further and did not work. */
export type DepthRow = {
  readonly action: string;
  readonly said: number;
  readonly rungs: readonly { readonly reached: number; readonly stalled: number }[];
  readonly attemptIds: readonly string[];
};
export const depthsIn = (cases: readonly Case[]): readonly DepthRow[] =>
  grouped(
    cases.filter((c) => c.isCounted && c.attempt.depth !== null),
    (c) => c.action,
  ).map((some) => ({
    action: some[0]!.action,
    said: some.length,
    rungs: RUNGS.map((rung) => ({
      reached: some.filter((c) => c.attempt.depth! >= rung).length,
      stalled: some.filter((c) => c.attempt.depth === rung && c.attempt.result !== 'success').length,
    })),
    attemptIds: idsOf(some),
  }));

/** A fact, and how attempts went with it and without it: never as a cause. */
export type FactRow = {
  readonly fact: FactUse;
  readonly table: WithAndWithout;
  /** The attempts that have it. */ readonly attemptIds: readonly string[];
};
/** The facts of attempts that count, those by which results are furthest apart first; sides in normal form. Each is held against the attempts in which something was said of it. */
export const factsIn = (cases: readonly Case[]): readonly FactRow[] => {
  const counted = cases.filter((c) => c.isCounted).map((c) => normaliseSides(c.attempt));
  const kinds = new Map(
    counted.flatMap((a) => a.facts.map((f): [string, FactUse] => [`${factSlot(f)} ${f.value}`, f])),
  );
  return [...kinds.entries()]
    .map(([key, fact]) => {
      const told = counted.map((a) => ({
        ...{ id: a.id, worked: a.result === 'success', has: hasPattern(a, { kind: 'fact', ...fact }) },
      }));
      return { key, fact, table: twoByTwo(told), attemptIds: told.flatMap(({ id, has }) => (has ? id : [])) };
    })
    .sort((a, b) => a.table.p - b.table.p || a.table.notSaid - b.table.notSaid || (a.key < b.key ? -1 : 1))
    .map(({ fact, table, attemptIds }) => ({ fact, table, attemptIds }));
};

/** Attempts that are another try at the same thing: by which try it was how many there were, and how many worked. The first is 1. */
export const triesOf = (
  cases: readonly Case[],
): readonly (Pick<Went, 'n' | 'worked' | 'attemptIds'> & { readonly nth: number })[] => {
  const again = cases.filter((c) => c.isCounted && (c.attempt.parentId !== null || c.attempt.series > 1));
  const parents = new Set(again.map((c) => c.attempt.parentId));
  const firsts = cases.filter((c) => c.isCounted && parents.has(c.attempt.id) && !again.includes(c));
  return grouped([...firsts, ...again], (c) => String(c.attempt.series).padStart(6, '0'))
    .map((some) => ({
      ...{ nth: some[0]!.attempt.series, n: some.length, worked: workedIn(some), attemptIds: idsOf(some) },
    }))
    .sort((a, b) => a.nth - b.nth);
};
