import { KEPT, type Entity, type Fields, type RowOf, type Told } from '@odograph/core';
import { DataTypes, type ModelAttributes } from 'sequelize';

/** A row as the database has it: columns by the names of their attributes. */
export type Row = Record<string, unknown>;

/** How a value is kept: in which columns, and to and from them. */
type Codec = {
  readonly columns: ModelAttributes;
  readonly read: (row: Row) => unknown;
  /** Writes a value into the columns of a row. */ readonly write: (value: unknown, into: Row) => void;
};

const LARGEST_INT = 2 ** 31 - 1;
const LONGEST_STRING = 255;
const FRAME: Told = { is: 'number', isWhole: true, from: 0, to: LARGEST_INT };
const PTS: Told = { is: 'number', isWhole: false, from: 0, to: LARGEST_INT };

const typeOf = (told: Told): ModelAttributes[string] => {
  switch (told.is) {
    case 'id':
      return { type: DataTypes.CHAR(36) };
    case 'flag':
      return { type: DataTypes.BOOLEAN };
    case 'number':
      if (!told.isWhole) return { type: DataTypes.DOUBLE };
      return { type: told.to > LARGEST_INT ? DataTypes.BIGINT : DataTypes.INTEGER };
    case 'day':
      return { type: DataTypes.DATEONLY };
    case 'text':
      return { type: told.most > LONGEST_STRING ? DataTypes.TEXT : DataTypes.STRING };
    case 'key':
    case 'role':
    case 'place':
    case 'choice':
      return { type: DataTypes.STRING };
    default:
      return { type: DataTypes.JSON };
  }
};

/** What stands in the items of a list where nobody says it. */
const bareItem = (told: Told): Readonly<Row> =>
  told.is === 'list' && told.item.is === 'object'
    ? Object.fromEntries(
        Object.entries(told.item.fields).flatMap(([part, of]) => ('bare' in of ? [[part, of.bare]] : [])),
      )
    : {};
/** A list as it is read: what its items were written without, since it came later, nobody has said. */
const listReader = (name: string, told: Told): ((row: Row) => unknown) => {
  const bare = bareItem(told);
  const parts = Object.keys(bare);
  const filled = (item: object): object => (parts.every((part) => part in item) ? item : { ...bare, ...item });
  return (row) => {
    const list = row[name];
    return parts.length && Array.isArray(list) ? (list as readonly object[]).map(filled) : (list ?? null);
  };
};

/** A value in one column; lists, and what lies deeper, are JSON. */
const inOne = (name: string, told: Told): Codec => ({
  columns: { [name]: typeOf(told) },
  read:
    told.is === 'flag'
      ? // plain rows have flags as 0 and 1
        (row) => (row[name] === null ? null : row[name] === true || row[name] === 1)
      : told.is === 'list'
        ? listReader(name, told)
        : (row) => row[name] ?? null,
  write: (value, into) => {
    into[name] = value ?? null;
  },
});

type Parts = readonly (readonly [part: string, told: Told])[];
/** A value whose parts have columns of their own; nothing stands in any of them where there is no value. */
const inMany = (name: string, all: Parts, partsIn: (row: Row) => ReadonlySet<string> | null): Codec => {
  const parts = all.map(
    ([part, told]) => [part, codec(`${name}${part[0]!.toUpperCase()}${part.slice(1)}`, told)] as const,
  );
  return {
    columns: Object.assign({}, ...parts.map(([, { columns }]) => columns)) as ModelAttributes,
    read: (row) => {
      const there = partsIn(row);
      if (!there) return null;
      const value: Record<string, unknown> = {};
      for (const [part, { read }] of parts) if (there.has(part)) value[part] = read(row);
      return value;
    },
    write: (value, into) => {
      const of = value as Readonly<Record<string, unknown>> | null | undefined;
      for (const [part, { write }] of parts) write(of?.[part], into);
    },
  };
};

const whereSet = (column: string, parts: Parts): ((row: Row) => ReadonlySet<string> | null) => {
  const all = new Set(parts.map(([part]) => part));
  return (row) => (row[column] === null || row[column] === undefined ? null : all);
};
const codec = (name: string, told: Told): Codec => {
  if (told.is === 'instant') {
    const parts: Parts = [
      ['frame', FRAME],
      ['pts', PTS],
    ];
    return inMany(name, parts, whereSet(`${name}Frame`, parts));
  }
  if (told.is === 'object' && told.isFlat) {
    const parts: Parts = Object.entries(told.fields).map(([part, { told: of }]) => [part, of]);
    const first = parts[0]![0];
    return inMany(name, parts, whereSet(`${name}${first[0]!.toUpperCase()}${first.slice(1)}`, parts));
  }
  if (told.is === 'union' && told.isFlat) {
    const branches = Object.entries(told.branches);
    const kind: Told = { is: 'choice', values: branches.map(([of]) => of) };
    const once = new Map(
      branches.flatMap(([, parts]) => Object.entries(parts).map(([part, { told: of }]) => [part, of])),
    );
    const partsOf = new Map(branches.map(([of, parts]) => [of, new Set(['kind', ...Object.keys(parts)])]));
    return inMany(name, [['kind', kind], ...once], (row) => partsOf.get(row[`${name}Kind`] as string) ?? null);
  }
  return inOne(name, told);
};

/** Something of each kind of row, made of what is told of its fields. */
export const perEntity = <T>(how: (fields: Fields) => T): Readonly<Record<Entity, T>> => {
  const all = Object.entries(KEPT).map(([entity, fields]) => [entity, how(fields)] as const);
  return Object.fromEntries(all) as Record<Entity, T>;
};
const CODECS = perEntity(
  (fields) => new Map(Object.entries(fields).map(([field, { told }]) => [field, codec(field, told)] as const)),
);
/** The columns of each kind of row, by the names of their attributes. */
export const COLUMNS = perEntity(
  (fields) =>
    Object.assign(
      {},
      ...Object.entries(fields).map(([field, { told }]) => codec(field, told).columns),
    ) as ModelAttributes,
);
export const columnNames = (entity: Entity): readonly string[] => Object.keys(COLUMNS[entity]);
/** The columns in which a field of a row is kept. */
export const columnsOfField = (entity: Entity, field: string): readonly string[] =>
  Object.keys(CODECS[entity].get(field)?.columns ?? {});

/** A row as the rest of the program knows it. Sequelize never leaves the repositories. */
export const fromRow = <E extends Entity>(entity: E, row: Row): RowOf[E] => {
  const values: Record<string, unknown> = { id: row['id'] };
  // files are never edited
  if (entity !== 'file') values['version'] = row['version'];
  for (const [field, { read }] of CODECS[entity]) values[field] = read(row);
  // what is told of each field is held against its type where it is told
  return values as RowOf[E];
};

/** The columns of the fields that are given. */
export const toRow = <E extends Entity>(entity: E, values: Partial<RowOf[E]>): Row => {
  const row: Row = {};
  for (const [field, value] of Object.entries(values))
    if (value !== undefined) CODECS[entity].get(field)?.write(value, row);
  return row;
};
