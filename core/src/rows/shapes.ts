import type { Instant, Side, Subject } from '../attempts/index.js';
import type { Role, WordKind } from '../vocabulary/index.js';

/** The object that a value stands in. */
export type Within = Readonly<Record<string, unknown>>;

/** What a value may be, as data: what a request is held against, how it is kept in columns, and which words it says follow from it. */
export type Told = { readonly isNullable?: boolean } & (
  | { readonly is: 'id' }
  /** The key of a word; null = of none that an academy can change. */
  | { readonly is: 'key'; readonly of: WordKind | null | ((within: Within) => WordKind) }
  /** A role of the position beside it. */
  | { readonly is: 'role' }
  /** A place of the map, by its id. */
  | { readonly is: 'place' }
  | { readonly is: 'text'; readonly least: number; readonly most: number; readonly isTrimmed: boolean }
  | { readonly is: 'flag' }
  | {
      readonly is: 'number';
      readonly isWhole: boolean;
      readonly from: number;
      readonly to: number;
      readonly above?: string;
    }
  | { readonly is: 'day' }
  | { readonly is: 'choice'; readonly values: readonly string[] }
  | { readonly is: 'instant' }
  | {
      readonly is: 'list';
      readonly item: Told;
      readonly least: number;
      readonly most: number;
      /** Each at most once: itself, or by this field of it. */ readonly once: true | string | null;
    }
  /** `isFlat`: kept in columns of its own, not as one piece. */
  | { readonly is: 'object'; readonly fields: Parts; readonly isFlat: boolean }
  | { readonly is: 'union'; readonly branches: Readonly<Record<string, Parts>>; readonly isFlat: boolean }
  /** What a part of the program of its own knows. */
  | { readonly is: 'other' }
);
/** A value as it may stand in JSON. */
export type Plain = string | number | boolean | null | object;
/** A part of an object: `bare` is what stands where nobody says it; it must be said where there is none, unless it may be left out. */
export type Part = { readonly told: Told; readonly bare?: Plain; readonly isOptional?: boolean };
export type Parts = Readonly<Record<string, Part>>;

declare const OF: unique symbol;
/** What is told, with the type of the values that it tells of: a shape of another type does not compile in its place. */
export type Shape<T> = Told & { readonly [OF]?: (value: T) => T };

const shape = <T>(told: Told): Shape<T> => told;

/** Longest name, in characters. */
export const NAME_LIMIT = 120;
/** Longest key of a word. */
export const KEY_LIMIT = 60;
const LIST_LIMIT = 24;

export const ID = shape<string>({ is: 'id' });
export const FLAG = shape<boolean>({ is: 'flag' });
export const DAY = shape<string>({ is: 'day' });
export const INSTANT = shape<Instant>({ is: 'instant' });
export const PLACE = shape<string>({ is: 'place' });
export const ROLE = shape<Role>({ is: 'role' });
export const key = (of: Extract<Told, { is: 'key' }>['of']): Shape<string> => shape({ is: 'key', of });
/** Text of so many characters at most, and at least; trimmed unless it is kept as it is typed. */
export const text = (most: number, { least = 0, isTrimmed = true } = {}): Shape<string> =>
  shape({ is: 'text', least, most, isTrimmed });
export const name = (most = NAME_LIMIT): Shape<string> => text(most, { least: 1 });
export const whole = (from: number, to: number): Shape<number> => shape({ is: 'number', isWhole: true, from, to });
/** A number in a range; `above` is a field beside it that must be less. */
export const number = (from: number, to: number, above?: string): Shape<number> =>
  shape({ is: 'number', isWhole: false, from, to, ...(above === undefined ? {} : { above }) });
export const FRAME = whole(0, 100_000_000);
export const choice = <V extends string>(...values: readonly V[]): Shape<V> => shape({ is: 'choice', values });
export const SIDE = choice<Side>('left', 'right');
export const SUBJECT = choice<Subject>('a', 'b');
export const orNull = <T>(of: Shape<T>): Shape<T | null> => shape<T | null>({ ...of, isNullable: true });
export const other = <T>(): Shape<T> => shape({ is: 'other' });
export const list = <T>(
  item: Shape<T>,
  {
    least = 0,
    most = LIST_LIMIT,
    once = null,
  }: { least?: number; most?: number; once?: true | (keyof T & string) | null } = {},
): Shape<readonly T[]> => shape({ is: 'list', item, least, most, once });

type PartOf<T> = { readonly told: Shape<T>; readonly bare: T };
/** The fields of an object, each with its shape: one that is missing, or is another, does not compile. */
type PartsOf<T> = {
  readonly [K in keyof T]-?: object extends Pick<T, K>
    ? { readonly told: Shape<NonNullable<T[K]>>; readonly isOptional: true }
    : Shape<T[K]> | PartOf<T[K]>;
};
const asParts = (fields: Readonly<Record<string, object>>): Parts =>
  Object.fromEntries(
    Object.entries(fields).map(([field, part]) => [field, 'told' in part ? (part as Part) : { told: part as Told }]),
  );
/** What a field is where nobody says it. */
export const bare = <T>(told: Shape<T>, value: NoInfer<T>): PartOf<T> => ({ told, bare: value });
/** A field that may be left out. */
export const optional = <T>(told: Shape<T>) => ({ told, isOptional: true }) as const;
export const object = <T extends object>(fields: PartsOf<T>, isFlat = false): Shape<T> =>
  shape({ is: 'object', fields: asParts(fields), isFlat });
/** A union told apart by `kind`. */
export const union = <T extends { readonly kind: string }>(
  branches: { readonly [K in T['kind']]: PartsOf<Omit<Extract<T, { readonly kind: K }>, 'kind'>> },
  isFlat = false,
): Shape<T> => {
  const all: readonly [string, Readonly<Record<string, object>>][] = Object.entries(branches);
  return shape({
    is: 'union',
    branches: Object.fromEntries(all.map(([kind, fields]) => [kind, asParts(fields)])),
    isFlat,
  });
};
export const STATE = object<{ readonly position: string; readonly role: Role }>(
  { position: key('position'), role: ROLE },
  true,
);

/** A field of a row: who makes the row sets it for good, or anybody says it by an edit. */
export type Field<T> = { readonly told: Shape<T>; readonly isSaid: boolean; readonly bare?: T };
/** Every field of a row but its id and version, each told of once: one that is missing does not compile. */
export type FieldsOf<T> = { readonly [K in Exclude<keyof T, 'id' | 'version'>]-?: Field<T[K]> };
/** The fields of any row. */
export type Fields = Readonly<Record<string, Part & { readonly isSaid: boolean }>>;

type Fixed<T> = { readonly told: Shape<T>; readonly isSaid: false };
type Said<T> = { readonly told: Shape<T>; readonly isSaid: true };
type Bare<T> = { readonly bare: T };
/** Set when the row is made. */
export const fixed = <T>(told: Shape<T>): Fixed<T> => ({ told, isSaid: false });
export const fixedOr = <T>(told: Shape<T>, value: NoInfer<T>): Fixed<T> & Bare<T> => ({
  told,
  isSaid: false,
  bare: value,
});
/** Said by an edit, and by whoever makes the row. */
export const said = <T>(told: Shape<T>): Said<T> => ({ told, isSaid: true });
/** Said by an edit; `value` where nobody says it. */
export const saidOr = <T>(told: Shape<T>, value: NoInfer<T>): Said<T> & Bare<T> => ({
  told,
  isSaid: true,
  bare: value,
});

type KeysWith<F, How> = { [K in keyof F]: F[K] extends How ? K : never }[keyof F];
/** The fields of a row that an edit says. */
export type SaidOf<T, F> = Pick<T, KeysWith<F, { readonly isSaid: true }> & keyof T>;
/** The fields of a row of which something stands where nobody says them. */
export type BareOf<T, F> = Pick<T, KeysWith<F, Bare<unknown>> & keyof T>;
/** As it is sent: of an instant of the row the frame alone, for the server knows the times of the file. */
export type Sent<T> = {
  readonly [K in keyof T as NonNullable<T[K]> extends Instant ? `${K & string}Frame` : K]: NonNullable<
    T[K]
  > extends Instant
    ? number | Extract<T[K], null>
    : T[K];
};

/** The name under which a field is sent. */
export const sentName = (fields: Fields, field: string): string =>
  fields[field]?.told.is === 'instant' ? `${field}Frame` : field;

/** The value of a field as it is sent: of an instant the frame alone, for the server has the times of the file. */
export const sentValue = (fields: Fields, field: string, value: unknown): unknown =>
  fields[field]?.told.is === 'instant' && value ? (value as Instant).frame : value;

/** What stands in a row where nobody says anything. */
export const bareOf =
  <T>() =>
  <F extends FieldsOf<T>>(fields: F): BareOf<T, F> =>
    Object.fromEntries(
      Object.entries(fields as Fields).flatMap(([field, part]) => ('bare' in part ? [[field, part.bare]] : [])),
    ) as BareOf<T, F>;
