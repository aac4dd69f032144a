import type { Attempt, ProposedPart } from './types.js';

/** The field of an attempt that says a part: the role of a place is said with the place. */
const FIELD: Readonly<Record<ProposedPart, 'subject' | 'state' | 'action' | 'finish' | 'result'>> = {
  subject: 'subject',
  state: 'state',
  stateRole: 'state',
  action: 'action',
  finish: 'finish',
  finishRole: 'finish',
  result: 'result',
};

type Open = Pick<Attempt, 'proposed' | 'endAssumed'>;
/** Changes of an attempt with what they say no longer proposed or assumed: what somebody sets is said, unless the changes tell themselves what is not. */
export const asSaid = <C extends Partial<Attempt>>({ proposed, endAssumed }: Open, changes: C): C & Partial<Open> => {
  const isEndSaid = endAssumed && changes.end !== undefined && changes.endAssumed === undefined;
  const withEnd = isEndSaid ? { ...changes, endAssumed: false } : changes;
  if (changes.proposed !== undefined) return withEnd;
  const left = proposed.filter((part) => changes[FIELD[part]] === undefined);
  return left.length === proposed.length ? withEnd : { ...withEnd, proposed: left };
};

/** What of a field stands only because it follows: all of it, or the role in it; null where somebody said it. */
export const proposedIn = (
  { proposed }: Pick<Attempt, 'proposed'>,
  field: (typeof FIELD)[ProposedPart],
): ProposedPart | null => proposed.find((part) => FIELD[part] === field) ?? null;
