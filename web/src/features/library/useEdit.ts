import { useCallback } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import type { PendingEdit } from './edits.js';
import { editQueued } from './edits.slice.js';

type WithoutId<T> = T extends unknown ? Omit<T, 'editId'> : never;

/** Gives a function that makes an edit: shown at once, sent in its turn. */
export const useEdit = (): ((edit: WithoutId<PendingEdit>) => void) => {
  const dispatch = useDispatch();
  return useCallback((edit) => dispatch(editQueued({ ...edit, editId: newId() })), [dispatch]);
};
