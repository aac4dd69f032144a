import type { PlaceId } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { answersFound, cellsOf, groupsOf, type Answered, type AnswersFound, type Met } from './answerTable.js';
import type { Case, SheetSource } from './cases.js';
import { grouped } from './details.js';

/** Where a line out of a place splits: what the other side does about an entry, and where that leads when it is answered. */
export type Fork = {
  readonly action: string;
  readonly bait: boolean;
  /** Where most of the attempts ended that met it: the line on which it lies. */ readonly to: PlaceId;
  readonly met: Met;
  readonly n: number;
  readonly status: Answered;
  /** The best first, each with where most of its attempts ended. */
  readonly answers: readonly {
    readonly action: string;
    readonly to: PlaceId;
    readonly n: number;
    readonly worked: number;
    readonly attemptIds: readonly string[];
  }[];
  readonly attemptIds: readonly string[];
};

/** Where most of some attempts ended; undefined where there are none. */
const mostlyTo = (ids: readonly string[], byId: ReadonlyMap<string, Case>): PlaceId | undefined =>
  grouped(
    ids.flatMap((id) => byId.get(id)?.to ?? []),
    (to) => to,
  )[0]?.[0];

/** The lines of one's own out of a place, split by what they met there: what was met most first. What was only said to come is no part of them. */
export const forksAt = (
  place: PlaceId,
  source: SheetSource,
  words: Words,
  found: AnswersFound = answersFound(source),
): readonly Fork[] => {
  const byId = new Map(source.cases.map((c) => [c.attempt.id, c]));
  const forks = groupsOf(source.cases.filter((c) => c.whose === 'own' && c.from === place)).flatMap((group) =>
    cellsOf(group, source, found, words).flatMap(({ column, status, answers, attemptIds }): Fork[] => {
      const to = mostlyTo(attemptIds, byId);
      if (typeof column === 'string' || status === null || to === undefined) return [];
      const { action, attempt } = group[0]!;
      return [
        {
          ...{ action, bait: attempt.intent === 'bait', to, met: column, n: attemptIds.length, status, attemptIds },
          answers: answers.flatMap((a) => {
            const end = mostlyTo(a.attemptIds, byId);
            return end === undefined
              ? []
              : { action: a.action, to: end, n: a.n, worked: a.worked, attemptIds: a.attemptIds };
          }),
        },
      ];
    }),
  );
  const key = (f: Fork): string => `${f.action} ${f.bait} ${f.met.isAction} ${f.met.what}`;
  return [...forks].sort((a, b) => b.n - a.n || (key(a) < key(b) ? -1 : 1));
};
