import type { Attempt, Control, ReactionUse, Side } from './types.js';
import type { FactUse } from './whyTypes.js';

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** The same hold on the other side: every side that is said is the other one. */
export const mirrorControl = (control: Control): Control => ({
  ...control,
  limbSide: control.limbSide && otherSide(control.limbSide),
  targetSide: control.targetSide && otherSide(control.targetSide),
});

/** The same reaction on the other side. */
const mirrorReaction = (reaction: ReactionUse): ReactionUse => ({
  ...reaction,
  side: reaction.side && otherSide(reaction.side),
});

/** The same fact on the other side; what leans to a side leans to the other one. */
export const mirrorFact = (fact: FactUse): FactUse => ({
  ...fact,
  side: fact.side && otherSide(fact.side),
  value: fact.value === 'left' || fact.value === 'right' ? otherSide(fact.value) : fact.value,
});

/** Where the sides of an attempt stand. */
export type Sided = Pick<Attempt, 'lead' | 'controls' | 'reactions' | 'facts'>;
/** What is said of an attempt, on the other side: every side that is said is the other one. What is not there stays away. */
export const mirrorSaid = <T extends Partial<Sided>>(said: T): T => ({
  ...said,
  ...(said.lead && { lead: otherSide(said.lead) }),
  ...(said.controls && { controls: said.controls.map(mirrorControl) }),
  ...(said.reactions && { reactions: said.reactions.map(mirrorReaction) }),
  ...(said.facts && { facts: said.facts.map(mirrorFact) }),
});
/** The same attempt on the other side: every side that is said is the other one. */
export const mirrorAttempt = <T extends Sided>(attempt: T): T => mirrorSaid(attempt);

/** The normal form of sides: lead right. With lead left every side is swapped; with no lead said all stays as it is. */
export const normaliseSides = <T extends Sided>(attempt: T): T =>
  attempt.lead === 'left' ? mirrorAttempt(attempt) : attempt;

/** A control without its instants and id, as one string: equal strings mean the same hold. */
export const controlKey = (c: Control): string =>
  [
    c.holder,
    c.limb,
    c.limbSide ?? '-',
    c.kind,
    c.target,
    c.targetOwner,
    c.targetSide ?? '-',
    c.reach ?? '-',
    c.cloth ? 'cloth' : 'body',
    c.depth ?? '-',
    c.thumb ?? '-',
    c.place ?? '-',
  ].join(' ');
