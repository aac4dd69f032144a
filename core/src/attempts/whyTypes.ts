import type { Instant, Side, State } from './basics.js';

/** Whom a fact is about: whoever acts, the other side, or both together. */
export const FACT_WHOSE = ['subject', 'opponent', 'both'] as const;
export type FactWhose = (typeof FACT_WHOSE)[number];
/** When a fact held: where the attempt starts, where it is committed to, where it ends. */
export const FACT_WHEN = ['start', 'commit', 'end'] as const;
export type FactWhen = (typeof FACT_WHEN)[number];

/** How somebody stood: a fact word with one of its values (`yes` or `no` where the word has none). One value for each word, side, athlete and time. */
export type FactUse = {
  readonly id: string;
  readonly fact: string;
  readonly value: string;
  readonly side: Side | null;
  readonly whose: FactWhose;
  readonly when: FactWhen;
};

/** What somebody could have done instead: an action of either side, or a reaction of the other side. Never an attempt. */
export type Alternative = {
  readonly id: string;
  readonly by: 'subject' | 'opponent';
  readonly what: string;
  readonly isAction: boolean;
  /** Why it was not done: a reason, and whatever else there is to say. */ readonly why: string | null;
  readonly text: string;
  /** When it began to be there, and the last instant at which it would have been of use. */
  readonly from: Instant | null;
  readonly until: Instant | null;
  /** What it would have given the other side. */ readonly opens: AlternativeOpens | null;
};
export type AlternativeOpens =
  ({ readonly kind: 'state' } & State) | { readonly kind: 'action'; readonly action: string };

/** What nobody said of an alternative. */
export const BARE_ALTERNATIVE = {
  why: null,
  text: '',
  from: null,
  until: null,
  opens: null,
} as const satisfies Partial<Alternative>;

export const LINK_KINDS = ['enables', 'prevents', 'forces', 'exposes', 'delays'] as const;
export type LinkKind = (typeof LINK_KINDS)[number];

/** A detail of an attempt: `state`, `action`, `finish`, `result`, or an item of a list by its id (`control:ID`). */
export type PartId = string;
/** A detail of this attempt (`attemptId` null) or of another one of the same footage. */
export type PartRef = { readonly attemptId: string | null; readonly part: PartId };

/** That one detail brought another about, or kept it from coming about. */
export type BecauseLink = {
  readonly id: string;
  readonly from: PartRef;
  readonly to: PartRef;
  readonly kind: LinkKind;
  /** False: a guess. */ readonly isSure: boolean;
};

/** How a detail is known. What nobody says anything about was seen. */
export const EVIDENCE_HOWS = ['seen', 'partly', 'hidden', 'concluded', 'felt', 'told'] as const;
export type EvidenceHow = (typeof EVIDENCE_HOWS)[number];
/** What shows a detail: a frame of a camera, or a clip. */
export type Proof =
  | { readonly kind: 'frame'; readonly angleId: string; readonly frame: number }
  | { readonly kind: 'clip'; readonly clipId: string };
/** Who told it, felt it or saw it: somebody with an account, or anybody known by name. */
export type Teller =
  { readonly kind: 'account'; readonly accountId: string } | { readonly kind: 'person'; readonly personId: string };
/** How a detail of an attempt is known; at most one for each. `by` null: nobody said who. */
export type Evidence = {
  readonly part: PartId;
  readonly how: EvidenceHow;
  readonly proof: Proof | null;
  readonly by: Teller | null;
};
/** What nobody said of how a detail is known. */
export const BARE_EVIDENCE = { proof: null, by: null } as const satisfies Partial<Evidence>;
