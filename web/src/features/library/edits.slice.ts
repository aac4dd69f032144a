import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ErrorBody } from '@odograph/core/contract';
import type { PendingEdit } from './edits.js';

/** Where the edits of this window stand. `unreachable`: kept here and tried again. */
export type SendStatus = 'idle' | 'sending' | 'unreachable' | 'signed-out';

/** An edit that the server did not take, with the reason; it is kept here until the person has decided. */
export type RefusedEdit = { readonly edit: PendingEdit; readonly why: ErrorBody };

type State = {
  readonly pending: readonly PendingEdit[];
  readonly status: SendStatus;
  readonly refused: RefusedEdit | null;
};

const initialState: State = { pending: [], status: 'idle', refused: null };

export const editsSlice = createSlice({
  name: 'edits',
  initialState,
  reducers: {
    editQueued: (state, { payload }: PayloadAction<PendingEdit>) => ({
      ...state,
      pending: [...state.pending, payload],
    }),
    /** Another person is here: what they had not sent yet takes the place of what was here, which stays in the browser's store. */
    editsReplaced: (_, { payload }: PayloadAction<readonly PendingEdit[]>) => ({ ...initialState, pending: payload }),
    sendStatus: (state, { payload }: PayloadAction<SendStatus>) => ({ ...state, status: payload }),
    editDone: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      pending: state.pending.filter((e) => e.editId !== payload),
    }),
    editRefused: (state, { payload }: PayloadAction<RefusedEdit>) => ({
      ...state,
      pending: state.pending.filter((e) => e.editId !== payload.edit.editId),
      refused: payload,
    }),
    refusalSeen: (state) => ({ ...state, refused: null }),
  },
});

export const { editQueued, editsReplaced, sendStatus, editDone, editRefused, refusalSeen } = editsSlice.actions;
