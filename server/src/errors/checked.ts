import { wellFormed } from '@odograph/core/contract';
import type { Schema, ValidationError } from 'joi';
import { faultOf } from './fieldFaults.js';
import { Refused } from './refused.js';

/** What came in, checked against its schema and converted once; refused with every field that is wrong and what is wrong with it. */
export const checked = <T>(schema: Schema<T>, input: unknown): T => {
  const read: { readonly value: unknown; readonly error?: ValidationError | undefined } = schema.validate(
    wellFormed(input ?? null),
    { abortEarly: false, convert: true },
  );
  if (!read.error) return read.value as T;
  const fields = read.error.details.map((d) => ({
    field: d.path.join('.') || (d.context?.label ?? 'body'),
    fault: faultOf(d),
  }));
  throw new Refused({ code: 'invalid', facts: { fields } });
};
