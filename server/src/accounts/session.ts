import type { MemberRole } from '@odograph/core/contract';
import type { Request } from 'express';
import type { AcademyId } from '../database/academyId.js';

/** Who is asking, and in which academy. */
export type Session = {
  readonly id: string;
  readonly accountId: string;
  readonly academyId: AcademyId;
  readonly role: MemberRole;
};

export type SignedRequest = Request & { session: Session };
