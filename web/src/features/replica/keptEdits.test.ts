import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { LibraryEdit } from '@odograph/core';
import { KeptEdits, openEdits, type EditDatabase } from './keptEdits.js';
import type { KeptIn } from './queue.slice.js';
import { byLease, byLocks } from './turns.js';

const edit = (editId: string): LibraryEdit => ({ kind: 'undo', editId });
const why = { code: 'internal', facts: {} } as const;
const idsOf = (kept: readonly { readonly edit: LibraryEdit }[]): readonly string[] => kept.map((k) => k.edit.editId);

describe('edits in the browser', () => {
  let heard: KeptIn[];
  afterEach(() => {
    jest.restoreAllMocks();
  });
  beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    heard = [];
  });
  const kept = (database = openEdits()): KeptEdits => new KeptEdits(database, (where) => heard.push(where));

  test('when edits are kept, they should lie there in their order, for their account, until they are done', async () => {
    const edits = kept();
    for (const id of ['b', 'a', 'c']) await edits.add('one', edit(id), null);
    await edits.add('two', edit('d'), null);
    expect(idsOf(await edits.all('one'))).toEqual(['b', 'a', 'c']);
    await edits.done('b', null);
    await edits.refuse('a', why);
    expect((await edits.first('one'))?.edit.editId).toBe('c');
    expect(await kept().all('one')).toMatchObject([
      { edit: { editId: 'a' }, why },
      { edit: { editId: 'c' }, why: null },
    ]);
    await edits.settle('a', null);
    expect(idsOf(await edits.all('one'))).toEqual(['c']);
    // the same again is there already
    await edits.add('one', edit('c'), null);
    expect(idsOf(await edits.all('one'))).toEqual(['c']);
    expect(heard).toEqual([]);
  });

  test('when an own edit is done and nobody else came in between, those that wait for the row, and come later, should go on from there', async () => {
    const edits = kept();
    const on = (editId: string, id = 'row'): LibraryEdit => ({ kind: 'attempt', editId, id, changes: { depth: 1 } });
    for (const id of ['a', 'b', 'c']) await edits.add('one', on(id), 3);
    await edits.add('one', on('other row', 'x'), 3);
    await edits.done('a', { id: 'row', from: 3, version: 4 });
    const bases = async () => (await edits.all('one')).map((k) => [k.edit.editId, k.base]);
    expect(await bases()).toEqual([
      ['b', 4],
      ['c', 4],
      ['other row', 3],
    ]);
    await edits.done('b', { id: 'row', from: 4, version: 5 });
    // another window that has not heard of either
    await edits.add('one', on('late'), 3);
    // somebody else came in between: what was seen stays what was seen
    await edits.done('c', null);
    expect(await bases()).toEqual([
      ['other row', 3],
      ['late', 5],
    ]);
  });

  test('when an edit is kept while the one before it is being done, it should go on from there, whichever comes first', async () => {
    const on = (editId: string): LibraryEdit => ({ kind: 'attempt', editId, id: 'row', changes: { depth: 1 } });
    for (const isDoneFirst of [true, false]) {
      globalThis.indexedDB = new IDBFactory();
      const edits = kept();
      await edits.add('one', on('a'), 3);
      const done = (): Promise<void> => edits.done('a', { id: 'row', from: 3, version: 4 });
      const add = (): Promise<void> => edits.add('one', on('b'), 3);
      await Promise.all((isDoneFirst ? [done, add] : [add, done]).map((work) => work()));
      expect((await edits.all('one')).map((k) => [k.edit.editId, k.base])).toEqual([['b', 4]]);
    }
  });

  test('when a refused edit is done another way, the one should take the place of the other, last of all, and go on from own steps', async () => {
    const on = (editId: string): LibraryEdit => ({ kind: 'attempt', editId, id: 'row', changes: { depth: 1 } });
    const edits = kept();
    await edits.add('one', on('a'), 3);
    await edits.refuse('a', why);
    await edits.add('one', on('b'), 5);
    await edits.done('b', { id: 'row', from: 5, version: 6 });
    await edits.add('one', edit('c'), null);
    await edits.settle('a', { accountId: 'one', edit: on('d'), base: 5 });
    expect((await kept().all('one')).map((k) => [k.edit.editId, k.base, k.why])).toEqual([
      ['c', null, null],
      ['d', 6, null],
    ]);
  });

  test('when the browser is full, what comes should be kept in the window behind what lies there, and that be said until it is gone', async () => {
    const database = await openEdits();
    await kept().add('one', edit('a'), null);
    const edits = kept(Promise.resolve(database));
    const add = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await edits.add('one', edit('b'), null);
    await edits.add('one', edit('c'), null);
    expect(add).toHaveBeenCalledTimes(1);
    expect(heard).toEqual(['window, browser full']);
    expect(idsOf(await edits.all('one'))).toEqual(['a', 'b', 'c']);
    expect(idsOf(await kept().all('one'))).toEqual(['a']);
    await edits.done('a', null);
    expect((await edits.first('one'))?.edit.editId).toBe('b');
    await edits.refuse('b', why);
    expect((await edits.first('one'))?.edit.editId).toBe('c');
    await edits.done('c', null);
    await edits.settle('b', null);
    expect(heard).toEqual(['window, browser full', 'browser']);
  });

  test('when the browser keeps nothing, edits should be kept in the window, and that be said', async () => {
    const none = Promise.reject<EditDatabase>(new Error('not allowed'));
    none.catch(() => undefined);
    const edits = kept(none);
    await edits.add('one', edit('a'), null);
    expect(heard).toEqual(['window, browser keeps nothing']);
    expect((await edits.first('one'))?.edit.editId).toBe('a');
    await edits.done('a', null);
    expect(await edits.all('one')).toEqual([]);
  });
});

describe('turns between windows', () => {
  beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
  });
  afterEach(() => {
    jest.restoreAllMocks();
  });

  test('when two windows want to send, one should wait for the other, and go on if that fails', async () => {
    const [one, two] = [byLease(openEdits()), byLease(openEdits())];
    const order: string[] = [];
    let leave: () => void = () => undefined;
    const first = one('edits', async () => {
      order.push('one in');
      await new Promise<void>((resolve) => (leave = resolve));
      order.push('one out');
      throw new Error('it failed');
    });
    while (!order.length) await new Promise((resolve) => setTimeout(resolve, 5));
    const second = two('edits', () => {
      order.push('two in');
      return Promise.resolve('done');
    });
    leave();
    await expect(first).rejects.toThrow('it failed');
    expect(await second).toBe('done');
    expect(order).toEqual(['one in', 'one out', 'two in']);
  });

  test('when a window is gone in the midst of its turn, the next should come after ten seconds', async () => {
    let leave: () => void = () => undefined;
    const gone = byLease(openEdits())('edits', () => new Promise<void>((resolve) => (leave = resolve)));
    const database = await openEdits();
    while (!(await database.get('turns', 'edits'))) await new Promise((resolve) => setTimeout(resolve, 5));
    const held = (await database.get('turns', 'edits'))!;
    expect(held.untilMs - Date.now()).toBeGreaterThan(9000);
    await database.put('turns', { ...held, untilMs: Date.now() - 1 }, 'edits');
    expect(await byLease(openEdits())('edits', () => Promise.resolve('mine'))).toBe('mine');
    leave();
    await gone;
  });

  test('when there are locks, the work should be done under one, and what it gives be given', async () => {
    const request = jest.fn((_: string, work: () => Promise<void>) => work());
    expect(await byLocks({ request } as never)('edits', () => Promise.resolve(7))).toBe(7);
    expect(request.mock.calls[0]![0]).toBe('edits');
  });
});
