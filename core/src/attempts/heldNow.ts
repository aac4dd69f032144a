import { otherSide } from './sides.js';
import type { Control, Instant, Side } from './types.js';

/** Whether a hold is on at a frame: taken by then or nobody said when, and not lost yet. */
export const isHeldAt = (control: Pick<Control, 'gained' | 'lost'>, frame: number): boolean =>
  (control.gained === null || control.gained.frame <= frame) && (control.lost === null || control.lost.frame > frame);

/** How many of two hands and two feet one side has on something at a frame. An arm that is locked is its hand, a leg its foot; a limb without a side counts as one that is free. */
export const limbsOn = (
  controls: readonly Control[],
  holder: Control['holder'],
  frame: number,
): { readonly hands: number; readonly feet: number } => {
  const held = controls.filter((c) => c.holder === holder && isHeldAt(c, frame));
  const count = (limbs: readonly string[]): number => {
    const ours = held.filter((c) => limbs.includes(c.limb));
    const sides = new Set(ours.flatMap((c) => c.limbSide ?? []));
    return Math.min(2, sides.size + ours.filter((c) => c.limbSide === null).length);
  };
  return { hands: count(['hand', 'arm']), feet: count(['foot', 'leg', 'knee']) };
};

/** Whether a hold can be handed to the other hand: it is of a hand whose side is known. */
export const mayBeHanded = (hold: Pick<Control, 'limb' | 'limbSide'>): hold is { limb: 'hand'; limbSide: Side } =>
  hold.limb === 'hand' && hold.limbSide !== null;

/**
 * A hold handed from one own hand to the other at an instant: the first ends there, and the second begins there as the same hold, neither lost nor gained. Null where
 * that cannot be (`mayBeHanded`).
 */
export const handedOver = (
  controls: readonly Control[],
  id: string,
  at: Instant,
  newId: () => string,
): readonly Control[] | null => {
  const hold = controls.find((c) => c.id === id);
  if (!hold || !mayBeHanded(hold)) return null;
  const next: Control = {
    ...hold,
    id: newId(),
    limbSide: otherSide(hold.limbSide),
    gained: at,
    lost: null,
    handed: true,
    handedFrom: id,
  };
  return controls.flatMap((c) => (c.id === id ? [{ ...c, lost: at }, next] : [c]));
};
