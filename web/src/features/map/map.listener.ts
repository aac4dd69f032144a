import { gatheredFor } from '@odograph/core';
import { createListenerMiddleware } from '@reduxjs/toolkit';
import { showMap } from '../../workers/map.client.js';
import { type ReplicaState } from '../replica/index.js';
import { selectReader, selectServerLibrary } from '../server/index.js';
import { pictureArrived, pictureFailed, type mapSlice } from './map.slice.js';

export type MapState = ReplicaState & { readonly map: ReturnType<typeof mapSlice.reducer> };

/** After so many milliseconds a map that could not be had is asked for again. */
const RETRY_MS = 3000;

/** Whether all is known that the view asks for by a name. */
const isGathered = ({ view, gathered }: MapState['map']): boolean => gatheredFor(view).every((name) => gathered[name]);

export const mapListener = createListenerMiddleware<MapState>();

/**
 * Has the map computed anew whenever it is wanted and the library on the server or the view is another; only the newest answer counts. Edits are on the
 * map once the server has them.
 */
mapListener.startListening({
  predicate: (_, now, before) =>
    now.map.wanted &&
    selectReader(now) !== undefined &&
    isGathered(now.map) &&
    (!before.map.wanted ||
      now.map.view !== before.map.view ||
      (gatheredFor(now.map.view).length > 0 && now.map.gathered !== before.map.gathered) ||
      selectReader(now) !== selectReader(before) ||
      selectServerLibrary(now) !== selectServerLibrary(before)),
  effect: async (_, api) => {
    const { dispatch, signal } = api;
    api.cancelActiveListeners();
    await api.delay(0);
    const state = api.getState();
    const reader = selectReader(state);
    if (reader === undefined) return;
    const { view, gathered } = state.map;
    const wordChanges = selectServerLibrary(state)?.wordChanges ?? [];
    // a wait that is cut short by a newer wish ends the effect
    for (;;) {
      const picture = await showMap({ reader, view, wordChanges, gathered }).catch(() => undefined);
      if (signal.aborted) return;
      if (picture) {
        // reading a large picture took the page some time already: drawing it is another task
        await api.delay(0);
        // frozen on top, so that the store does not walk through all lines to freeze them
        dispatch(pictureArrived(Object.freeze(picture)));
        return;
      }
      dispatch(pictureFailed());
      await api.delay(RETRY_MS);
    }
  },
});
