import type { FileFault } from '../faults/index.js';
import type { WrongField } from './fieldFault.js';

/** Why a request was not done, as it goes over the wire. The words are made from this in the interface alone; `facts` depend on the code. */
export type Refusal =
  | {
      readonly code: 'invalid';
      readonly facts: { readonly fields: readonly WrongField[] };
    }
  | { readonly code: 'signed-out'; readonly facts: Record<string, never> }
  | { readonly code: 'wrong-sign-in'; readonly facts: Record<string, never> }
  | { readonly code: 'too-many-tries'; readonly facts: { readonly retryAfterS: number } }
  /** Too much is asked for at once; it may be asked again after a while. */
  | { readonly code: 'busy'; readonly facts: { readonly retryAfterS: number } }
  /** Academies are founded here by those who were invited to. */
  | { readonly code: 'founding-closed'; readonly facts: Record<string, never> }
  | {
      readonly code: 'quota';
      readonly facts: { readonly of: 'bytes' | 'accounts' | 'uploads'; readonly most: number; readonly used: number };
    }
  | { readonly code: 'not-allowed'; readonly facts: { readonly role: string } }
  | { readonly code: 'foreign-origin'; readonly facts: Record<string, never> }
  | { readonly code: 'not-found'; readonly facts: Record<string, never> }
  | {
      readonly code: 'stale';
      readonly facts: {
        readonly version: number;
        readonly fields: readonly { readonly field: string; readonly yours: unknown; readonly theirs: unknown }[];
      };
    }
  | { readonly code: 'id-taken'; readonly facts: Record<string, never> }
  | { readonly code: 'not-video'; readonly facts: { readonly fault: FileFault } }
  /** The picture of a frame cannot be read out of its file. */
  | { readonly code: 'no-picture'; readonly facts: { readonly frame: number } }
  | { readonly code: 'too-large'; readonly facts: { readonly limitBytes: number } }
  /** Somebody else leads; null: nobody does. */
  | { readonly code: 'not-leading'; readonly facts: { readonly by: string | null } }
  | { readonly code: 'nothing-to-undo'; readonly facts: Record<string, never> }
  | { readonly code: 'nothing-to-redo'; readonly facts: Record<string, never> }
  | { readonly code: 'cannot-undo'; readonly facts: { readonly field: string } }
  | { readonly code: 'last-head'; readonly facts: Record<string, never> }
  | { readonly code: 'member-already'; readonly facts: Record<string, never> }
  | { readonly code: 'link-spent'; readonly facts: Record<string, never> }
  | { readonly code: 'in-use'; readonly facts: { readonly by: string; readonly count: number } }
  | { readonly code: 'above-in-bin'; readonly facts: { readonly what: string } }
  /** Of a file that was coming in, so much is kept, and goes on when there is room; 0 where nothing was saved. */
  | { readonly code: 'disk-full'; readonly facts: { readonly keptBytes: number } }
  /** A file would not fit: so much is free beyond what the server keeps for itself. */
  | { readonly code: 'no-room'; readonly facts: { readonly freeBytes: number; readonly neededBytes: number } }
  | { readonly code: 'not-whole'; readonly facts: { readonly bytes: number; readonly ofBytes: number } }
  | { readonly code: 'database-away'; readonly facts: Record<string, never> }
  | { readonly code: 'internal'; readonly facts: Record<string, never> };

export type RefusalCode = Refusal['code'];
