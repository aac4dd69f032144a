import type { FieldFault, Refusal } from '@odograph/core/contract';

/** A request that is not done, for a reason that the contract names. One filter turns it into HTTP. */
export class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.code);
  }
}

export const notFound = (): Refused => new Refused({ code: 'not-found', facts: {} });
export const invalid = (field: string, fault: FieldFault): Refused =>
  new Refused({ code: 'invalid', facts: { fields: [{ field, fault }] } });
