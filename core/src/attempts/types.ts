import type { ControlKind, Limb, Role } from '../vocabulary/index.js';
import type { Instant, Side, State } from './basics.js';
import type { Alternative, BecauseLink, Evidence, FactUse } from './whyTypes.js';

export type { Instant, Side, State } from './basics.js';

/** Whose action it is: athlete a or athlete b of the footage. */
export type Subject = 'a' | 'b';

export const RESULTS = ['success', 'partial', 'failed', 'abandoned', 'shown'] as const;
export type Result = (typeof RESULTS)[number];

export const RESETS = ['edge', 'time', 'stand-up'] as const;
export type ResetWay = (typeof RESETS)[number];

/** Where an attempt ends. `won` is told from the subject. */
export type Finish =
  | { readonly kind: 'state'; readonly position: string; readonly role: Role }
  | { readonly kind: 'submission'; readonly submission: string; readonly won: boolean }
  | { readonly kind: 'reset'; readonly how: ResetWay; readonly restart: State | null };

/** A place to come to, or a submission to win. */
export type AttemptAim =
  ({ readonly kind: 'state' } & State) | { readonly kind: 'submission'; readonly submission: string };

/** A side told by where it is, for whoever does not name left and right: on the near or the far side of the body; across, or on the same side. */
export const REACHES = ['near', 'far', 'cross', 'same'] as const;
export type Reach = (typeof REACHES)[number];

/** How deep a hold is: fingers at the edge, or all the way in. */
export const HOLD_DEPTHS = ['shallow', 'deep'] as const;
/** How the holding hand is turned: thumb inside the cloth or under, or outside and on top. */
export const THUMBS = ['in', 'out'] as const;

/** Where on a limb, or on cloth, a hold is. */
export const HOLD_PLACES = {
  arm: ['wrist', 'mid forearm', 'below the elbow', 'above the elbow', 'shoulder'],
  leg: ['toes', 'heel', 'ankle', 'mid shin', 'below the knee', 'above the knee', 'hip'],
  cloth: ['at the hem', 'at the belt', 'mid way', 'at the chest', 'behind the neck'],
} as const;
export type HoldPlace = (typeof HOLD_PLACES)[keyof typeof HOLD_PLACES][number];
/** What a hold is for. */
export const HOLD_PURPOSES = ['steer', 'pull', 'push', 'post', 'block', 'hide', 'open'] as const;
export type HoldPurpose = (typeof HOLD_PURPOSES)[number];

/** One limb holding a target. Sides are the athletes' own left and right; null = not said. */
export type Control = {
  readonly id: string;
  readonly holder: 'subject' | 'opponent';
  readonly limb: Limb;
  readonly limbSide: Side | null;
  readonly kind: ControlKind;
  readonly target: string;
  readonly targetOwner: 'other' | 'own' | 'mat' | 'wall';
  readonly targetSide: Side | null;
  readonly reach: Reach | null;
  readonly cloth: boolean;
  readonly depth: (typeof HOLD_DEPTHS)[number] | null;
  readonly thumb: (typeof THUMBS)[number] | null;
  /** Where exactly, and what for; null and none = not said. */
  readonly place: HoldPlace | null;
  readonly purposes: readonly HoldPurpose[];
  /** Held though nobody can see it. */ readonly hidden: boolean;
  /** Taken over from the holder's own other hand: a handing over, neither a loss nor a gain. */ readonly handed: boolean;
  /** The hold of the holder's other hand that it was taken over from. */ readonly handedFrom: string | null;
  /** A gain in itself: whoever still holds it at the end has won something. */ readonly won: boolean;
  /** When it was taken and lost; null = not said. A control without instants is taken as held at commit. */
  readonly gained: Instant | null;
  readonly lost: Instant | null;
};

/** What nobody said of a hold. */
export const BARE_HOLD = {
  reach: null,
  depth: null,
  thumb: null,
  place: null,
  purposes: [],
  hidden: false,
  handed: false,
  handedFrom: null,
  won: false,
  gained: null,
  lost: null,
} as const satisfies Partial<Control>;

/** How good a reaction was. It says nothing about whose mistake that was. */
export const REACTION_QUALITIES = ['right', 'wrong', 'early', 'late'] as const;
export type ReactionQuality = (typeof REACTION_QUALITIES)[number];

/** What the other side did about it: a reaction word, or an action word when it was itself an attack. */
export type ReactionUse = {
  readonly id: string;
  readonly what: string;
  readonly isAction: boolean;
  /** It decided how the attempt went; at most one of an attempt. */ readonly deciding: boolean;
  /** null = not said. */ readonly quality: ReactionQuality | null;
  /** With what it was done, and when; null = not said. */
  readonly limb: Limb | null;
  readonly side: Side | null;
  readonly at: Instant | null;
};

/** What nobody said of a reaction. */
export const BARE_REACTION = {
  deciding: false,
  quality: null,
  limb: null,
  side: null,
  at: null,
} as const satisfies Partial<ReactionUse>;

export type ReasonUse = { readonly id: string; readonly reason: string; readonly main: boolean };

/** A mistake in the attempt: whose, whether the other side brought it about or it was given away, what it was (a reason), and until when it could still have been mended. */
export type ErrorUse = {
  readonly id: string;
  readonly by: 'subject' | 'opponent';
  readonly cause: 'brought about' | 'given away';
  readonly what: string | null;
  readonly until: Instant | null;
};

/** What somebody was met with: what they did, from where, and what the other side did against it. */
export type Met = { readonly from: State; readonly action: string; readonly reaction: string };
/** Said by hand: what an attempt is an answer to, in whatever footage that was met. */
export type AnswerUse = Met & { readonly id: string };

/** Parts of an attempt of which one may be unsure. */
export const DOUBT_FIELDS = ['state', 'controls', 'action', 'reactions', 'finish', 'result', 'reasons'] as const;
export type DoubtField = (typeof DOUBT_FIELDS)[number];

/** Something about a part of an attempt that waits to be settled: what is said is unsure, or nobody has a word for it yet. `at` is the frame on which to look. */
export type Doubt = {
  readonly field: DoubtField;
  readonly kind: 'unsure' | 'unknown';
  readonly text: string;
  readonly at: Instant;
};

/** Parts of an attempt that may stand though nobody said them, since they follow from the others; of a place it may be the role alone. */
export const PROPOSED_PARTS = ['subject', 'state', 'stateRole', 'action', 'finish', 'finishRole', 'result'] as const;
export type ProposedPart = (typeof PROPOSED_PARTS)[number];

/** What happened: one side, one action, one aim. Lists are in their order. */
export type Attempt = {
  readonly id: string;
  readonly version: number;
  readonly footageId: string;
  readonly angleId: string;
  readonly subject: Subject;
  readonly state: State | null;
  readonly lead: Side | null;
  readonly action: string | null;
  readonly intent: 'own' | 'bait';
  /** Nobody said where it ended: `end` is where the loop round its mark did. */ readonly endAssumed: boolean;
  /** Meant beforehand, or made up on the spot; null = not said. */ readonly planned: boolean | null;
  /** How the entry was done: *by sitting up*. */ readonly form: string;
  readonly result: Result | null;
  readonly depth: number | null;
  readonly finish: Finish | null;
  readonly resisted: boolean | null;
  readonly shownAs: 'right' | 'mistake';
  readonly parentId: string | null;
  readonly series: number;
  readonly counterOfId: string | null;
  /** Set by hand: the attempt that this one follows, whatever the rules would find. */ readonly followsId:
    string | null;
  /** Cut by hand: it follows nothing. */ readonly isCut: boolean;
  /** Of a bait: the reaction that was wanted. */ readonly wanted: string | null;
  /** What it was for, where that is not what the action aims at; of a bait what is really wanted. */ readonly aim: AttemptAim | null;
  /** What the run of linked attempts is called that this one is part of; empty = nobody said. */ readonly runName: string;
  readonly start: Instant;
  readonly commit: Instant | null;
  readonly end: Instant;
  readonly controls: readonly Control[];
  readonly reactions: readonly ReactionUse[];
  readonly reasons: readonly ReasonUse[];
  readonly errors: readonly ErrorUse[];
  readonly answers: readonly AnswerUse[];
  readonly facts: readonly FactUse[];
  readonly alternatives: readonly Alternative[];
  readonly links: readonly BecauseLink[];
  /** At most one for each detail. */ readonly evidence: readonly Evidence[];
  /** At most one for each part. */ readonly doubts: readonly Doubt[];
  /** What nobody said and nobody has confirmed, each once. */ readonly proposed: readonly ProposedPart[];
};

/** Instants of a clip that have a name, in the order in which they mostly come; the attempt's own start, commit and end lie among them. */
export const KEY_MOMENTS = ['set-up', 'grips on', 'off balance', 'control', 'finish'] as const;
/** A named instant of a clip, in frames of the clip's file: one of the usual ones, or by a name of its own. */
export type KeyMoment = { readonly name: string; readonly at: Instant };
/** A stretch of a clip to be looked at over and over, at a speed of its own (1 = as it happened). */
export type DetailLoop = { readonly id: string; readonly in: Instant; readonly out: Instant; readonly speed: number };

/** How well a stretch of a clip shows what happens: clear, blocked by somebody or something, too fast, from the wrong side, or black. */
export const VIEW_KINDS = ['clear', 'referee', 'bodies', 'overlay', 'edge', 'fast', 'side', 'black'] as const;
export type ViewKind = (typeof VIEW_KINDS)[number];
/** A stretch [in, out) of a clip's file, and how well it shows what happens there. */
export type ViewStretch = { readonly id: string; readonly in: Instant; readonly out: Instant; readonly kind: ViewKind };

/** A look at an attempt: the frames [in, out) of one angle's file. */
export type Clip = {
  readonly id: string;
  readonly version: number;
  readonly attemptId: string;
  readonly angleId: string;
  readonly in: Instant;
  readonly out: Instant;
  readonly note: string;
  /** From where the camera sees whoever acts; null = not said. */ readonly seen: 'front' | 'back' | null;
  /** At most one of each name. */ readonly keyMoments: readonly KeyMoment[];
  readonly loops: readonly DetailLoop[];
  /** In their order; no two overlap. */ readonly views: readonly ViewStretch[];
};
