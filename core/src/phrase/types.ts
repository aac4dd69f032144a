import type { Finish, Result, Subject } from '../attempts/index.js';
import type { Role } from '../vocabulary/index.js';
import type { SaidHold } from './holds.js';

/** A place as it was said: without a role where none was said and nothing decides it. */
export type SaidPlace = { readonly position: string; readonly role: Role | null };

/** Where it ends, as it was said. */
export type SaidFinish =
  | ({ readonly kind: 'state' } & SaidPlace)
  | Extract<Finish, { kind: 'submission' }>
  | Extract<Finish, { kind: 'reset' }>;

/** What a part of a phrase says, by the part of the attempt that it is for. */
export type Meant =
  | { readonly part: 'who'; readonly subject: Subject }
  | { readonly part: 'position'; readonly place: SaidPlace }
  | { readonly part: 'grip'; readonly hold: SaidHold; readonly holder: 'subject' | 'opponent' }
  | { readonly part: 'entry'; readonly action: string }
  | { readonly part: 'reaction'; readonly what: string; readonly isAction: boolean }
  | { readonly part: 'finish'; readonly finish: SaidFinish }
  | { readonly part: 'intent'; readonly intent: 'bait' }
  | { readonly part: 'result'; readonly result: Result }
  | { readonly part: 'depth'; readonly depth: number }
  | { readonly part: 'reason'; readonly reason: string };

export type PhrasePart = {
  readonly meant: Meant;
  /** The characters that say it, [from, to) in UTF-16 units. */ readonly from: number;
  readonly to: number;
  /** 0 … 1: how surely these letters mean this. */ readonly confidence: number;
  /** Other readings of the same characters that come close, best first. */ readonly others: readonly Meant[];
};

/** Characters that were not understood, [from, to) in UTF-16 units. */
export type NotUnderstood = { readonly from: number; readonly to: number; readonly text: string };

export type PhraseReading = {
  /** In the order of the text. */ readonly parts: readonly PhrasePart[];
  readonly notUnderstood: readonly NotUnderstood[];
};

/** What is known before the phrase: it decides between meanings. */
export type PhraseContext = {
  /** What each athlete may be called: name, kit. */ readonly athletes?: Readonly<Record<Subject, readonly string[]>>;
  /** Where the attempt before left things, as the acting side sees it. */ readonly left?: SaidPlace | null;
};
