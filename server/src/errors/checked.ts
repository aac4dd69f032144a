import { wellFormed } from '@odograph/core/contract';
import type { Schema, ValidationError } from 'joi';
import { Refused } from './refused.js';

/** What is said of a field, without the field's name in front of it. */
const withoutName = (message: string, name: string): string =>
  name !== '' && message.startsWith(`${name} `) ? message.slice(name.length + 1) : message;

/** What came in, checked against its schema and converted once; refused with the name of every field that is wrong. */
export const checked = <T>(schema: Schema<T>, input: unknown): T => {
  const read: { readonly value: unknown; readonly error?: ValidationError | undefined } = schema.validate(
    wellFormed(input ?? null),
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
        reason: withoutName(d.message, d.path.join('.') || (d.context?.label ?? '')),
      })),
    },
  });
};
