/** The kinds of words. Every entry has a permanent key, one name and any number of aliases. */
export const WORD_KINDS = ['position', 'action', 'target', 'submission', 'reaction', 'reason', 'fact'] as const;
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

export const ROLES = ['even', 'top', 'bottom', 'attacker', 'defender'] as const;
export type Role = (typeof ROLES)[number];

/** Languages of aliases; what is not said is English. */
export const LANGUAGES = ['en', 'ja', 'pt'] as const;
export type Language = (typeof LANGUAGES)[number];

/** The five rungs of a ladder: from nothing yet to the aim. */
export type Ladder = readonly [string, string, string, string, string];

type Entry = {
  readonly key: string;
  readonly name: string;
  readonly aliases: readonly string[];
  /** Of aliases that are not English. */ readonly languages?: Readonly<Record<string, Language>>;
};

/** What a position may name the side of. */
export const LEAD_LIMBS = ['leg', 'arm', 'side'] as const;

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
  /** Why the height is that, in one line. */ readonly why?: string;
  /** The limb whose side the position names: whose, and which; null where no side is named. */
  readonly lead: { readonly role: Role; readonly limb: (typeof LEAD_LIMBS)[number] } | null;
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

/** What an action itself can do to somebody, whatever it ends in. */
export const DANGERS = ['falls', 'slam', 'jump', 'knee', 'neck'] as const;
export type Danger = (typeof DANGERS)[number];

export type ActionWord = Entry & {
  readonly kind: 'action';
  readonly does: ActionKind;
  /** Empty where nothing else is wanted but to hold what is held. */
  readonly aims: readonly Aim[];
  /** What is said when no more is said of it. */ readonly parent?: string;
  readonly dangers?: readonly Danger[];
  /** How far it can come, in words of its own; absent = those of its kind. */ readonly ladder?: Ladder;
  /** Families it can start in. */
  readonly from: readonly Family[];
};

/** A grip that has a name of its own, hold by hold: *seat belt*, *collar tie*. */
export type NamedGrip = {
  readonly limb: Limb;
  readonly limbSide?: 'left' | 'right';
  readonly kind: ControlKind;
  readonly target: string;
};

export type TargetWord = Entry & {
  readonly kind: 'target';
  readonly cloth: boolean;
  readonly sided: boolean;
  /** It names a whole grip, not a place to hold: this is kept. */ readonly grips?: readonly NamedGrip[];
};

export const RISK_CLASSES = ['joint lock', 'twisting lock', 'compression', 'choke', 'neck and spine'] as const;
export const RISK_PAIN = ['warns', 'warns late', 'does not warn'] as const;
/** What a submission can injure and what warns. `pain` says whether pain warns in time. */
export type Risk = {
  readonly injures: string;
  readonly class: (typeof RISK_CLASSES)[number];
  readonly pain: (typeof RISK_PAIN)[number];
  readonly care: string;
};

export type SubmissionWord = Entry & { readonly kind: 'submission'; readonly risk: Risk };
export type ReactionWord = Entry & { readonly kind: 'reaction' };
export type ReasonWord = Entry & { readonly kind: 'reason' };

/** One thing that a fact may be: how it is said, and how of the other side where *their* before it is no English. */
export type FactValue = {
  readonly key: string;
  readonly says: string;
  readonly theirs?: string;
  readonly aliases: readonly string[];
};
/** How somebody stands. */
export type FactWord = Entry & {
  readonly kind: 'fact';
  /** In their order; none = it is so, or is not. */ readonly values: readonly FactValue[];
  /** It has a left and a right. */ readonly sided: boolean;
  /** Where it is mostly of interest; none = everywhere. */ readonly families: readonly Family[];
  /** About whom it mostly is: whoever acts, the other side, or both together (then it is about nobody alone). */
  readonly whose: 'subject' | 'opponent' | 'both';
  /** Of which of the two it is said where nobody says whose it is: posture is of who is on top. Absent = as `whose` says. */
  readonly of?: 'top' | 'bottom';
};

export type Word = PositionWord | ActionWord | TargetWord | SubmissionWord | ReactionWord | ReasonWord | FactWord;

export const LIMBS = ['hand', 'arm', 'foot', 'leg', 'knee', 'head', 'shoulder', 'hips'] as const;
export type Limb = (typeof LIMBS)[number];
export const CONTROL_KINDS = ['grip', 'hook', 'frame', 'underhook', 'pin', 'post', 'wedge', 'lock'] as const;
export type ControlKind = (typeof CONTROL_KINDS)[number];

/** For whom something of an academy's own holds: everybody, one coach, or one piece of footage. */
export type Scope =
  | { readonly kind: 'academy' }
  | { readonly kind: 'coach'; readonly accountId: string }
  | { readonly kind: 'footage'; readonly footageId: string };

export type OwnAlias = {
  readonly id: string;
  readonly alias: string;
  readonly scope: Scope;
  /** Absent = English. */ readonly language?: Language;
};

/** What a word of an academy's own has beside key, name and aliases, by its kind. */
export type Definition =
  | (Pick<PositionWord, 'kind' | 'family' | 'roles' | 'height'> &
      Partial<Pick<PositionWord, 'lead' | 'parent' | 'requires'>>)
  | (Pick<ActionWord, 'kind' | 'does' | 'aims' | 'from'> & Partial<Pick<ActionWord, 'parent' | 'dangers' | 'ladder'>>)
  | (Pick<TargetWord, 'kind' | 'cloth' | 'sided'> & Partial<Pick<TargetWord, 'grips'>>)
  | Pick<SubmissionWord, 'kind' | 'risk'>
  | Pick<ReactionWord, 'kind'>
  | Pick<ReasonWord, 'kind'>
  | Pick<FactWord, 'kind' | 'values' | 'sided' | 'families' | 'whose'>;

/** An academy's own change to a word. A field that is absent stays as shipped, also when the shipped list is renewed. */
export type WordChange = {
  readonly id: string;
  readonly version: number;
  readonly kind: WordKind;
  readonly key: string;
  readonly name?: string;
  readonly aliases?: readonly OwnAlias[];
  readonly hidden?: boolean;
  /** Present where the word itself is the academy's own. */
  readonly definition?: Definition;
  /** Where the new name and hiding hold; of an own word, where it is offered (it is read by everybody). Absent = the academy. */
  readonly scope?: Scope;
};

/** Who asks, and over which footage: decides which scopes hold. */
export type Circumstances = { readonly accountId?: string | undefined; readonly footageId?: string | undefined };
