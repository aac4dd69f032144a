import type { Attempt, Control, Side } from './types.js';

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** The same hold on the other side: every side that is said is the other one. */
export const mirrorControl = (control: Control): Control => ({
  ...control,
  limbSide: control.limbSide && otherSide(control.limbSide),
  targetSide: control.targetSide && otherSide(control.targetSide),
});

/** The same attempt on the other side: every side that is said is the other one. */
export const mirrorAttempt = <T extends Pick<Attempt, 'lead' | 'controls'>>(attempt: T): T => ({
  ...attempt,
  lead: attempt.lead && otherSide(attempt.lead),
  controls: attempt.controls.map(mirrorControl),
});

/** The normal form of sides: lead right. With lead left every side is swapped; with no lead said all stays as it is. */
export const normaliseSides = <T extends Pick<Attempt, 'lead' | 'controls'>>(attempt: T): T =>
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
  ].join(' ');
