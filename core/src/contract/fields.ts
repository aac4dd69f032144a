import Joi from 'joi';
import { KEY_LIMIT, NAME_LIMIT } from '../rows/index.js';
import { EMAIL_LIMIT, normalEmail } from './email.js';
import { passwordFault } from './password.js';

/** Fields that stand in more than one request. */

export const id = (): Joi.StringSchema => Joi.string().guid({ version: 'uuidv7' }).lowercase();
export const editId = (): Joi.StringSchema => id().required();
export const key = (): Joi.StringSchema =>
  Joi.string()
    .max(KEY_LIMIT)
    .pattern(/^[a-z0-9-]+$/);
/** Text without NUL, which nobody types and some programs take for the end. */
const written = (): Joi.StringSchema => Joi.string().replace(/\0/g, '').trim();
export const name = (limit = NAME_LIMIT): Joi.StringSchema => written().min(1).max(limit);
export const text = (limit: number): Joi.StringSchema => written().allow('').max(limit);
export const frame = (): Joi.NumberSchema => Joi.number().integer().min(0).max(100_000_000);
export const version = (): Joi.NumberSchema => Joi.number().integer().min(1).required();
/** An address, in the one form in which it is kept. */
export const email = (): Joi.StringSchema =>
  Joi.string()
    .max(2 * EMAIL_LIMIT)
    .custom((value: string, helpers) => normalEmail(value) ?? helpers.error('fault.no-email'));
/** A password that is there already: it is compared, whatever it is. */
export const password = (): Joi.StringSchema => Joi.string().min(1).max(200);
/** A password that somebody chooses. */
export const chosenPassword = (): Joi.StringSchema =>
  password().custom((value: string, helpers) => {
    const fault = passwordFault(value);
    return fault === undefined ? value : helpers.error(`fault.password-${fault}`);
  });
export const token = (): Joi.StringSchema =>
  Joi.string()
    .max(100)
    .pattern(/^[A-Za-z0-9_-]+$/);
export const calendarDay = (): Joi.StringSchema =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/, 'day')
    .custom((value: string, helpers) =>
      new Date(`${value}T00:00:00Z`).toISOString().startsWith(value) ? value : helpers.error('fault.no-day'),
    );

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
