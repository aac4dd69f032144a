import Joi from 'joi';
import { KEY_LIMIT, sentName, type Fields, type Parts, type SaidOf, type Sent, type Told } from '../rows/index.js';
import { ROLES } from '../vocabulary/index.js';
import { byKind, calendarDay, editId, frame, id, key, name, text, version } from './fields.js';

const PLACE_LIMIT = 2 * KEY_LIMIT + 10;
/** What is sent of an instant; the server has the times of the file. */
const instant = (): Joi.ObjectSchema => Joi.object({ frame: frame().required(), pts: Joi.number().integer() });

const listOf = (told: Extract<Told, { is: 'list' }>): Joi.Schema => {
  const list = Joi.array().items(schemaOf(told.item)).min(told.least).max(told.most);
  return told.once === null ? list : told.once === true ? list.unique() : list.unique(told.once);
};
const numberOf = ({ isWhole, from, to, above }: Extract<Told, { is: 'number' }>): Joi.Schema => {
  const range = Joi.number().min(from).max(to);
  const number = above === undefined ? range : range.greater(Joi.ref(above));
  return isWhole ? number.integer() : number;
};
const textOf = ({ least, most, isTrimmed }: Extract<Told, { is: 'text' }>): Joi.Schema => {
  if (!isTrimmed) return Joi.string().allow('').max(most);
  return least ? name(most) : text(most);
};
const partsOf = (parts: Parts): Joi.SchemaMap =>
  Object.fromEntries(
    Object.entries(parts).map(([field, part]) => {
      const schema = schemaOf(part.told);
      return [field, 'bare' in part ? schema.default(part.bare) : part.isOptional ? schema : schema.required()];
    }),
  );

const unmarked = (told: Told): Joi.Schema => {
  switch (told.is) {
    case 'id':
      return id();
    case 'key':
      return key();
    case 'role':
      return Joi.string().valid(...ROLES);
    case 'place':
      return Joi.string()
        .max(PLACE_LIMIT)
        .pattern(/^[a-z0-9:/ -]+$/);
    case 'text':
      return textOf(told);
    case 'flag':
      return Joi.boolean();
    case 'number':
      return numberOf(told);
    case 'day':
      return calendarDay();
    case 'choice':
      return Joi.string().valid(...told.values);
    case 'instant':
      return instant();
    case 'list':
      return listOf(told);
    case 'object':
      return Joi.object(partsOf(told.fields));
    case 'union':
      return byKind(Object.fromEntries(Object.entries(told.branches).map(([kind, parts]) => [kind, partsOf(parts)])));
    case 'other':
      return Joi.any();
  }
};
/** What a value is held against when it comes in. */
export const schemaOf = (told: Told): Joi.Schema => (told.isNullable ? unmarked(told).allow(null) : unmarked(told));

const entriesOf = <T>(fields: Fields, said: readonly T[], how: (field: T & string) => Joi.Schema): Joi.SchemaMap =>
  Object.fromEntries(said.map((field) => [sentName(fields, field as string), how(field as T & string)]));
const saidIn = (fields: Fields): readonly string[] => Object.keys(fields).filter((field) => fields[field]!.isSaid);
const sentSchema = (fields: Fields, field: string): Joi.Schema => {
  const { told } = fields[field]!;
  if (told.is !== 'instant') return schemaOf(told);
  return told.isNullable ? frame().allow(null) : frame();
};

/** What can be said of a row, each field as it is sent, none of them required. */
export const saidOf = (fields: Fields): Joi.SchemaMap =>
  entriesOf(fields, saidIn(fields), (field) => sentSchema(fields, field));
/** The same of a new row: what nobody says stands as it is told, and what has no such value must be said. */
export const newOf = (fields: Fields): Joi.SchemaMap =>
  entriesOf(fields, saidIn(fields), (field) => {
    const [part, schema] = [fields[field]!, sentSchema(fields, field)];
    return 'bare' in part ? schema.default(part.bare) : schema.required();
  });

/** An edit of a row: which, on which version it was made, and what it says. */
export type EditOf<Changes> = { readonly editId: string; readonly baseVersion: number; readonly changes: Changes };
export const editOf = <Changes>(changes: Joi.SchemaMap): Joi.ObjectSchema<EditOf<Changes>> =>
  Joi.object<EditOf<Changes>>({
    editId: editId(),
    baseVersion: version(),
    changes: Joi.object(changes).min(1).required(),
  });

/** The fields of a row as a request sends them. */
export type SentFields<T, F> = Sent<SaidOf<T, F>>;
