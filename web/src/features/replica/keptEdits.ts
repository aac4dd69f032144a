import { rowIdOf, type LibraryEdit } from '@odograph/core';
import type { Refusal } from '@odograph/core/contract';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import type { KeptIn } from './queue.slice.js';

/** An edit as it is kept: with whose it is, in which version its author saw the row, and why the server did not take it (null while it waits). */
export type KeptEdit = {
  readonly accountId: string;
  readonly edit: LibraryEdit;
  readonly base: number | null;
  readonly why: Refusal | null;
};
/** An edit that waits. */
export type Waiting = Omit<KeptEdit, 'why'>;
/** What own edits made of a row, and nobody else between them: the version they found, and the one they left. */
export type OwnStep = { readonly id: string; readonly from: number; readonly version: number };

/** What an own edit that went out on a version made of its row, where nobody else came in between; null otherwise. */
export const ownStep = (edit: LibraryEdit, base: number | null, version: number | undefined): OwnStep | null => {
  const id = rowIdOf(edit);
  return id !== null && base !== null && version === base + 1 ? { id, from: base, version } : null;
};
/** Own steps, the one after the other as one. */
export const joined = (before: OwnStep | undefined, step: OwnStep): OwnStep =>
  before && before.version === step.from ? { ...step, from: before.from } : step;
/** The version in which a row is known to an author who saw `base` before own edits went on from there. */
export const after = (base: number | null, step: OwnStep | undefined): number | null =>
  base !== null && step && step.from <= base && base < step.version ? step.version : base;

/** Where edits are kept until the server has them, for all windows of a browser. */
export type EditStore = {
  /** All of an account, in the order in which they were made. */
  readonly all: (accountId: string) => Promise<readonly KeptEdit[]>;
  readonly add: (accountId: string, edit: LibraryEdit, base: number | null) => Promise<void>;
  /** The first that waits. */
  readonly first: (accountId: string) => Promise<KeptEdit | undefined>;
  /** The server has it. Where it left its row as nobody else had touched it, those that wait for the same row go on from there. */
  readonly done: (editId: string, step: OwnStep | null) => Promise<void>;
  readonly refuse: (editId: string, why: Refusal) => Promise<void>;
  /** A refused edit is decided: it goes, and what is to be done instead comes last, in one. */
  readonly settle: (editId: string, instead: Waiting | null) => Promise<void>;
};

type Stored = KeptEdit & { readonly editId: string };
interface Schema extends DBSchema {
  readonly edits: {
    readonly key: number;
    readonly value: Stored;
    readonly indexes: { readonly accountId: string; readonly editId: string };
  };
  readonly steps: { readonly key: string; readonly value: OwnStep & { readonly at: number } };
  readonly turns: { readonly key: string; readonly value: { readonly holder: string; readonly untilMs: number } };
}
export type EditDatabase = IDBPDatabase<Schema>;
type Both = IDBPTransaction<Schema, ['edits', 'steps'], 'readwrite'>;

const NAME = 'odograph-edits';
/** A step is of use for as long as another window may not have heard of it. */
const STEPS_MS = 3_600_000;

/** Opens what is kept in this browser. */
export const openEdits = (): Promise<EditDatabase> =>
  openDB<Schema>(NAME, 1, {
    upgrade: (database) => {
      const edits = database.createObjectStore('edits', { autoIncrement: true });
      edits.createIndex('accountId', 'accountId');
      edits.createIndex('editId', 'editId', { unique: true });
      database.createObjectStore('steps', { keyPath: 'id' });
      database.createObjectStore('turns');
    },
  });

/** A refusal that was kept before its faults had codes. */
const withCodes = (kept: KeptEdit): KeptEdit => {
  if (kept.why?.code !== 'invalid') return kept;
  const fields = kept.why.facts.fields.map(({ field, fault = { code: 'not-possible' } }) => ({ field, fault }));
  return { ...kept, why: { code: 'invalid', facts: { fields } } };
};

const isNamed = (fault: unknown, name: string): boolean =>
  typeof fault === 'object' && fault !== null && 'name' in fault && fault.name === name;

/**
 * Edits in the browser's store, one record each, in their order. Where the browser is full or keeps nothing, what comes is kept in this window, behind what lies in the
 * browser, and `onKept` hears of it.
 */
export class KeptEdits implements EditStore {
  private readonly inWindow: Stored[] = [];

  constructor(
    private readonly database: Promise<EditDatabase>,
    private readonly onKept: (where: KeptIn) => void,
  ) {}

  /** What the browser gives, or the other where it gives nothing. */
  private async ask<T>(question: (database: EditDatabase) => Promise<T>, otherwise: T): Promise<T> {
    try {
      return await question(await this.database);
    } catch {
      return otherwise;
    }
  }

  readonly all = async (accountId: string): Promise<readonly KeptEdit[]> => {
    const stored = await this.ask((db) => db.getAllFromIndex('edits', 'accountId', accountId), []);
    return [...stored, ...this.inWindow.filter((s) => s.accountId === accountId)].map(withCodes);
  };

  readonly add = (accountId: string, edit: LibraryEdit, base: number | null): Promise<void> =>
    this.put({ accountId, edit, base });

  /** Keeps an edit behind all others, in the place of another one where there is one. */
  private async put(waiting: Waiting, inPlaceOf?: string): Promise<void> {
    const { edit, base } = waiting;
    const stored: Stored = { ...waiting, why: null, editId: edit.editId };
    try {
      // what was made later is not kept in front of what was made before
      if (this.inWindow.length) {
        this.inWindow.push(stored);
        if (inPlaceOf !== undefined) await this.within(await this.database, (both) => this.drop(both, inPlaceOf));
      } else
        // in one transaction: what is done in between would go on with the edits that lie there, and not with this one
        await this.within(await this.database, async (both) => {
          const step = await both.objectStore('steps').get(rowIdOf(edit) ?? '');
          await both.objectStore('edits').add({ ...stored, base: after(base, step) });
          if (inPlaceOf !== undefined) await this.drop(both, inPlaceOf);
        });
    } catch (fault) {
      // it lies there already
      if (isNamed(fault, 'ConstraintError')) return;
      if (!this.inWindow.includes(stored)) this.inWindow.push(stored);
      this.onKept(isNamed(fault, 'QuotaExceededError') ? 'window, browser full' : 'window, browser keeps nothing');
    }
  }

  readonly first = async (accountId: string): Promise<KeptEdit | undefined> => {
    const stored = await this.ask(async (db) => {
      const index = db.transaction('edits').store.index('accountId');
      for (let at = await index.openCursor(accountId); at; at = await at.continue()) if (!at.value.why) return at.value;
      return undefined;
    }, undefined);
    return stored ?? this.inWindow.find((s) => s.accountId === accountId && !s.why);
  };

  readonly done = async (editId: string, step: OwnStep | null): Promise<void> => {
    const at = Date.now();
    const goOn = async (both: Both): Promise<void> => {
      const [edits, steps] = [both.objectStore('edits'), both.objectStore('steps')];
      await this.drop(both, editId);
      if (!step) return;
      for (let old = await steps.openCursor(); old; old = await old.continue())
        if (at - old.value.at > STEPS_MS) await old.delete();
      await steps.put({ ...joined(await steps.get(step.id), step), at });
      for (let waits = await edits.openCursor(); waits; waits = await waits.continue())
        if (rowIdOf(waits.value.edit) === step.id)
          await waits.update({ ...waits.value, base: after(waits.value.base, step) });
    };
    await this.ask((db) => this.within(db, goOn), undefined);
    this.leave(editId);
    if (!step) return;
    this.inWindow.forEach((s, i) => {
      if (rowIdOf(s.edit) === step.id) this.inWindow[i] = { ...s, base: after(s.base, step) };
    });
  };

  readonly refuse = async (editId: string, why: Refusal): Promise<void> => {
    await this.ask(async (db) => {
      const { store, done } = db.transaction('edits', 'readwrite');
      const at = await store.index('editId').openCursor(editId);
      await at?.update({ ...at.value, why });
      await done;
    }, undefined);
    const at = this.inWindow.findIndex((s) => s.editId === editId);
    if (at >= 0) this.inWindow[at] = { ...this.inWindow[at]!, why };
  };

  readonly settle = async (editId: string, instead: Waiting | null): Promise<void> => {
    if (instead) await this.put(instead, editId);
    else await this.ask((db) => this.within(db, (both) => this.drop(both, editId)), undefined);
    this.leave(editId);
  };

  private async drop(both: Both, editId: string): Promise<void> {
    const edits = both.objectStore('edits');
    const key = await edits.index('editId').getKey(editId);
    if (key !== undefined) await edits.delete(key);
  }

  private async within(db: EditDatabase, work: (both: Both) => Promise<void>): Promise<void> {
    const both = db.transaction(['edits', 'steps'], 'readwrite');
    // where the work fails it is told with the reason of its own, not with that of the transaction
    both.done.catch(() => undefined);
    await work(both);
    await both.done;
  }

  private leave(editId: string): void {
    const at = this.inWindow.findIndex((s) => s.editId === editId);
    if (at < 0) return;
    this.inWindow.splice(at, 1);
    if (!this.inWindow.length) this.onKept('browser');
  }
}
