import type { Attempt } from '../attempts/index.js';

/** What of an attempt is told, and so can be amended; where it lies in the footage, and what waits to be settled, is not. */
export const AMENDABLE = [
  ...([
    'subject',
    'state',
    'lead',
    'action',
    'intent',
    'aim',
    'form',
    'planned',
    'wanted',
    'finish',
    'result',
  ] as const),
  ...(['depth', 'resisted', 'shownAs', 'controls', 'reactions', 'reasons', 'errors', 'facts', 'alternatives'] as const),
  ...(['links', 'evidence'] as const),
] as const;
export type Amendable = (typeof AMENDABLE)[number];

/** What is put right within this time by whoever said it is a slip of the hand, in milliseconds. */
export const SLIP_MS = 10 * 60_000;

/** An attempt as an edit left it. `isTold`: not an undo, and not undone since. `at` in milliseconds. */
export type AfterEdit = {
  readonly editId: string;
  readonly accountId: string;
  readonly at: number;
  readonly isTold: boolean;
  readonly attempt: Attempt;
};
/** Something that was said and then said otherwise, or taken back. */
export type Amendment = {
  readonly editId: string;
  readonly attemptId: string;
  readonly field: Amendable;
  readonly before: unknown;
  readonly after: unknown;
  readonly by: { readonly accountId: string; readonly at: number };
  /** Who had said it, and when. */ readonly saidBy: { readonly accountId: string; readonly at: number };
};

/** What stands in a field that nobody said, where that is something. */
const UNSAID: Partial<Record<Amendable, unknown>> = { intent: 'own', shownAs: 'right' };
const asText = (value: unknown): string => JSON.stringify(value);
/** What was said in a list is amended where an item of it is no longer there as it was; one that comes is only more. */
const isAmended = (field: Amendable, before: Attempt, after: Attempt): boolean => {
  const [was, is] = [before[field], after[field]];
  if (!Array.isArray(was)) return was !== null && was !== '' && was !== UNSAID[field];
  const left = new Set((is as readonly unknown[]).map(asText));
  return was.some((item) => !left.has(asText(item)));
};

/**
 * What was amended of one attempt, out of how each edit left it, the first one first: a part that had been said, and was then said otherwise by somebody else, or by the same one more than ten
 * minutes later.
 */
export const amendmentsOf = (history: readonly AfterEdit[]): readonly Amendment[] => {
  const [first] = history;
  if (!first) return [];
  const made = { accountId: first.accountId, at: first.at };
  const saidBy = new Map<Amendable, Amendment['saidBy']>(AMENDABLE.map((field) => [field, made]));
  return history.slice(1).flatMap(({ attempt, editId, accountId, at, isTold }, i): Amendment[] => {
    // undone, the words before it stand again, and are whose they were
    if (!isTold) return [];
    const before = history[i]!.attempt;
    const changed = AMENDABLE.filter((field) => asText(before[field]) !== asText(attempt[field]));
    const by = { accountId, at };
    return changed.flatMap((field): Amendment[] => {
      const said = saidBy.get(field)!;
      saidBy.set(field, by);
      const isSlip = said.accountId === accountId && at - said.at <= SLIP_MS;
      return !isSlip && isAmended(field, before, attempt)
        ? [{ editId, attemptId: attempt.id, field, before: before[field], after: attempt[field], by, saidBy: said }]
        : [];
    });
  });
};
