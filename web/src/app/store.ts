import { configureStore } from '@reduxjs/toolkit';
import { mapListener, mapSlice } from '../features/map/index.js';
import { Replica, inBrowser, keptIn, queueSlice, type Around, type KeptIn } from '../features/replica/index.js';
import { serverApi } from '../features/server/index.js';

const LARGE = { ignoredPaths: ['edits', serverApi.reducerPath] };

/** The store of a window. `around`: where edits are kept and how windows take turns; what hears where they are kept is given to it. */
export const makeStore = (around: (onKept: (where: KeptIn) => void) => Around = inBrowser) => {
  const replica = new Replica(around((where) => void store.dispatch(keptIn(where))));
  const store = configureStore({
    reducer: { [serverApi.reducerPath]: serverApi.reducer, edits: queueSlice.reducer, map: mapSlice.reducer },
    // what is large is not walked through at each action while it is developed
    middleware: (all) =>
      all({ serializableCheck: LARGE, immutableCheck: LARGE })
        .prepend(replica.middleware, mapListener.middleware)
        .concat(serverApi.middleware),
    // subscribers hear of an answer right after it, not in the task that lays out and paints the next frame
    enhancers: (all) => all({ autoBatch: { type: 'tick' } }),
  });
  return Object.assign(store, { replica });
};

export type Store = ReturnType<typeof makeStore>;
