import type { ControlPattern, Words } from '../vocabulary/index.js';
import { mirrorControl, otherSide } from './sides.js';
import { proposedResult } from './standing.js';
import type { Attempt, Control, Result, Side } from './types.js';
import type { Footage } from '../footage/index.js';

/** What does not go together in an attempt; it is pointed out, never changed. */
export type Contradiction =
  | {
      readonly kind: 'two places';
      readonly holder: Control['holder'];
      readonly limb: Control['limb'];
      readonly side: Side;
    }
  | {
      readonly kind: 'too many';
      readonly holder: Control['holder'];
      readonly limb: 'hand' | 'foot';
      readonly count: number;
    }
  | { readonly kind: 'cloth in no-gi'; readonly target: string }
  | { readonly kind: 'not held'; readonly position: string; readonly target: string; readonly both: boolean }
  | { readonly kind: 'result'; readonly said: Result; readonly follows: Result }
  | { readonly kind: 'lead'; readonly position: string; readonly before: Side; readonly now: Side }
  | { readonly kind: 'side'; readonly before: Control; readonly now: Control };

const HOLDERS = ['subject', 'opponent'] as const;
/** Limbs that can be in one place only, and of which everybody has two. */
const SINGLE = ['hand', 'foot'] as const;

/** Whether two holds are there at once: instants that are not said leave it open, and then they are. */
const begins = (c: Control): number => c.gained?.frame ?? Number.NEGATIVE_INFINITY;
const ends = (c: Control): number => c.lost?.frame ?? Number.POSITIVE_INFINITY;
const areTogether = (a: Control, b: Control): boolean => begins(a) < ends(b) && begins(b) < ends(a);
/** Most that are there at one instant: it is reached where one of them begins. */
const mostAtOnce = (held: readonly Control[]): number =>
  Math.max(0, ...held.map((a) => held.filter((b) => begins(b) <= begins(a) && begins(a) < ends(b)).length));

const fits = (control: Control, pattern: ControlPattern): boolean =>
  control.limb === pattern.limb &&
  control.kind === pattern.kind &&
  control.target === pattern.target &&
  (!pattern.cloth || control.cloth);

const limbsOf = (controls: readonly Control[]): readonly Contradiction[] =>
  HOLDERS.flatMap((holder) =>
    SINGLE.flatMap((limb): readonly Contradiction[] => {
      const held = controls.filter((c) => c.holder === holder && c.limb === limb);
      const twice = (['left', 'right'] as const).flatMap((side): Contradiction[] => {
        const here = held.filter((c) => c.limbSide === side);
        return here.some((a, i) => here.slice(i + 1).some((b) => areTogether(a, b)))
          ? [{ kind: 'two places', holder, limb, side }]
          : [];
      });
      if (twice.length) return twice;
      const count = mostAtOnce(held);
      return count > 2 ? [{ kind: 'too many', holder, limb, count }] : [];
    }),
  );

/** What a position asks of whoever holds it and is not among the grips that were said; where none of theirs were said, nothing is missed. */
const notHeld = (attempt: Pick<Attempt, 'state' | 'controls'>, words: Words): readonly Contradiction[] => {
  const { state, controls } = attempt;
  const word = state && words.position(state.position);
  return (word?.requires ?? []).flatMap((pattern): Contradiction[] => {
    const holder = pattern.holder === state!.role ? 'subject' : 'opponent';
    const theirs = controls.filter((c) => c.holder === holder);
    if (!theirs.length) return [];
    const found = theirs.filter((c) => fits(c, pattern)).length;
    return found >= (pattern.bothSides ? 2 : 1)
      ? []
      : [{ kind: 'not held', position: word!.key, target: pattern.target, both: pattern.bothSides }];
  });
};

/**
 * Everything in an attempt that does not go together: one hand in two places at once, more hands or feet than there are, cloth held where nobody wears
 * any, a position without the grips that make it, a result that does not follow from the finish. In this order; the same list for the mirrored attempt, with the
 * sides changed.
 */
export const contradictionsIn = (
  attempt: Pick<Attempt, 'state' | 'action' | 'finish' | 'intent' | 'aim' | 'result' | 'controls' | 'end'>,
  footage: Pick<Footage, 'gi'>,
  words: Words,
): readonly Contradiction[] => {
  const cloth = footage.gi ? [] : [...new Set(attempt.controls.filter((c) => c.cloth).map((c) => c.target))];
  const follows = proposedResult(attempt, words);
  const said = attempt.result;
  // what was dropped or shown is not measured by where it ended
  const isMeasured = said === 'success' || said === 'partial' || said === 'failed';
  return [
    ...limbsOf(attempt.controls),
    ...cloth.map((target): Contradiction => ({ kind: 'cloth in no-gi', target })),
    ...notHeld(attempt, words),
    ...(isMeasured && follows !== null && follows !== said ? [{ kind: 'result' as const, said, follows }] : []),
  ];
};

/** What an athlete does with holds: of the same attempt's two sides, who it is. */
const holderOf = (attempt: Pick<Attempt, 'subject'>, control: Control): string =>
  (control.holder === 'subject') === (attempt.subject === 'a') ? 'a' : 'b';

/** Whether two sides were both said, and differently. */
const differ = (a: Side | null, b: Side | null): boolean => a !== null && b !== null && a !== b;

/**
 * Sides that do not agree with those of the attempt before it, to which it is linked: the position stayed and its lead is said to be the other one; or what goes on
 * being held by the same limb is said with one of its two sides changed. Holds with a gain here or a loss there may well be new. Both athletes' sides are their own,
 * so it does not matter whose attempts they are.
 */
export const sidesAgainst = (
  before: Pick<Attempt, 'subject' | 'state' | 'finish' | 'lead' | 'controls'>,
  now: Pick<Attempt, 'subject' | 'state' | 'lead' | 'controls'>,
): readonly Contradiction[] => {
  const left = before.finish?.kind === 'state' ? before.finish.position : before.finish ? null : before.state?.position;
  const stayed = now.state !== null && before.state?.position === now.state.position && left === now.state.position;
  const lead: readonly Contradiction[] =
    stayed && differ(before.lead, now.lead)
      ? [{ kind: 'lead', position: now.state.position, before: before.lead!, now: now.lead! }]
      : [];
  const kept = before.controls.filter((c) => c.lost === null);
  const sides = now.controls
    .filter((c) => c.gained === null)
    .flatMap((c): Contradiction[] => {
      const same = kept.filter(
        (k) =>
          holderOf(before, k) === holderOf(now, c) &&
          k.limb === c.limb &&
          k.kind === c.kind &&
          k.target === c.target &&
          k.targetOwner === c.targetOwner,
      );
      // where there are two of a kind, neither can be told to be the other
      const [only, ...more] = same;
      const changed = only && differ(only.limbSide, c.limbSide) !== differ(only.targetSide, c.targetSide);
      return only && !more.length && changed ? [{ kind: 'side', before: only, now: c }] : [];
    });
  return [...lead, ...sides];
};

/** A contradiction as the mirrored attempt has it. */
export const mirrorContradiction = (c: Contradiction): Contradiction =>
  c.kind === 'two places'
    ? { ...c, side: otherSide(c.side) }
    : c.kind === 'lead'
      ? { ...c, before: otherSide(c.before), now: otherSide(c.now) }
      : c.kind === 'side'
        ? { ...c, before: mirrorControl(c.before), now: mirrorControl(c.now) }
        : c;
