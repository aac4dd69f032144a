import { createSelector } from '@reduxjs/toolkit';
import type { Library, Words } from '@odograph/core';
import { useMemo } from 'react';
import type { MemberRole } from '@odograph/core/contract';
import { useSelector } from 'react-redux';
import { clipViews, type ClipView } from './clipViews.js';
import type { ReplicaState } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import { selectLibrary, selectWords } from './library.selectors.js';

/** Made of the rows that clips are made of, and of no others: a mark that is dropped makes no clip anew. */
const selectClipViews = createSelector(
  [
    (state: ReplicaState) => selectLibrary(state).clips,
    (state: ReplicaState) => selectLibrary(state).attempts,
    (state: ReplicaState) => selectLibrary(state).footage,
    (state: ReplicaState) => selectLibrary(state).angles,
    (state: ReplicaState) => selectLibrary(state).files,
    (state: ReplicaState) => selectLibrary(state).persons,
    (state: ReplicaState) => selectWords(state),
  ],
  (clips, attempts, footage, angles, files, persons, words) =>
    clipViews({ clips, attempts, footage, angles, files, persons }, words),
);

export const useLibrary = (): Library => useSelector(selectLibrary);
export const useWords = (footageId?: string): Words =>
  useSelector((state: ReplicaState) => selectWords(state, footageId));
export const useClipViews = (): readonly ClipView[] => useSelector(selectClipViews);

/** Gives the name of a person by their id; dots where nobody has it. */
export const usePersonName = (): ((id: string) => string) => {
  const { persons } = useLibrary();
  return (id) => persons.find((p) => p.id === id)?.name ?? '…';
};

/** The clips of some attempts, the first attempt's first; only these are made ready. */
export const useClipsOf = (attemptIds: readonly string[]): readonly ClipView[] => {
  const library = useLibrary();
  const words = useWords();
  return useMemo(() => {
    const order = new Map(attemptIds.map((id, i) => [id, i]));
    const clips = library.clips.filter((c) => order.has(c.attemptId));
    const attempts = library.attempts.filter((a) => order.has(a.id));
    return [...clipViews({ ...library, clips, attempts }, words)].sort(
      (a, b) => order.get(a.attempt.id)! - order.get(b.attempt.id)!,
    );
  }, [library, words, attemptIds]);
};

/** The role of whoever is signed in; a student while that is not known. */
export const useRole = (): MemberRole => useMeQuery().data?.role ?? 'student';
/** Whether whoever is signed in may change the library. */
export const useMayWrite = (): boolean => useRole() !== 'student';
