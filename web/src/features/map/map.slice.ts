import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { GatheredIds, MapPicture, MapView } from '../../workers/map.protocol.js';

type State = {
  readonly wanted: boolean;
  readonly view: MapView;
  readonly picture: MapPicture | null;
  readonly failed: boolean;
  /** The attempts that the view asks for by a name, as far as they are known. */ readonly gathered: GatheredIds;
};

const initialState: State = {
  ...{ wanted: false, view: { includePicked: false }, picture: null, failed: false },
  gathered: {},
};

/** What the map's worker computed last. It is computed from the moment that a screen wants it. */
export const mapSlice = createSlice({
  name: 'map',
  initialState,
  reducers: {
    mapWanted: (state) => ({ ...state, wanted: true }),
    viewChosen: (state, { payload }: PayloadAction<MapView>) => ({ ...state, view: payload }),
    gatheredFound: (state, { payload }: PayloadAction<GatheredIds>) => ({ ...state, gathered: payload }),
    pictureArrived: (state, { payload }: PayloadAction<MapPicture>) => ({ ...state, picture: payload, failed: false }),
    /** A picture that is there stays: it is what was counted last. */
    pictureFailed: (state) => ({ ...state, failed: state.picture === null }),
  },
});

export const { mapWanted, viewChosen, gatheredFound, pictureArrived, pictureFailed } = mapSlice.actions;
