import { createListenerMiddleware } from '@reduxjs/toolkit';
import { mapWorker } from '../../workers/map.client.js';
import { selectLibrary, type LibraryState } from '../library/index.js';
import { pictureArrived, pictureFailed, type mapSlice } from './map.slice.js';

export type MapState = LibraryState & { readonly map: ReturnType<typeof mapSlice.reducer> };

export const mapListener = createListenerMiddleware<MapState>();

/** Has the map computed anew whenever it is wanted and the library or the view is another; only the newest answer counts. */
mapListener.startListening({
  predicate: (_, now, before) =>
    now.map.wanted &&
    (!before.map.wanted || now.map.view !== before.map.view || selectLibrary(now) !== selectLibrary(before)),
  effect: async (_, api) => {
    const { dispatch, signal } = api;
    api.cancelActiveListeners();
    await api.delay(0);
    const state = api.getState();
    try {
      const picture = await mapWorker().load(selectLibrary(state), state.map.view);
      if (!signal.aborted) dispatch(pictureArrived(picture));
    } catch {
      if (!signal.aborted) dispatch(pictureFailed());
    }
  },
});
