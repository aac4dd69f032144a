import type { LibraryEdit } from '@odograph/core';
import type { ServerState } from '../server/index.js';
import type { Queue, RefusedEdit, SendStatus } from './queue.slice.js';

export type ReplicaState = ServerState & { readonly edits: Queue };

export const selectPending = (state: ReplicaState): readonly LibraryEdit[] => state.edits.pending;
export const selectStatus = (state: ReplicaState): SendStatus => state.edits.status;
export const selectRefused = (state: ReplicaState): readonly RefusedEdit[] => state.edits.refused;
export const selectKeptIn = (state: ReplicaState): Queue['keptIn'] => state.edits.keptIn;
