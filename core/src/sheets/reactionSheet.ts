import type { PlaceId } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import {
  answersFound,
  answersSeen,
  answersTo,
  cellsOf,
  groupsOf,
  type AnswerSeen,
  type Answered,
  type AnswersFound,
} from './answerTable.js';
import type { Case, SheetSource } from './cases.js';
import { grouped, isLine, metBy, wentOf, type Went } from './details.js';

/** A reaction, wherever it is met: by which entries, and what was done about it. Own attempts of the view. */
export type ReactionSheet = {
  readonly reaction: string;
  /** Attempts that met it anywhere in their list; those it stopped. */ readonly met: number;
  readonly stopped: number;
  readonly attemptIds: readonly string[];
  /** The entries under which it stands, by place and entry, the most met first; each with how far it is answered there. */
  readonly where: readonly (Went & {
    readonly place: PlaceId;
    readonly action: string;
    readonly bait: boolean;
    readonly status: Answered;
    readonly answers: readonly AnswerSeen[];
  })[];
  /** What answers it, wherever that was, the best first. */ readonly answers: readonly AnswerSeen[];
};

export const reactionSheet = (
  reaction: string,
  source: SheetSource,
  words: Words,
  found: AnswersFound = answersFound(source),
): ReactionSheet => {
  const own = source.cases.filter((c) => c.whose === 'own');
  const met = metBy(own).find((m) => !m.isAction && m.what === reaction);
  const isHere = (c: Case): boolean => isLine(c, { what: reaction, isAction: false });
  const byId = new Map(own.map((c) => [c.attempt.id, c]));
  const where = groupsOf(own).flatMap((group) => {
    if (!group.some(isHere)) return [];
    const cell = cellsOf(group, source, found, words).find(
      ({ column }) => typeof column !== 'string' && !column.isAction && column.what === reaction,
    );
    if (!cell?.status) return [];
    const { from: place, action, attempt } = group[0]!;
    const tried = wentOf(cell.attemptIds.flatMap((id) => byId.get(id) ?? []));
    return [
      {
        ...{ place, action, bait: attempt.intent === 'bait', ...tried },
        ...{ status: cell.status, answers: cell.answers },
      },
    ];
  });
  const byAll = own.filter(isHere).flatMap((c) => answersTo(found, c, reaction));
  const byHand = own.filter((c) => c.attempt.answers.some((a) => a.reaction === reaction));
  return {
    reaction,
    met: met?.met ?? 0,
    stopped: met?.stopped ?? 0,
    attemptIds: met?.attemptIds ?? [],
    where: [...where].sort((a, b) => b.attemptIds.length - a.attemptIds.length),
    answers: answersSeen([...byAll, ...byHand]),
  };
};

/** Reactions of the other side that attempts of one's own met, those met most first. */
export const reactionsMet = (cases: readonly Case[]): readonly { readonly reaction: string; readonly n: number }[] =>
  grouped(
    cases.flatMap((c) =>
      c.whose === 'own' ? [...new Set(c.attempt.reactions.flatMap((r) => (r.isAction ? [] : r.what)))] : [],
    ),
    (what) => what,
  ).map((some) => ({ reaction: some[0]!, n: some.length }));
