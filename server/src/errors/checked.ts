import type { Schema } from 'joi';
import { Refused } from './refused.js';

/** What came in, checked against its schema and converted once; refused with the name of every field that is wrong. */
export const checked = <T>(schema: Schema<T>, input: unknown): T => {
  const { value, error } = schema.validate(input, {
    abortEarly: false,
    convert: true,
    errors: { wrap: { label: false } },
  });
  if (!error) return value as T;
  throw new Refused({
    code: 'invalid',
    facts: {
      fields: error.details.map((d) => ({
        field: d.path.join('.') || (d.context?.label ?? 'body'),
        reason: d.message.replace(`${d.path.join('.')} `, ''),
      })),
    },
  });
};
