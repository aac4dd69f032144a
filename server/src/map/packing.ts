import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import {
  RowTable,
  analyseRows,
  applyRows,
  messageOf,
  packRows,
  toGraphml,
  unpackRows,
  withPlanned,
  wordsOf,
  type Plan,
  type RowsMessage,
  type WordChange,
} from '@odograph/core';

const [zip, unzip] = [promisify(gzip), promisify(gunzip)];

const read = async (packed: Uint8Array): Promise<RowsMessage> => {
  const { buffer, byteOffset, byteLength } = await unzip(packed);
  return unpackRows(buffer.slice(byteOffset, byteOffset + byteLength));
};

/** Rows as they go out: packed, and packed again by gzip. */
export const packed = (message: RowsMessage): Promise<Uint8Array> => zip(packRows(message));

/** The map as GraphML, out of packed rows. */
export const graphmlOf = async (
  rows: Uint8Array,
  wordChanges: readonly WordChange[],
  plans: readonly Pick<Plan, 'lines'>[],
): Promise<string> => {
  const table = new RowTable();
  applyRows(table, await read(rows));
  const words = wordsOf({ wordChanges });
  return toGraphml(withPlanned(analyseRows(table, words), plans, words));
};

/** Packed rows of an earlier version with what has changed since laid in: those of a later one. */
export const broughtUp = async (rows: Uint8Array, changed: Uint8Array, version: number): Promise<Uint8Array> => {
  const table = new RowTable();
  applyRows(table, await read(rows));
  applyRows(table, await read(changed));
  return packed(messageOf(table, { version, whole: true, rows: table.present() }));
};

/** What is asked of a process of its own, so that the server goes on answering. */
export type PackingTask =
  | {
      readonly kind: 'graphml';
      readonly rows: Uint8Array;
      readonly wordChanges: readonly WordChange[];
      readonly plans: readonly Pick<Plan, 'lines'>[];
    }
  | { readonly kind: 'brought up'; readonly rows: Uint8Array; readonly changed: Uint8Array; readonly version: number };

export const done = async (task: PackingTask): Promise<Uint8Array> =>
  task.kind === 'graphml'
    ? Buffer.from(await graphmlOf(task.rows, task.wordChanges, task.plans))
    : broughtUp(task.rows, task.changed, task.version);
