import type { AttemptAim, EvidenceHow, FactUse, Result, Subject } from '../attempts/index.js';
import type { ActionKind } from '../vocabulary/index.js';
import type { SaidHold } from './holds.js';
import type { SaidPlace } from './types.js';
import type { OtherWay } from './whyChoices.js';

/** Where a word says that the next part belongs, or who acts. */
export type Pointer = 'from' | 'to' | 'they' | 'us' | 'me' | 'with' | 'because' | 'then' | 'joint' | 'act';

export type Said =
  | { readonly is: 'place'; readonly place: SaidPlace }
  | { readonly is: 'action'; readonly key: string }
  | { readonly is: 'submission'; readonly key: string; readonly won: boolean; readonly isEnd: boolean }
  | { readonly is: 'reset'; readonly how: 'edge' | 'time' | 'stand-up' }
  | { readonly is: 'stays' }
  | { readonly is: 'reaction'; readonly key: string }
  | { readonly is: 'reason'; readonly key: string }
  | { readonly is: 'hold'; readonly hold: SaidHold }
  | { readonly is: 'result'; readonly result: Result; readonly isTap: boolean }
  | {
      readonly is: 'fact';
      readonly fact: Omit<FactUse, 'id'>;
      /** Nobody says whose it is. */ readonly isBare: boolean;
    }
  | { readonly is: 'other way'; readonly way: OtherWay }
  | { readonly is: 'known'; readonly how: EvidenceHow }
  | { readonly is: 'aim'; readonly aim: AttemptAim }
  | { readonly is: 'bait' }
  | { readonly is: 'clothing'; readonly gi: boolean }
  | {
      readonly is: 'depth';
      /** Of whose ladder: of actions of these kinds, or of one that has its own. */ readonly does: readonly ActionKind[];
      readonly of: string | null;
      readonly depth: number;
    }
  | { readonly is: 'pointer'; readonly to: Pointer }
  | { readonly is: 'who'; readonly subject: Subject };

/** Tokens [from, to) and what they may say. */
export type Piece = {
  readonly said: Said;
  readonly from: number;
  readonly to: number;
  readonly gain: number;
  readonly quality: number;
  readonly isWritten: boolean;
  /** Said of somebody to whom it is done: *them* stands in it or behind it. */ readonly isOnThem?: boolean;
  /** A place that stands there as something done: *stacked*. */ readonly isVerb?: boolean;
  /** An action of which its kind was left out. */ readonly isHeadless?: boolean;
  /** A place told of by whose it is: *my guard*. */ readonly isOwned?: boolean;
  /** Told by a word that leaves most of the name out: *took the arm*. */ readonly isShort?: boolean;
  /** Whose an action, or a hold, is said to be. */ readonly whose?: 'us' | 'them';
};
