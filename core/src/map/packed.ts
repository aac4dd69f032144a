import { COLUMNS, NONE, type Column, type FootageRow, type Row, type RowTable } from './rows.js';

/**
 * Rows on their way to a worker. `whole`: everything there is, otherwise what has changed since an earlier version. Numbers in the rows stand for the
 * texts and footage of this message.
 */
export type RowsMessage = {
  readonly version: number;
  readonly whole: boolean;
  readonly places: readonly string[];
  readonly actions: readonly string[];
  readonly grips: readonly string[];
  readonly footage: readonly FootageRow[];
  readonly ids: readonly string[];
  readonly removed: readonly string[];
  readonly columns: Readonly<Record<Column, ArrayLike<number>>>;
};

type Head = Omit<RowsMessage, 'ids' | 'columns'> & {
  readonly count: number;
  readonly ids?: readonly string[];
  readonly wide: readonly Column[];
};

const MARK = 0x4f44_4f31;
const ID_BYTES = 16;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Where the two digits of each byte stand in the text of an id, strokes passed over. */
const BYTE_AT = [0, 2, 4, 6, 9, 11, 14, 16, 19, 21, 24, 26, 28, 30, 32, 34];
/** A digit of an id, in small letters, as a number. */
const digit = (id: string, at: number): number => {
  const code = id.charCodeAt(at);
  return code < 0x3a ? code - 0x30 : code - 0x57;
};

/** JSON of plain ASCII: a character is a byte. */
const ascii = (value: unknown): string =>
  JSON.stringify(value).replace(/[\u0080-\uffff]/g, (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`);

const align = (n: number): number => (n + 3) & ~3;

/** The rows of a table, or some of them, as a message. The footage and texts of all of it come along. */
export const messageOf = (
  table: RowTable,
  {
    version,
    whole,
    removed = [],
    rows,
  }: { version: number; whole: boolean; removed?: readonly string[]; rows?: readonly number[] },
): RowsMessage => {
  const numbers = rows ?? Array.from({ length: table.length }, (_, i) => i);
  return {
    version,
    whole,
    removed,
    places: table.places.texts,
    actions: table.actions.texts,
    grips: table.grips.texts,
    footage: table.footage,
    ids: numbers.map((row) => table.ids[row]!),
    columns: Object.fromEntries(
      COLUMNS.map((name) => [
        name,
        rows ? numbers.map((row) => table.column(name)[row]!) : table.column(name).slice(0, table.length),
      ]),
    ) as unknown as RowsMessage['columns'],
  };
};

/**
 * A message as bytes: mark and length of the head (two 32-bit numbers, little-endian), the head as ASCII JSON, the ids (16 bytes each, turned so that
 * the first bytes of all ids stand together, since ids made after each other begin alike and so pack small), then a column after the other, 16 bits a
 * number, 32 where a number needs it; each part begins at a multiple of four.
 */
export const packRows = ({ ids, columns, ...rest }: RowsMessage): Uint8Array => {
  const count = ids.length;
  const isUuid = ids.every((id) => UUID.test(id));
  const wide = COLUMNS.filter((name) => Array.prototype.some.call(columns[name], (n: number) => n > 0xffff));
  const head = ascii({ ...rest, count, wide, ...(isUuid ? {} : { ids }) } satisfies Head);
  const widthOf = (name: Column): number => (wide.includes(name) ? 4 : 2);
  const idsAt = align(8 + head.length);
  let end = align(idsAt + (isUuid ? ID_BYTES * count : 0));
  const starts = COLUMNS.map((name) => {
    const start = end;
    end = align(start + count * widthOf(name));
    return start;
  });
  const bytes = new Uint8Array(end);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, MARK, true);
  view.setUint32(4, head.length, true);
  for (let i = 0; i < head.length; i++) bytes[8 + i] = head.charCodeAt(i);
  if (isUuid)
    ids.forEach((id, i) => {
      for (let k = 0; k < ID_BYTES; k++) {
        const at = BYTE_AT[k]!;
        bytes[idsAt + k * count + i] = (digit(id, at) << 4) | digit(id, at + 1);
      }
    });
  COLUMNS.forEach((name, c) => {
    const width = widthOf(name);
    for (let i = 0; i < count; i++) {
      const n = columns[name][i]!;
      if (width === 4) view.setUint32(starts[c]! + 4 * i, n, true);
      else view.setUint16(starts[c]! + 2 * i, n, true);
    }
  });
  return bytes;
};

const HEX = Array.from({ length: 256 }, (_, i) => i.toString(16).padStart(2, '0'));

/** The message that {@link packRows} made bytes of; throws where the bytes are none. */
export const unpackRows = (buffer: ArrayBuffer): RowsMessage => {
  const view = new DataView(buffer);
  const bytes = new Uint8Array(buffer);
  if (buffer.byteLength < 8 || view.getUint32(0, true) !== MARK) throw new Error('these bytes are no rows');
  const headLength = view.getUint32(4, true);
  let json = '';
  for (let i = 0; i < headLength; i += 4096)
    json += String.fromCharCode(...bytes.subarray(8 + i, 8 + Math.min(headLength, i + 4096)));
  const { count, wide, ids: plainIds, ...rest } = JSON.parse(json) as Head;
  const idsAt = align(8 + headLength);
  const idOf = (i: number): string => {
    let hex = '';
    for (let k = 0; k < ID_BYTES; k++) {
      hex += HEX[bytes[idsAt + k * count + i]!]!;
      if (k === 3 || k === 5 || k === 7 || k === 9) hex += '-';
    }
    return hex;
  };
  const ids = plainIds ?? Array.from({ length: count }, (_, i) => idOf(i));
  let at = align(idsAt + (plainIds ? 0 : ID_BYTES * count));
  const columns = Object.fromEntries(
    COLUMNS.map((name) => {
      const column = wide.includes(name) ? new Uint32Array(buffer, at, count) : new Uint16Array(buffer, at, count);
      at = align(at + column.byteLength);
      return [name, column];
    }),
  ) as unknown as RowsMessage['columns'];
  return { ...rest, ids, columns };
};

/** Lays a message into a table; gives the numbers of the rows it touched. A whole message goes into an empty table. */
export const applyRows = (table: RowTable, message: RowsMessage): readonly number[] => {
  const { columns, ids, removed } = message;
  const renumber = (texts: readonly string[], into: { of(text: string): number }): ((n: number) => number) => {
    const numbers: number[] = [];
    return (n) => (n === NONE ? NONE : (numbers[n] ??= into.of(texts[n]!)));
  };
  const footage = message.footage.map((f) => table.setFootage(f));
  const places = renumber(message.places, table.places);
  const actions = renumber(message.actions, table.actions);
  const grips = renumber(message.grips, table.grips);
  const touched = ids.map((id, i) => {
    const at = (name: Column): number => columns[name][i]!;
    const row: Row = {
      footage: footage[at('footage')]!,
      flags: at('flags'),
      from: places(at('from')),
      to: places(at('to')),
      action: actions(at('action')),
      value: places(at('value')),
      commitGrips: grips(at('commitGrips')),
      endGrips: grips(at('endGrips')),
    };
    return table.setRow(id, row);
  });
  return [...touched, ...removed.flatMap((id) => table.removeRow(id) ?? [])];
};
