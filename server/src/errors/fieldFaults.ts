import type { FieldFault, FieldKind } from '@odograph/core/contract';
import Joi, { type ValidationErrorItem } from 'joi';

type Limit = ValidationErrorItem['context'];

const numberIn = (context: Limit): number | undefined => {
  const limit: unknown = context?.limit;
  return typeof limit === 'number' ? limit : undefined;
};
/** The field that a limit refers to, where it isn't a number. */
const fieldIn = (context: Limit): string | undefined => {
  const limit: unknown = context?.limit;
  return Joi.isRef(limit) ? limit.path.join('.') : undefined;
};

const kind = (wanted: FieldKind): FieldFault => ({ code: 'wrong-kind', facts: { wanted } });
const WRONG_KIND: Readonly<Record<string, FieldFault>> = {
  'string.base': kind('text'),
  'string.guid': kind('id'),
  'number.base': kind('number'),
  'number.unsafe': kind('number'),
  'number.infinity': kind('number'),
  'number.integer': kind('whole number'),
  'boolean.base': kind('yes or no'),
  'array.base': kind('list'),
  'object.base': kind('record'),
};
const PLAIN: Readonly<Record<string, FieldFault>> = {
  ...WRONG_KIND,
  'any.required': { code: 'missing' },
  'string.empty': { code: 'missing' },
  'object.unknown': { code: 'unknown-field' },
  'array.unique': { code: 'twice' },
  'string.pattern.base': { code: 'wrong-form' },
};

const limited = (type: string, context: Limit): FieldFault | undefined => {
  const limit = numberIn(context);
  const field = fieldIn(context);
  if (type === 'number.greater' && field !== undefined) return { code: 'not-after', facts: { field } };
  if (limit === undefined) return undefined;
  const of = type.startsWith('string') ? 'characters' : 'entries';
  switch (type) {
    case 'string.max':
    case 'array.max':
      return { code: 'too-many', facts: { most: limit, of } };
    case 'string.min':
    case 'array.min':
    case 'array.length':
      return { code: 'too-few', facts: { least: limit, of } };
    case 'number.max':
      return { code: 'too-large', facts: { most: limit } };
    case 'number.min':
      return { code: 'too-small', facts: { least: limit } };
    default:
      return undefined;
  }
};

/** Faults of the contract's own rules, which have no facts: `helpers.error('fault.no-email')`. */
const OWN: Readonly<Record<string, FieldFault>> = Object.fromEntries(
  (['no-email', 'no-day', 'no-time-zone', 'no-roles', 'password-short', 'password-same'] as const).map((code) => [
    `fault.${code}`,
    { code },
  ]),
);

/** What a schema found wrong with a field, as the contract says it. */
export const faultOf = ({ type, context }: Pick<ValidationErrorItem, 'type' | 'context'>): FieldFault => {
  const valids: unknown = context?.valids;
  if (type === 'any.only' && Array.isArray(valids)) return { code: 'not-one-of', facts: { all: valids.map(String) } };
  if (type === 'string.pattern.name' && context?.['name'] === 'day') return { code: 'no-day' };
  return PLAIN[type] ?? OWN[type] ?? limited(type, context) ?? { code: 'not-possible' };
};
