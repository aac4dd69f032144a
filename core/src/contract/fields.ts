import Joi from 'joi';
import type { Role } from '../vocabulary/index.js';

/** Fields that stand in more than one request. Names are at most this long, in characters. */
export const NAME_LIMIT = 120;
/** Shortest password that is taken for a new one, in characters; length is what makes a password hard to guess. */
export const PASSWORD_LEAST = 10;

export const id = (): Joi.StringSchema => Joi.string().guid({ version: 'uuidv7' }).lowercase();
export const editId = (): Joi.StringSchema => id().required();
export const key = (): Joi.StringSchema =>
  Joi.string()
    .max(60)
    .pattern(/^[a-z0-9-]+$/);
export const name = (): Joi.StringSchema => Joi.string().trim().min(1).max(NAME_LIMIT);
export const text = (limit: number): Joi.StringSchema => Joi.string().trim().allow('').max(limit);
export const frame = (): Joi.NumberSchema => Joi.number().integer().min(0).max(100_000_000);
export const version = (): Joi.NumberSchema => Joi.number().integer().min(1).required();
export const role = Joi.string<Role>().valid('even', 'top', 'bottom', 'attacker', 'defender');
export const email = (): Joi.StringSchema =>
  Joi.string().trim().lowercase().max(254).email({ tlds: false, minDomainSegments: 1 });
export const password = (least: number): Joi.StringSchema => Joi.string().min(least).max(200);
export const token = (): Joi.StringSchema =>
  Joi.string()
    .max(100)
    .pattern(/^[A-Za-z0-9_-]+$/);
export const calendarDay = (): Joi.StringSchema =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) =>
      new Date(`${value}T00:00:00Z`).toISOString().startsWith(value) ? value : helpers.error('any.invalid'),
    )
    .messages({
      'string.pattern.base': '{{#label}} must be a day like 2031-05-24',
      'any.invalid': '{{#label}} must be a day of the calendar',
    });

/**
 * A union told apart by `kind`: what comes in is held against the branch that its kind names (the last one where it names none), so that errors name
 * fields of that branch. The description of the API shows all branches.
 */
export const byKind = <T>(branches: Readonly<Record<string, Joi.SchemaMap>>): Joi.AlternativesSchema<T> => {
  const all = Object.entries(branches).map(
    ([kind, fields]) => [kind, Joi.object({ kind: Joi.valid(kind).required(), ...fields })] as const,
  );
  const [last, ...before] = [...all].reverse();
  const checked = before.reduce<Joi.Schema>(
    (otherwise, [kind, then]) => Joi.alternatives().conditional(Joi.object({ kind }).unknown(), { then, otherwise }),
    last![1],
  );
  return Joi.alternatives<T>()
    .try(checked)
    .meta({ schemaOverride: Joi.alternatives().try(...all.map(([, schema]) => schema)) }) as Joi.AlternativesSchema<T>;
};
