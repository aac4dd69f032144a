import { COLLECTION_LIMIT, type Collection, type FilterPart } from '../collections/index.js';
import { ID, list, name, object, orNull, said, saidOr, text, type FieldsOf } from './shapes.js';

const VALUE_LIMIT = 200;
const PART = object<FilterPart>({ facet: name(40), value: text(VALUE_LIMIT, { least: 1 }) });
/** What is kept of a collection. */
export const COLLECTION = {
  name: said(name()),
  clipIds: saidOr(list(ID, { most: COLLECTION_LIMIT, once: true }), []),
  filter: saidOr(orNull(list(PART, { once: 'facet' })), null),
} as const satisfies FieldsOf<Collection>;
