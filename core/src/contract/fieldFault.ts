/** What is counted where there is too much of it or too little. */
export type Counted = 'characters' | 'entries';

/** What of the academy a request may name that isn't there. */
export type Named =
  'word' | 'place' | 'hold' | 'aim' | 'member' | 'footage' | 'clip' | 'attempt' | 'detail' | 'step' | 'branch';

/**
 * What is wrong with a field of a request: a code and, where there is more to say, its facts. The interface words each (`refusal.text.ts`). Fields in facts are named
 * as in the request; frames are numbers of frames, sizes in bytes.
 */
export type FieldFault =
  | { readonly code: 'missing' }
  /** A field that the request does not have. */
  | { readonly code: 'unknown-field' }
  | { readonly code: 'wrong-kind'; readonly facts: { readonly wanted: FieldKind } }
  /** Text that is not written as it has to be. */
  | { readonly code: 'wrong-form' }
  | { readonly code: 'not-one-of'; readonly facts: { readonly all: readonly string[] } }
  | { readonly code: 'too-many'; readonly facts: { readonly most: number; readonly of: Counted } }
  | { readonly code: 'too-few'; readonly facts: { readonly least: number; readonly of: Counted } }
  | { readonly code: 'too-large'; readonly facts: { readonly most: number } }
  | { readonly code: 'too-small'; readonly facts: { readonly least: number } }
  | { readonly code: 'twice' }
  /** Any other rule of the request. */
  | { readonly code: 'not-possible' }
  | { readonly code: 'no-email' }
  | { readonly code: 'no-day' }
  | { readonly code: 'no-time-zone' }
  | { readonly code: 'no-roles' }
  | { readonly code: 'password-short' }
  | { readonly code: 'password-same' }
  | { readonly code: 'password-common' }
  | { readonly code: 'not-here'; readonly facts: { readonly what: Named } }
  /** Null: of the position that is being defined. */
  | { readonly code: 'no-role'; readonly facts: { readonly position: string | null } }
  | { readonly code: 'not-after'; readonly facts: { readonly field: string } }
  | { readonly code: 'not-between'; readonly facts: { readonly from: string; readonly to: string } }
  | { readonly code: 'outside-footage' }
  | { readonly code: 'outside-file'; readonly facts: { readonly frames: number } }
  | { readonly code: 'other-footage' }
  | { readonly code: 'itself' }
  | { readonly code: 'same-athlete' }
  | { readonly code: 'clips-outside' }
  | { readonly code: 'no-track' }
  | { readonly code: 'no-captions' }
  | { readonly code: 'capitals' }
  | { readonly code: 'keeps-definition' }
  | { readonly code: 'under-itself' }
  | { readonly code: 'other-sides' }
  /** Ways of a route that lead round in a circle. */
  | { readonly code: 'goes-round' }
  /** Details that enable or force each other in a circle, each as *attempt part*. */
  | { readonly code: 'circle'; readonly facts: { readonly through: readonly string[] } }
  | { readonly code: 'body-too-large' }
  | { readonly code: 'body-unreadable' };

export type FieldKind = 'text' | 'number' | 'whole number' | 'yes or no' | 'list' | 'record' | 'id';

/** A field of a request, by its path (*clip.outFrame*), with what is wrong with it. */
export type WrongField = { readonly field: string; readonly fault: FieldFault };
