import { createListenerMiddleware } from '@reduxjs/toolkit';
import { mapWorker } from '../../workers/map.client.js';
import { selectReader, selectServerLibrary, type LibraryState } from '../library/index.js';
import { pictureArrived, pictureFailed, type mapSlice } from './map.slice.js';

export type MapState = LibraryState & { readonly map: ReturnType<typeof mapSlice.reducer> };

export const mapListener = createListenerMiddleware<MapState>();

/**
 * Has the map computed anew whenever it is wanted and the library on the server or the view is another; only the newest answer counts. Edits are on the
 * map once the server has them.
 */
mapListener.startListening({
  predicate: (_, now, before) =>
    now.map.wanted &&
    selectReader(now) !== undefined &&
    (!before.map.wanted ||
      now.map.view !== before.map.view ||
      selectReader(now) !== selectReader(before) ||
      selectServerLibrary(now) !== selectServerLibrary(before)),
  effect: async (_, api) => {
    const { dispatch, signal } = api;
    api.cancelActiveListeners();
    await api.delay(0);
    const state = api.getState();
    const reader = selectReader(state);
    if (reader === undefined) return;
    try {
      const wordChanges = selectServerLibrary(state)?.wordChanges ?? [];
      const picture = await mapWorker().show({ reader, view: state.map.view, wordChanges });
      // reading a large picture took the page some time already: drawing it is another task
      await api.delay(0);
      // frozen on top, so that the store does not walk through all lines to freeze them
      if (!signal.aborted) dispatch(pictureArrived(Object.freeze(picture)));
    } catch {
      if (!signal.aborted) dispatch(pictureFailed());
    }
  },
});
