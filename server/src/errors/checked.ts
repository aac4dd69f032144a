import type { Schema, ValidationError } from 'joi';
import { Refused } from './refused.js';

/** What came in, checked against its schema and converted once; refused with the name of every field that is wrong. */
export const checked = <T>(schema: Schema<T>, input: unknown): T => {
  const read: { readonly value: unknown; readonly error?: ValidationError | undefined } = schema.validate(
    input ?? null,
    {
      abortEarly: false,
      convert: true,
      errors: { wrap: { label: false } },
    },
  );
  if (!read.error) return read.value as T;
  throw new Refused({
    code: 'invalid',
    facts: {
      fields: read.error.details.map((d) => ({
        field: d.path.join('.') || (d.context?.label ?? 'body'),
        reason: d.message.replace(`${d.path.join('.')} `, ''),
      })),
    },
  });
};
