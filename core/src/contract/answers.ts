import type { ClockAnchor } from '../timecode/index.js';
import type { Attempt, Clip } from '../attempts/index.js';
import type { LibraryLists } from '../library/index.js';
import type { WordChange } from '../vocabulary/index.js';
import type { Amendment } from '../why/index.js';
import type { MemberRole } from './people.js';
import type { Binned } from './routes.js';

export type Me = {
  readonly account: { readonly id: string; readonly name: string; readonly email: string };
  readonly academy: {
    readonly id: string;
    readonly name: string;
    readonly timeZone: string;
    /** Made up, as it ships with the product: devices that are made up too stand ready for it. */
    readonly isDemo: boolean;
  };
  readonly role: MemberRole;
  /** Every academy of this account, the present one among them. */
  readonly academies: readonly { readonly id: string; readonly name: string }[];
};

export type Member = {
  readonly accountId: string;
  readonly name: string;
  readonly email: string;
  readonly role: MemberRole;
  readonly since: string;
};
export type Invitation = {
  readonly id: string;
  readonly email: string;
  readonly role: MemberRole;
  readonly sentAt: string;
  readonly expiresAt: string;
};
/** The most that an academy may have, and how much of it there is. */
export type Quota = { readonly most: number; readonly used: number };
export type People = {
  readonly members: readonly Member[];
  readonly invitations: readonly Invitation[];
  /** Members and open invitations. */
  readonly accounts: Quota;
};
/** What founding an academy needs here; `email` is for whom the invitation in hand is, null where there is none or it is spent. */
export type FoundingLook = { readonly isOpen: boolean; readonly email: string | null };

/** What somebody sees of an invitation before taking it. */
export type InvitationLook = {
  readonly academy: string;
  readonly email: string;
  readonly role: MemberRole;
  readonly hasAccount: boolean;
};
export type SessionLook = {
  readonly id: string;
  readonly since: string;
  readonly lastSeenAt: string;
  readonly agent: string;
  readonly isThis: boolean;
};
/** Where a letter stands: on its way, taken by the mail server, given up, or kept for whoever runs the server, where there is no mail server. */
export type LetterState = 'waiting' | 'sent' | 'failed' | 'kept';
export type Letter = {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  /** What it says. The secret link is in it only where the demo's letters are shown. */
  readonly body: string;
  readonly at: string;
  readonly state: LetterState;
  /** Why it was given up, or has not gone out yet. */
  readonly why: 'refused' | 'unreachable' | 'slow' | 'cut off' | null;
};

/** What goes with a thing or stands on it, by kind; routes and footage by name. */
export type References = {
  readonly clips: number;
  readonly attempts: number;
  readonly footage: readonly string[];
  readonly routes: readonly string[];
};
export type BinItem = {
  readonly kind: Binned;
  readonly id: string;
  readonly name: string;
  readonly removedAt: string;
  readonly removedBy: string;
  /** When it is gone for good. */
  readonly goesAt: string;
};

/** What was amended of the attempts, the newest first: by whom, when, and who had said it before. Instants in ISO 8601. */
export type AmendmentItem = Pick<Amendment, 'editId' | 'attemptId' | 'field' | 'before' | 'after'> & {
  readonly by: string;
  readonly at: string;
  readonly saidBy: string;
  readonly saidAt: string;
};

/** The records an edit has touched, as they are now; `removed` names those that went to the bin. */
export type Changed = Partial<LibraryLists> & {
  /** All changes to words, where one of them was touched. */
  readonly wordChanges?: readonly WordChange[];
  readonly removed?: readonly string[];
};

/** What a scoreboard showed; null where none was kept. */
export type ScoreboardAnswer = { readonly readings: readonly ClockAnchor[] | null };

export type HealthAnswer = { readonly status: 'ok'; readonly database: 'ok'; readonly version: string };

/** Some clips with the attempts they look at; `next` is where to go on, null at the end. */
export type LibraryPart = {
  readonly attempts: readonly Attempt[];
  readonly clips: readonly Clip[];
  readonly next: string | null;
};

/** What has changed in the library since a version that somebody has: the rows as they are now, or that it is to be read anew. */
export type News = {
  readonly version: number;
  readonly whole: boolean;
  readonly changed: Changed | null;
};
