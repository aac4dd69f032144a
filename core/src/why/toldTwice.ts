import { factSlot, type Attempt, type HoldPlace, type Instant } from '../attempts/index.js';
import { instantOfPart } from './evidence.js';

/** One value of a detail, and the attempts that tell it so. */
export type ToldAs = {
  readonly value: string;
  readonly attempts: readonly { readonly attemptId: string; readonly id: string; readonly at: Instant }[];
};
/** A detail that clips of one demonstration tell in two ways: a fact, or where a hold is. */
export type ToldTwice = {
  readonly footageId: string;
  readonly action: string;
  readonly of: 'fact' | 'place';
  /** What it is, without its value: equal for what is one detail. */ readonly slot: string;
  readonly tellings: readonly ToldAs[];
};

type Said = {
  readonly of: ToldTwice['of'];
  readonly slot: string;
  readonly value: string;
  readonly id: string;
  readonly at: Instant;
};

const saidIn = (attempt: Attempt): readonly Said[] => [
  ...attempt.facts.map((f) => ({
    of: 'fact' as const,
    slot: factSlot(f),
    value: f.value,
    id: f.id,
    at: instantOfPart(attempt, `fact:${f.id}`),
  })),
  ...attempt.controls.flatMap((c): Said[] =>
    c.place === null
      ? []
      : [
          {
            of: 'place',
            slot: [c.holder, c.limb, c.limbSide, c.kind, c.target, c.targetSide].join(' '),
            ...{ value: c.place, id: c.id, at: instantOfPart(attempt, `control:${c.id}`) },
          },
        ],
  ),
];

/**
 * Details told with two values in attempts at one action by one side, shown as right in one demonstration. `isShown` says which attempts are demonstrated.
 * @returns in the order in which the details are first told
 */
export const toldTwice = (
  attempts: readonly Attempt[],
  isShown: (attempt: Attempt) => boolean,
): readonly ToldTwice[] => {
  const details = new Map<
    string,
    { readonly of: Omit<ToldTwice, 'tellings'>; readonly said: (Said & { readonly attemptId: string })[] }
  >();
  for (const attempt of attempts) {
    const { action, footageId, subject, id } = attempt;
    if (action === null || attempt.shownAs === 'mistake' || !isShown(attempt)) continue;
    for (const said of saidIn(attempt)) {
      const key = [footageId, subject, action, said.of, said.slot].join('|');
      const detail = details.get(key) ?? { of: { footageId, action, of: said.of, slot: said.slot }, said: [] };
      detail.said.push({ ...said, attemptId: id });
      details.set(key, detail);
    }
  }
  return [...details.values()].flatMap(({ of, said }): ToldTwice[] => {
    const values = [...new Set(said.map((s) => s.value))];
    // one attempt says it once: what it says later stands
    if (values.length < 2 || new Set(said.map((s) => s.attemptId)).size < 2) return [];
    const tellings = values.map((value) => ({
      value,
      attempts: said.filter((s) => s.value === value).map(({ attemptId, id, at }) => ({ attemptId, id, at })),
    }));
    return [{ ...of, tellings }];
  });
};

/** An attempt with a detail told with another value. */
export const retold = (
  attempt: Attempt,
  { of }: Pick<ToldTwice, 'of'>,
  id: string,
  value: string,
): Pick<Attempt, 'facts' | 'controls'> => ({
  facts: attempt.facts.map((f) => (of === 'fact' && f.id === id ? { ...f, value } : f)),
  controls: attempt.controls.map((c) => (of === 'place' && c.id === id ? { ...c, place: value as HoldPlace } : c)),
});
