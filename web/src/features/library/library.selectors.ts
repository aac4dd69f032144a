import { createSelector } from '@reduxjs/toolkit';
import { wordsOf, type Library, type Words } from '@odograph/core';
import { withPending, type PendingEdit } from './edits.js';
import type { editsSlice, RefusedEdit, SendStatus } from './edits.slice.js';
import { libraryApi } from './library.api.js';
import { isSameRows } from './merge.js';
import type { serverApi } from './server.api.js';

export type LibraryState = {
  readonly server: ReturnType<typeof serverApi.reducer>;
  readonly edits: ReturnType<typeof editsSlice.reducer>;
};

const EMPTY: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  academy: { id: '', name: '', timeZone: 'UTC' },
  wordChanges: [],
  persons: [],
  files: [],
  footage: [],
  angles: [],
  attempts: [],
  clips: [],
  routes: [],
  moments: [],
};

const selectAnswer = libraryApi.endpoints.library.select();

/** The library as the server gave it last; undefined while it has not. */
export const selectServerLibrary = (state: LibraryState): Library | undefined => selectAnswer(state).data;
export const selectPending = (state: LibraryState): readonly PendingEdit[] => state.edits.pending;
export const selectStatus = (state: LibraryState): SendStatus => state.edits.status;
export const selectRefused = (state: LibraryState): RefusedEdit | null => state.edits.refused;

/** Its rows: the same library for as long as they are the same. */
const selectRows = createSelector([selectServerLibrary], (library) => library, {
  memoizeOptions: { resultEqualityCheck: isSameRows },
  devModeChecks: { identityFunctionCheck: 'never' },
});

/** The library as this person sees it, edits on their way included. */
export const selectLibrary = createSelector([selectRows, selectPending], (library, pending): Library =>
  library ? withPending(library, pending) : EMPTY,
);

const selectWordChanges = (state: LibraryState): Library['wordChanges'] => selectLibrary(state).wordChanges;
const selectMe = libraryApi.endpoints.me.select();
export const selectAccountId = (state: LibraryState): string | undefined => selectMe(state).data?.account.id;

/** The words as this person is offered them; those of one footage only with that footage in hand. */
export const selectWords = createSelector(
  [selectWordChanges, selectAccountId, (_: LibraryState, footageId?: string) => footageId],
  (wordChanges, accountId, footageId): Words => wordsOf({ wordChanges }, { accountId, footageId }),
);

/** Who reads, in which academy and role: what another reader was shown is not theirs. Undefined while nobody is known. */
export const selectReader = (state: LibraryState): string | undefined => {
  const me = selectMe(state).data;
  return me && `${me.account.id} ${me.academy.id} ${me.role}`;
};
