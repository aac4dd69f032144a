import { original } from '@reduxjs/toolkit';
import { LISTS, type Library, type LibraryEdit } from '@odograph/core';
import type { Changed, News } from '@odograph/core/contract';
import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { libraryApi, mergeChanged, selectServerLibrary, type VersionedLibrary } from '../server/index.js';
import { selectPending, type ReplicaState } from './selectors.js';

const isAlike = (a: object, b: object): boolean => JSON.stringify(a) === JSON.stringify(b);

type Row = { readonly id: string; readonly version?: number };
/** The lists whose rows edits change. */
const EDITED = Object.values(LISTS).filter((list) => list !== LISTS.file);

/**
 * What others changed, as far as it is news: rows that are here in a later version, or as they are, stay (what one changed oneself is known already), and so do rows that edits of
 * one's own are on their way for: against those the edit is held by the server, and where both have changed the same field, both values are put before whoever came later.
 */
export const besideOwn = (changed: Changed, library: Library, pending: readonly LibraryEdit[]): Changed => {
  const mine = new Set(pending.flatMap((edit) => ('id' in edit ? [edit.id] : [])));
  const news = <T extends Row>(rows: readonly T[] | undefined, here: readonly T[]): readonly T[] => {
    if (!rows?.length) return [];
    const known = new Map(here.map((row) => [row.id, row]));
    return rows.filter((row) => {
      const own = known.get(row.id);
      return !mine.has(row.id) && (!own || ((row.version ?? 0) >= (own.version ?? 0) && !isAlike(row, own)));
    });
  };
  return {
    ...changed,
    ...Object.fromEntries(EDITED.map((list) => [list, news<Row>(changed[list], library[list])] as const)),
    removed: (changed.removed ?? []).filter((id) => !mine.has(id)),
  };
};

const selectMe = libraryApi.endpoints.me.select();

type Store = {
  readonly getState: () => ReplicaState;
  readonly dispatch: (action: never) => unknown;
};

/** Brings the library that is here to the version the server tells of. */
const catchUp = async ({ getState, dispatch }: Store, version: number): Promise<void> => {
  const library: VersionedLibrary | undefined = selectServerLibrary(getState());
  if (!library || library.version === undefined || library.version >= version) return;
  const ask = libraryApi.endpoints.news.initiate(library.version, { subscribe: false, forceRefetch: true });
  const { data } = (await dispatch(ask as never)) as { readonly data?: News };
  if (!data) return;
  if (data.whole) {
    await dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true, subscribe: false }) as never);
    return;
  }
  const pending = selectPending(getState());
  const merge = libraryApi.util.updateQueryData('library', undefined, (draft): never => {
    const here: Library = original(draft as never) ?? draft;
    const changed = data.changed && besideOwn(data.changed, here, pending);
    return Object.freeze({ ...(changed ? mergeChanged(here, changed) : here), version: data.version }) as never;
  });
  dispatch(merge as never);
};

/** Why the server has nothing more to tell: the session is over, or its role is another one. */
export type NewsEnd = 'signed-out' | 'role';

/**
 * Listens for what others of the academy change, as long as the page is open; after a lost connection the browser listens again by itself. Gives why the
 * server has ended it, if it has; with another role everything is asked for anew, and it is listened again.
 */
export const useNews = (): NewsEnd | null => {
  const store = useStore<ReplicaState>();
  const [end, setEnd] = useState<NewsEnd | null>(null);
  const [turns, setTurns] = useState(0);
  useEffect(() => {
    const source = new EventSource('/api/news/stream');
    let turn = Promise.resolve();
    source.onmessage = ({ data }: MessageEvent<string>) => {
      turn = turn.then(() => catchUp(store as Store, Number(data)));
    };
    const otherRole = (): void => {
      setEnd('role');
      const anew = { forceRefetch: true, subscribe: false } as const;
      store.dispatch(libraryApi.endpoints.me.initiate(undefined, anew) as never);
      store.dispatch(libraryApi.endpoints.library.initiate(undefined, anew) as never);
    };
    source.addEventListener('role', ({ data }: MessageEvent<string>) => {
      const me = selectMe(store.getState()).data;
      if (me && me.role !== data) otherRole();
    });
    source.addEventListener('ended', ({ data }: MessageEvent<NewsEnd>) => {
      source.close();
      if (data === 'signed-out') setEnd(data);
      else {
        otherRole();
        setTurns((n) => n + 1);
      }
    });
    return () => source.close();
  }, [store, turns]);
  return end;
};
