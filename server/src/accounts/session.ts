import type { Request } from 'express';
import type { AcademyId } from '../database/academyId.js';

/** Who is asking, and in which academy. */
export type Session = {
  readonly accountId: string;
  readonly academyId: AcademyId;
  readonly role: 'head' | 'coach' | 'student';
  readonly tokenHash: string;
};

export type SignedRequest = Request & { session: Session };
