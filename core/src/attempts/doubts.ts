import { asCompared } from '../vocabulary/index.js';
import { withReason } from './reasons.js';
import {
  BARE_REACTION,
  type Attempt,
  type Control,
  type Doubt,
  type DoubtField,
  type Finish,
  type Result,
  type State,
} from './types.js';

/** One doubt where it stands. */
export type DoubtCase = { readonly attemptId: string; readonly doubt: Doubt };
/** What can be settled at once: everything that was called by the same unknown word in the same part; what is unsure stands alone. */
export type DoubtGroup = {
  readonly key: string;
  readonly field: DoubtField;
  readonly kind: Doubt['kind'];
  readonly text: string;
  readonly cases: readonly DoubtCase[];
};

/** All doubts of some attempts: unknown words first, those met most often before the others, then what is unsure. The order of the attempts does not matter. */
export const doubtQueue = (attempts: readonly Attempt[]): readonly DoubtGroup[] => {
  const groups = new Map<string, { group: Omit<DoubtGroup, 'cases'>; cases: DoubtCase[] }>();
  for (const attempt of [...attempts].sort((a, b) => (a.id < b.id ? -1 : 1)))
    for (const doubt of attempt.doubts) {
      const { field, kind, text } = doubt;
      const key = kind === 'unknown' ? `${field}: ${asCompared(text)}` : `${field} ${attempt.id}`;
      const found = groups.get(key) ?? { group: { key, field, kind, text }, cases: [] };
      found.cases.push({ attemptId: attempt.id, doubt });
      groups.set(key, found);
    }
  const rank = (g: DoubtGroup): number => (g.kind === 'unknown' ? 0 : 1);
  return [...groups.values()]
    .map(({ group, cases }): DoubtGroup => ({ ...group, cases }))
    .sort((a, b) => rank(a) - rank(b) || b.cases.length - a.cases.length || (a.key < b.key ? -1 : 1));
};

/** What a part is settled as. */
export type Settling =
  | { readonly field: 'state'; readonly value: State }
  | { readonly field: 'action' | 'reactions' | 'reasons'; readonly value: string }
  | { readonly field: 'finish'; readonly value: Finish }
  | { readonly field: 'result'; readonly value: Result }
  | { readonly field: 'controls'; readonly value: Omit<Control, 'id'> };

type Settled = Partial<
  Pick<Attempt, 'state' | 'action' | 'finish' | 'result' | 'controls' | 'reactions' | 'reasons' | 'doubts'>
>;

const saidAs = (attempt: Attempt, settling: Settling, newId: () => string): Settled => {
  switch (settling.field) {
    case 'state':
      return { state: settling.value };
    case 'finish':
      return { finish: settling.value };
    case 'result':
      return { result: settling.value };
    case 'action':
      return { action: settling.value };
    case 'controls':
      return { controls: [...attempt.controls, { ...settling.value, id: newId() }] };
    case 'reactions':
      return {
        reactions: [...attempt.reactions, { id: newId(), what: settling.value, isAction: false, ...BARE_REACTION }],
      };
    case 'reasons':
      return { reasons: withReason(attempt.reasons, settling.value, newId()) };
  }
};

/** The changes that settle a doubt: the part as it is said now (null: it stands as it is), and no doubt about it any more. */
export const settled = (
  attempt: Attempt,
  field: DoubtField,
  settling: Settling | null,
  newId: () => string,
): Settled => ({
  ...(settling ? saidAs(attempt, settling, newId) : {}),
  doubts: attempt.doubts.filter((d) => d.field !== field),
});
