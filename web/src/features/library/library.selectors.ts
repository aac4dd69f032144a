import { createSelector } from '@reduxjs/toolkit';
import { NO_ROWS, withEdits, wordsOf, type Library, type Words } from '@odograph/core';
import { selectPending, type ReplicaState } from '../replica/index.js';
import { isSameRows, selectAccountId, selectServerLibrary } from '../server/index.js';

const EMPTY: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  academy: { id: '', name: '', timeZone: 'UTC' },
  wordChanges: [],
  ...NO_ROWS,
};

/** The rows that the server gave: the same library for as long as they are the same. */
const selectRows = createSelector([selectServerLibrary], (library) => library, {
  memoizeOptions: { resultEqualityCheck: isSameRows },
  devModeChecks: { identityFunctionCheck: 'never' },
});

/** The library as this person sees it, edits on their way included. */
export const selectLibrary = createSelector([selectRows, selectPending], (library, pending): Library =>
  library ? withEdits(library, pending) : EMPTY,
);

const selectWordChanges = (state: ReplicaState): Library['wordChanges'] => selectLibrary(state).wordChanges;
/** The words as this person is offered them; those of one footage only with that footage in hand. */
export const selectWords = createSelector(
  [selectWordChanges, selectAccountId, (_: ReplicaState, footageId?: string) => footageId],
  (wordChanges, accountId, footageId): Words => wordsOf({ wordChanges }, { accountId, footageId }),
);
