import { KEPT, overLeaves, sentName, type Entity, type Fields, type Instant, type RowOf } from '@odograph/core';
import { perEntity } from '../database/columns.js';

/** Gives the instant of a frame, or refuses it by the name of the field that says it. */
export type InstantOf = (frame: number, field: string) => Instant;

/** The fields of rows by the names under which they are sent. */
const FIELD_OF = perEntity(
  (fields) => new Map(Object.keys(fields).map((field) => [sentName(fields, field), field] as const)),
);

/** What a request says of a row, as fields of the row: instants with the presentation times of the file, whatever was sent. */
export const fromSent = <E extends Entity>(entity: E, sent: object, instant: InstantOf): Partial<RowOf[E]> => {
  const fields: Fields = KEPT[entity];
  const known = Object.entries(sent).flatMap(([name, value]: [string, unknown]) => {
    const field = FIELD_OF[entity].get(name);
    if (field === undefined || value === undefined) return [];
    const { told } = fields[field]!;
    if (told.is === 'instant') return [[field, value === null ? null : instant(value as number, name)] as const];
    const timed = overLeaves(
      told,
      value,
      (leaf) => (leaf.told.is === 'instant' ? instant((leaf.value as Instant).frame, leaf.path) : leaf.value),
      name,
    );
    return [[field, timed] as const];
  });
  return Object.fromEntries(known) as Partial<RowOf[E]>;
};
