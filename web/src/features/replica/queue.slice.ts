import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { LibraryEdit } from '@odograph/core';
import type { Refusal } from '@odograph/core/contract';

/** Where the edits of this window stand. `unreachable`: kept here and tried again. */
export type SendStatus = 'idle' | 'sending' | 'unreachable' | 'signed-out';

/** An edit that the server did not take, with the reason; it is kept until the person has decided. */
export type RefusedEdit = { readonly edit: LibraryEdit; readonly why: Refusal };

/** Where edits lie that the server doesn't have: in the browser, or in this window alone, because the browser is full or keeps nothing. */
export type KeptIn = 'browser' | 'window, browser full' | 'window, browser keeps nothing';

/** What a person has decided about a refused edit: what is to be done instead, or nothing. */
export type Settled = { readonly editId: string; readonly instead: LibraryEdit | null };

export type Queue = {
  /** What the server doesn't have yet, in order. */ readonly pending: readonly LibraryEdit[];
  /** What it did not take, first to last. */ readonly refused: readonly RefusedEdit[];
  readonly status: SendStatus;
  readonly keptIn: KeptIn;
};

const initialState: Queue = { pending: [], refused: [], status: 'idle', keptIn: 'browser' };

const without = (edits: readonly LibraryEdit[], editId: string): readonly LibraryEdit[] =>
  edits.some((e) => e.editId === editId) ? edits.filter((e) => e.editId !== editId) : edits;

const withoutRefusal = (queue: Queue, editId: string): Queue => ({
  ...queue,
  refused: queue.refused.filter((r) => r.edit.editId !== editId),
});

export const queueSlice = createSlice({
  name: 'edits',
  initialState,
  reducers: {
    /** Somebody has done something in this window. */
    editQueued: (state, { payload }: PayloadAction<LibraryEdit>) => ({
      ...state,
      pending: [...state.pending, payload],
    }),
    /** The same person has done something in another window. */
    editHeard: (state, { payload }: PayloadAction<LibraryEdit>) =>
      state.pending.some((e) => e.editId === payload.editId)
        ? state
        : { ...state, pending: [...state.pending, payload] },
    /** What lies in the browser takes the place of what was here. */
    queueRead: (state, { payload }: PayloadAction<Pick<Queue, 'pending' | 'refused'>>) => ({ ...state, ...payload }),
    sendStatus: (state, { payload }: PayloadAction<SendStatus>) => ({ ...state, status: payload }),
    keptIn: (state, { payload }: PayloadAction<KeptIn>) => ({ ...state, keptIn: payload }),
    editDone: (state, { payload }: PayloadAction<string>) => ({ ...state, pending: without(state.pending, payload) }),
    editRefused: (state, { payload }: PayloadAction<RefusedEdit>) => ({
      ...state,
      pending: without(state.pending, payload.edit.editId),
      refused: [...state.refused.filter((r) => r.edit.editId !== payload.edit.editId), payload],
    }),
    /** The person has decided about a refused edit, in this window. */
    refusalSettled: (state, { payload: { editId, instead } }: PayloadAction<Settled>) => ({
      ...withoutRefusal(state, editId),
      pending: instead ? [...state.pending, instead] : state.pending,
    }),
    /** The person has decided about it in another window. */
    refusalGone: (state, { payload }: PayloadAction<string>) => withoutRefusal(state, payload),
  },
});

export const {
  editQueued,
  editHeard,
  queueRead,
  sendStatus,
  keptIn,
  editDone,
  editRefused,
  refusalSettled,
  refusalGone,
} = queueSlice.actions;
