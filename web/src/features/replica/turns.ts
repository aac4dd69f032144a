import { v7 as newId } from 'uuid';
import type { EditDatabase } from './keptEdits.js';

/** Does some work while no other window of this browser does work by that name. */
export type Turns = <T>(name: string, work: () => Promise<T>) => Promise<T>;

const LEASE_MS = 10_000;
const LOOK_MS = 250;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Turns by the locks of the browser, which end with the window that holds them. */
export const byLocks =
  (locks: Pick<LockManager, 'request'>): Turns =>
  async (name, work) => {
    let done: { readonly result: Awaited<ReturnType<typeof work>> } | undefined;
    await locks.request(name, async () => {
      done = { result: await work() };
    });
    return done!.result;
  };

/**
 * Turns by a lease in the browser's store, where a page has no locks (one that does not come over a safe connection). It is renewed while the work lasts; of a window
 * that is gone it runs out after ten seconds.
 */
export const byLease = (database: Promise<EditDatabase>): Turns => {
  const me = newId();
  const take = async (name: string): Promise<boolean> => {
    const { store, done } = (await database).transaction('turns', 'readwrite');
    const held = await store.get(name);
    const isMine = !held || held.holder === me || held.untilMs < Date.now();
    if (isMine) await store.put({ holder: me, untilMs: Date.now() + LEASE_MS }, name);
    await done;
    return isMine;
  };
  const give = async (name: string): Promise<void> => {
    const { store, done } = (await database).transaction('turns', 'readwrite');
    if ((await store.get(name))?.holder === me) await store.delete(name);
    await done;
  };
  return async (name, work) => {
    // a browser that keeps nothing has no other window to take turns with
    while (!(await take(name).catch(() => true))) await pause(LOOK_MS);
    const renewing = setInterval(() => void take(name).catch(() => true), LEASE_MS / 3);
    try {
      return await work();
    } finally {
      clearInterval(renewing);
      await give(name).catch(() => undefined);
    }
  };
};
