import { gripsAtCommit, normaliseSides, type PlaceId } from '../attempts/index.js';
import { answersFound, answersSeen, answersTo, type AnswerSeen, type AnswersFound } from './answerTable.js';
import type { Case, SheetSource } from './cases.js';
import {
  depthsIn,
  errorsIn,
  grouped,
  isLine,
  metBy,
  reasonsIn,
  wentOf,
  triesOf,
  type DepthRow,
  type MetRow,
  type Went,
} from './details.js';
import { holdKey, holdKind, type HoldKind } from './holds.js';
import { timesOf, type Times } from './times.js';

/** An entry, wherever it is begun from. Own attempts of the view. */
export type EntrySheet = {
  readonly action: string;
  readonly all: Went;
  readonly from: readonly (Went & { readonly place: PlaceId; readonly bait: boolean })[];
  /** From where to where it led. */ readonly ways: readonly {
    readonly from: PlaceId;
    readonly to: PlaceId;
    readonly n: number;
    readonly attemptIds: readonly string[];
  }[];
  /** Reactions it met, the most met first, with what answered them when they decided how it went. */
  readonly met: readonly (MetRow & { readonly answers: readonly AnswerSeen[] })[];
  readonly holds: readonly (Went & { readonly hold: HoldKind })[];
  /** How far it came, where somebody said so; undefined where nobody did. */ readonly depth: DepthRow | undefined;
  readonly errors: ReturnType<typeof errorsIn>;
  readonly reasons: ReturnType<typeof reasonsIn>;
  readonly tries: ReturnType<typeof triesOf>;
  readonly times: Times;
};

/** What was held when they were committed to, by kind of hold, the most held first; an attempt counts once for each. */
const holdsIn = (cases: readonly Case[]): EntrySheet['holds'] =>
  grouped(
    cases.flatMap((c) => {
      const kinds = new Map(gripsAtCommit(normaliseSides(c.attempt)).map((g) => [holdKey(holdKind(g)), holdKind(g)]));
      return [...kinds].map(([key, hold]) => ({ key, hold, c }));
    }),
    (h) => h.key,
  ).map((some) => ({ hold: some[0]!.hold, ...wentOf(some.map((h) => h.c)) }));

export const entrySheet = (
  action: string,
  source: SheetSource,
  found: AnswersFound = answersFound(source),
): EntrySheet => {
  const cases = source.cases.filter((c) => c.whose === 'own' && c.action === action);
  const answeredBy = (met: MetRow): readonly AnswerSeen[] =>
    answersSeen(cases.flatMap((c) => (isLine(c, met) ? answersTo(found, c, met.what) : [])));
  return {
    action,
    all: wentOf(cases),
    from: grouped(cases, (c) => `${c.from} ${c.attempt.intent}`).map((some) => ({
      ...{ place: some[0]!.from, bait: some[0]!.attempt.intent === 'bait' },
      ...wentOf(some),
    })),
    ways: grouped(cases, (c) => `${c.from} ${c.to}`).map((some) => ({
      ...{ from: some[0]!.from, to: some[0]!.to, n: some.length },
      ...{ attemptIds: some.map((c) => c.attempt.id).sort() },
    })),
    met: metBy(cases).map((row) => ({ ...row, answers: answeredBy(row) })),
    holds: holdsIn(cases),
    depth: depthsIn(cases)[0],
    errors: errorsIn(cases),
    reasons: reasonsIn(cases),
    tries: triesOf(cases),
    times: timesOf(cases, source),
  };
};

/** The entries of one side, those tried most first; what only changes holds is none. */
export const entriesOf = (cases: readonly Case[]): readonly { readonly action: string; readonly n: number }[] =>
  grouped(
    cases.filter((c) => c.whose === 'own' && !c.isHeld),
    (c) => c.action,
  ).map((some) => ({ action: some[0]!.action, n: some.length }));
