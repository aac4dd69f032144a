import type { AttemptAim, DoubtField, EvidenceHow, FactUse, Finish, Result, Side, Subject } from '../attempts/index.js';
import type { Role } from '../vocabulary/index.js';
import type { SaidHold } from './holds.js';
import type { Stretch } from './notes.js';
import type { OtherWay } from './whyChoices.js';

/** A place as it was said: without a role where none was said and nothing decides it; with the side of the limb that the position names, where that was said. */
export type SaidPlace = { readonly position: string; readonly role: Role | null; readonly lead?: Side | null };

/** Where it ends, as it was said. */
export type SaidFinish =
  | ({ readonly kind: 'state' } & Pick<SaidPlace, 'position' | 'role'>)
  | Extract<Finish, { kind: 'submission' }>
  | Extract<Finish, { kind: 'reset' }>;

/** What a part of a phrase says, by the part of the attempt that it is for. */
export type Meant =
  | { readonly part: 'who'; readonly subject: Subject }
  | { readonly part: 'clothing'; readonly gi: boolean }
  | { readonly part: 'position'; readonly place: SaidPlace }
  | { readonly part: 'grip'; readonly hold: SaidHold; readonly holder: 'subject' | 'opponent' }
  | { readonly part: 'entry'; readonly action: string }
  | { readonly part: 'reaction'; readonly what: string; readonly isAction: boolean }
  | { readonly part: 'finish'; readonly finish: SaidFinish }
  | { readonly part: 'intent'; readonly intent: 'bait' }
  | { readonly part: 'result'; readonly result: Result }
  | { readonly part: 'depth'; readonly depth: number }
  | { readonly part: 'reason'; readonly reason: string }
  | { readonly part: 'fact'; readonly fact: Omit<FactUse, 'id'> }
  | { readonly part: 'alternative'; readonly way: OtherWay }
  /** What it was for, and how the part before it is known. */
  | { readonly part: 'aim'; readonly aim: AttemptAim }
  | { readonly part: 'known'; readonly how: EvidenceHow };

/**
 * How a part is known: certain (Enter keeps it), asked (two readings are close, or the letters hardly say it: kept only once it is answered), proposed (nobody typed it:
 * it follows from what was).
 */
export type PartStatus = 'certain' | 'asked' | 'proposed';

export type PhrasePart = {
  readonly meant: Meant;
  /** Which attempt of the line it is for: 0, or further ones of a chain. */ readonly attempt: number;
  readonly status: PartStatus;
  /** The characters that say it, with the words that point to it, [from, to) in UTF-16 units; of what nobody typed those it follows from. */
  readonly from: number;
  readonly to: number;
  /** 0 … 1: how surely these letters mean this. */ readonly confidence: number;
  /** Other readings of the same characters that come close, best first. */ readonly others: readonly Meant[];
  /** Of what nobody typed: from what it was concluded. The role of a place may be proposed where the place was said. */
  readonly because?: string;
};

/** Characters that were not read, [from, to) in UTF-16 units. `isPlain`: words of every day, which need no meaning of their own. */
export type NotUnderstood = Stretch & { readonly text: string; readonly isPlain: boolean };

/** What is kept as text, whole and unread: characters [from, to). */
export type Note = Stretch & { readonly text: string };

export type PhraseReading = {
  /** In the order of the text; proposed ones where they follow. */ readonly parts: readonly PhrasePart[];
  readonly notUnderstood: readonly NotUnderstood[];
  readonly notes: readonly Note[];
  /** How many attempts the line tells: more than one is a chain. */ readonly attempts: number;
};

/** What is known before the phrase: it decides between meanings. */
export type PhraseContext = {
  /** What each athlete may be called: name, kit. */ readonly athletes?: Readonly<Record<Subject, readonly string[]>>;
  /** Where the attempt before left things, as the acting side sees it. */ readonly left?: SaidPlace | null;
  /** Whether the sheet says that they wear the gi. */ readonly gi?: boolean;
};

/** The part of an attempt that a part of a phrase is for, where it can be in doubt. */
export const DOUBTED: Readonly<Record<Meant['part'], DoubtField | null>> = {
  who: null,
  clothing: null,
  position: 'state',
  grip: 'controls',
  entry: 'action',
  reaction: 'reactions',
  finish: 'finish',
  intent: null,
  result: 'result',
  depth: null,
  reason: 'reasons',
  fact: null,
  alternative: null,
  aim: null,
  known: null,
};
