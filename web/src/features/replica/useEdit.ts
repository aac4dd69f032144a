import type { Doing } from '@odograph/core';
import { useCallback } from 'react';
import { useDispatch } from 'react-redux';
import { v7 as newId } from 'uuid';
import { editQueued } from './queue.slice.js';

/** Gives a function that makes an edit: shown at once, sent in its turn. */
export const useEdit = (): ((doing: Doing) => void) => {
  const dispatch = useDispatch();
  return useCallback((doing) => dispatch(editQueued({ ...doing, editId: newId() })), [dispatch]);
};
