import type { Me, MemberRole } from '@odograph/core/contract';
import type { Request } from 'express';
import type { AcademyId } from '../database/academyId.js';

/** Who is asking, and in which academy. */
export type Session = {
  readonly id: string;
  readonly accountId: string;
  readonly academyId: AcademyId;
  readonly role: MemberRole;
};

/** A session with all that is known of whose it is. */
export type Who = { readonly session: Session; readonly me: Me };

export type SignedRequest = Request & { who: Who };
