import type { ActionKind, Role } from '../vocabulary/index.js';
import type { Pattern } from '../why/index.js';

export const STRENGTHS = ['required', 'usual', 'habit', 'never'] as const;
/** How far a principle binds: it must be so, mostly is so, is how one athlete does it, or is not to be so without a reason. */
export type Strength = (typeof STRENGTHS)[number];

export type HoldPattern = Extract<Pattern, { readonly kind: 'hold' }>;

/** To which attempts a principle applies: those that agree in each part that is named. A role of null = either. */
export type PrincipleScope = {
  readonly state: { readonly position: string; readonly role: Role | null } | null;
  /** Any action of a kind. */ readonly does: ActionKind | null;
  readonly action: string | null;
  readonly reaction: string | null;
  readonly hold: HoldPattern | null;
};

/** Whose view a principle is. */
export type View =
  | { readonly kind: 'academy' }
  | { readonly kind: 'account'; readonly accountId: string }
  | { readonly kind: 'person'; readonly personId: string }
  | { readonly kind: 'speaker'; readonly name: string };

/** A sentence tied to what happens: what must be there, or how something is answered. */
export type Principle = {
  readonly id: string;
  readonly version: number;
  readonly scope: PrincipleScope;
  readonly strength: Strength;
  /** Whose habit it is; null where it is none. */ readonly habitOf: string | null;
  readonly sentence: string;
  /** What has to be there, or, of *never*, must not be. */ readonly pattern: Pattern | null;
  /** The action with which the reaction of the scope is answered. */ readonly answer: string | null;
  readonly view: View;
  /** Kept by the academy, or another view that stays on record. */ readonly standing: 'kept' | 'other';
  /** What somebody said by hand. */
  readonly clipsFor: readonly string[];
  readonly clipsAgainst: readonly string[];
};
