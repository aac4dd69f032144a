import { configureStore } from '@reduxjs/toolkit';
import {
  editsListener,
  editsReplaced,
  editsSlice,
  selectAccountId,
  serverApi,
  type PendingEdit,
} from '../features/library/index.js';
import { mapListener, mapSlice } from '../features/map/index.js';

export const makeStore = () =>
  configureStore({
    reducer: { [serverApi.reducerPath]: serverApi.reducer, edits: editsSlice.reducer, map: mapSlice.reducer },
    middleware: (all) => all().prepend(editsListener.middleware, mapListener.middleware).concat(serverApi.middleware),
    // subscribers hear of an answer right after it, not in the task that lays out and paints the next frame
    enhancers: (all) => all({ autoBatch: { type: 'tick' } }),
  });

export type Store = ReturnType<typeof makeStore>;

const keyOf = (accountId: string): string => `odograph.pending.${accountId}`;

const kept = (accountId: string): readonly PendingEdit[] => {
  try {
    const read: unknown = JSON.parse(window.localStorage.getItem(keyOf(accountId)) ?? '[]');
    return Array.isArray(read) ? (read as PendingEdit[]) : [];
  } catch {
    return [];
  }
};

/** Edits that the server does not have yet are kept in the browser, by account, and go on after a reload. */
export const keepPending = (store: Store): void => {
  let account: string | undefined;
  let last: readonly PendingEdit[] | undefined;
  store.subscribe(() => {
    const state = store.getState();
    const id = selectAccountId(state);
    if (id !== undefined && id !== account) {
      account = id;
      store.dispatch(editsReplaced(kept(id)));
      return;
    }
    const { pending } = store.getState().edits;
    if (account === undefined || pending === last) return;
    last = pending;
    if (pending.length) window.localStorage.setItem(keyOf(account), JSON.stringify(pending));
    else window.localStorage.removeItem(keyOf(account));
  });
};
