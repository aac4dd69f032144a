import { mirrorControl, otherSide } from './sides.js';
import type { Attempt, Control } from './types.js';

/** How an attempt follows one like it: the same once more, once more without success, on the other side, or only with the same grips. */
export const AGAIN = ['same', 'failed', 'other side', 'grips'] as const;
export type Again = (typeof AGAIN)[number];

/** What of a hold belongs to the one attempt it was told of. */
const UNTIMED = { gained: null, lost: null, handed: false, handedFrom: null, hidden: false, won: false } as const;

type Kept = Partial<
  Pick<Attempt, 'subject' | 'state' | 'lead' | 'action' | 'result' | 'controls' | 'parentId' | 'series'>
>;

/**
 * What an attempt takes over from the one it repeats. When grips were taken and lost, handed over or won is not taken over, that was the other attempt; a repetition names
 * what it repeats and counts on. `newId` makes the ids of the grips.
 */
export const repeated = (before: Attempt, how: Again, newId: () => string): Kept => {
  const held = before.controls.map((c): Control => ({ ...c, id: newId(), ...UNTIMED }));
  if (how === 'grips') return { controls: held };
  const isOther = how === 'other side';
  return {
    subject: before.subject,
    state: before.state,
    lead: isOther ? before.lead && otherSide(before.lead) : before.lead,
    action: before.action,
    controls: isOther ? held.map(mirrorControl) : held,
    parentId: before.id,
    series: before.series + 1,
    ...(how === 'failed' ? { result: 'failed' as const } : {}),
  };
};

type Stretch = { readonly startS: number; readonly endS: number };

/**
 * The attempt that another one is likely to be a second look at: same subject, same action, and at least half of the shorter one in common; of several the one with
 * most in common, ties by id.
 */
export const sameTry = <T extends Stretch & { readonly attempt: Attempt }>(
  one: T,
  others: readonly T[],
): T | undefined => {
  const common = (o: T): number => Math.min(one.endS, o.endS) - Math.max(one.startS, o.startS);
  return others
    .filter((o) => o.attempt.id !== one.attempt.id && one.attempt.action !== null)
    .filter((o) => o.attempt.subject === one.attempt.subject && o.attempt.action === one.attempt.action)
    .filter((o) => common(o) > 0 && common(o) >= Math.min(one.endS - one.startS, o.endS - o.startS) / 2)
    .sort((a, b) => common(b) - common(a) || (a.attempt.id < b.attempt.id ? -1 : 1))[0];
};
