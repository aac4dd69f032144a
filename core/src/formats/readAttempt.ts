import type {
  Alternative,
  Attempt,
  Control,
  Evidence,
  FactUse,
  Finish,
  ReactionUse,
  ReasonUse,
  Result,
  State,
  Subject,
} from '../attempts/index.js';
import { draftAttempt } from '../rows/index.js';

/** What a line says of its attempt, without ids. */
export type ReadAttempt = {
  readonly subject: Subject;
  readonly state: State | null;
  readonly action: string | null;
  readonly intent: Attempt['intent'];
  readonly result: Result | null;
  readonly depth: number | null;
  readonly finish: Finish | null;
  readonly controls: readonly Omit<Control, 'id'>[];
  readonly reactions: readonly Omit<ReactionUse, 'id'>[];
  readonly reasons: readonly Omit<ReasonUse, 'id'>[];
  readonly facts: readonly Omit<FactUse, 'id'>[];
  readonly alternatives: readonly Omit<Alternative, 'id'>[];
  /** Details in lists by their number, counted through grips, reactions, facts and alternatives: `control:0` is the first hold. */ readonly evidence: readonly Evidence[];
};

/** What a line tells as an attempt; `newId` gives the ids of what is in its lists. */
export const attemptRead = (read: ReadAttempt, bare: Attempt, newId: () => string): Attempt => {
  const ids: string[] = [];
  const withIds = <T>(list: readonly T[]): readonly (T & { readonly id: string })[] =>
    list.map((item) => {
      const id = newId();
      ids.push(id);
      return { ...item, id };
    });
  const [controls, reactions] = [withIds(read.controls), withIds(read.reactions)];
  const [facts, alternatives] = [withIds(read.facts), withIds(read.alternatives)];
  const evidence = read.evidence.map((e) => ({ ...e, part: e.part.replace(/\d+$/, (nth) => ids[Number(nth)]!) }));
  return {
    ...bare,
    ...read,
    ...{ controls, reactions, facts, alternatives, evidence },
    reasons: withIds(read.reasons),
  };
};

const NOWHERE = { frame: 0, pts: 0 };
/** What a line tells with its details numbered, so that another cell can name them. */
export const numbered = (read: ReadAttempt): Attempt => {
  let next = 0;
  const nobody = { id: '', footageId: '', angleId: '', subject: read.subject, start: NOWHERE, end: NOWHERE };
  return attemptRead(read, draftAttempt(nobody), () => String(next++));
};
