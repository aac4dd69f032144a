import { readPlace } from '../attempts/index.js';
import type { WordKind } from '../vocabulary/index.js';
import type { Fields, Parts, Told, Within } from './shapes.js';

/** A value that has no parts of its own, and where it stands. */
export type Leaf = { readonly told: Told; readonly value: unknown; readonly path: string; readonly within: Within };

const overParts = (parts: Parts, value: Within, f: (leaf: Leaf) => unknown, path: string): Within => ({
  ...value,
  ...Object.fromEntries(
    Object.entries(parts).flatMap(([field, { told }]) =>
      field in value ? [[field, overLeaves(told, value[field], f, `${path}.${field}`, value)]] : [],
    ),
  ),
});

/** A value with each of its leaves as `f` gives it. Nothing stays nothing. */
export const overLeaves = (
  told: Told,
  value: unknown,
  f: (leaf: Leaf) => unknown,
  path: string,
  within: Within = {},
): unknown => {
  if (value === null || value === undefined) return value;
  switch (told.is) {
    case 'list':
      return (value as readonly unknown[]).map((item, i) => overLeaves(told.item, item, f, `${path}.${i}`));
    case 'object':
      return overParts(told.fields, value as Within, f, path);
    case 'union':
      return overParts(told.branches[(value as Within)['kind'] as string] ?? {}, value as Within, f, path);
    default:
      return f({ told, value, path, within });
  }
};

/** The fields that are there, with each leaf as `f` gives it; `path` begins with the name of the field. */
export const overFields = <T extends object>(fields: Fields, values: T, f: (leaf: Leaf) => unknown): T =>
  Object.fromEntries(
    Object.entries(values).map(([field, value]) => {
      const told = fields[field]?.told;
      return [field, told ? overLeaves(told, value, f, field, values as Within) : value];
    }),
  ) as T;

/** A word that is said, and where: `role` is that of a position. */
export type SaidWord = {
  readonly kind: WordKind;
  readonly key: string;
  readonly path: string;
  /** Of a role: the position beside it. */ readonly role?: string;
};

const ofPlace = (id: string): Omit<SaidWord, 'path'> | null => {
  const place = readPlace(id);
  if (place?.kind === 'state') return { kind: 'position', key: place.position, role: place.role };
  return place?.kind === 'submission' ? { kind: 'submission', key: place.submission } : null;
};
const saidBy = ({ told, value, within }: Leaf): Omit<SaidWord, 'path'> | null => {
  if (told.is === 'place') return ofPlace(value as string);
  if (told.is === 'role') return { kind: 'position', key: within['position'] as string, role: value as string };
  if (told.is !== 'key' || told.of === null) return null;
  return { kind: typeof told.of === 'string' ? told.of : told.of(within), key: value as string };
};

/** The words that the fields of a row say, in their order. */
export const wordsSaid = (fields: Fields, values: object): readonly SaidWord[] => {
  const words: SaidWord[] = [];
  overFields(fields, values, (leaf) => {
    const word = saidBy(leaf);
    if (word) words.push({ ...word, path: leaf.path });
    return leaf.value;
  });
  return words;
};

/** Whether a value of this kind can say a word. */
const canSay = (told: Told): boolean => {
  switch (told.is) {
    case 'key':
      return told.of !== null;
    case 'role':
    case 'place':
      return true;
    case 'list':
      return canSay(told.item);
    case 'object':
      return Object.values(told.fields).some((part) => canSay(part.told));
    case 'union':
      return Object.values(told.branches).some((parts) => Object.values(parts).some((part) => canSay(part.told)));
    default:
      return false;
  }
};
/** The fields of a row that can say words. */
export const wordedFields = (fields: Fields): readonly string[] =>
  Object.keys(fields).filter((field) => canSay(fields[field]!.told));
