/** The kinds of words. Every entry has a permanent key, one name and any number of aliases. */
export const WORD_KINDS = ['position', 'action', 'target', 'submission', 'reaction', 'reason'] as const;
export type WordKind = (typeof WORD_KINDS)[number];

export const FAMILIES = [
  'standing',
  'scramble',
  'open guard',
  'closed guard',
  'half guard',
  'leg entanglement',
  'passing',
  'turtle',
  'pin',
  'back',
] as const;
/** Families, in the order of the map's columns: from standing to the back. */
export type Family = (typeof FAMILIES)[number];

export type Role = 'even' | 'top' | 'bottom' | 'attacker' | 'defender';

type Entry = { readonly key: string; readonly name: string; readonly aliases: readonly string[] };

export type ControlPattern = {
  readonly holder: Role;
  readonly limb: Limb;
  readonly kind: ControlKind;
  readonly target: string;
  readonly cloth: boolean;
  readonly bothSides: boolean;
};

export type PositionWord = Entry & {
  readonly kind: 'position';
  readonly family: Family;
  /** `even`, or a pair, or a pair and `even`. */
  readonly roles: readonly Role[];
  /** How good the first role is for whoever holds it, −5 … +5; the other role has the negative, `even` has 0. */
  readonly height: number;
  /** The limb whose side the position names: whose, and which; null where no side is named. */
  readonly lead: { readonly role: Role; readonly limb: string } | null;
  readonly facing: 'facing' | 'same way' | 'crossed';
  readonly parent?: string;
  readonly requires?: readonly ControlPattern[];
};

export const ACTION_KINDS = [
  'takedown',
  'guard pull',
  'sweep',
  'pass',
  'advance',
  'back take',
  'submission',
  'escape',
  'retention',
  'off-balance',
  'grip',
  'hold',
  'yield',
] as const;
export type ActionKind = (typeof ACTION_KINDS)[number];

export type Aim =
  | { readonly position: string; readonly role: Role }
  | { readonly family: Family; readonly role: Role }
  | { readonly submission: string };

export type ActionWord = Entry & {
  readonly kind: 'action';
  readonly does: ActionKind;
  readonly aims: readonly Aim[];
  /** Families it can start in. */
  readonly from: readonly Family[];
};

export type TargetWord = Entry & { readonly kind: 'target'; readonly cloth: boolean; readonly sided: boolean };

/** What a submission can injure and what warns. `pain` says whether pain warns in time. */
export type Risk = {
  readonly injures: string;
  readonly class: 'joint lock' | 'twisting lock' | 'compression' | 'choke' | 'neck and spine';
  readonly pain: 'warns' | 'warns late' | 'does not warn';
  readonly care: string;
};

export type SubmissionWord = Entry & { readonly kind: 'submission'; readonly risk: Risk };
export type ReactionWord = Entry & { readonly kind: 'reaction' };
export type ReasonWord = Entry & { readonly kind: 'reason' };

export type Word = PositionWord | ActionWord | TargetWord | SubmissionWord | ReactionWord | ReasonWord;

export const LIMBS = ['hand', 'arm', 'foot', 'leg', 'knee', 'head', 'shoulder', 'hips'] as const;
export type Limb = (typeof LIMBS)[number];
export const CONTROL_KINDS = ['grip', 'hook', 'frame', 'underhook', 'pin', 'post', 'wedge', 'lock'] as const;
export type ControlKind = (typeof CONTROL_KINDS)[number];

/** An academy's own change to a shipped word. A field that is absent stays as shipped, also when the shipped list is renewed. */
export type WordChange = {
  readonly kind: WordKind;
  readonly key: string;
  readonly name?: string;
  readonly aliases?: readonly string[];
  readonly hidden?: boolean;
};
