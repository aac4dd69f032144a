export { serverApi } from './server.api.js';
export {
  libraryApi,
  useCancelJobMutation,
  useForgetUploadMutation,
  useJobAgainMutation,
  useLibraryQuery,
  useCaptionsQuery,
  useGiveCaptionsMutation,
  useLookQuery,
  useSoundQuery,
  useMakeCutMutation,
  useMeQuery,
  useNewAngleMutation,
  useNewFootageMutation,
  useChooseTrackMutation,
  usePreparedQuery,
  usePrepareFileMutation,
  useRemoveAngleMutation,
  useLazyScoreboardQuery,
  useTimesQuery,
  useUnderWayQuery,
} from './library.api.js';
export { editsSlice, editsReplaced, editQueued, sendStatus } from './edits.slice.js';
export { editsListener } from './edits.listener.js';
export type { PendingEdit } from './edits.js';
export {
  selectAccountId,
  selectLibrary,
  selectPending,
  selectReader,
  selectServerLibrary,
  selectStatus,
  selectWords,
  type LibraryState,
} from './library.selectors.js';
export { failureText, refusalText, sizeText } from './refusal.text.js';
export { Refusal } from './Refusal.js';
export { SaveState } from './SaveState.js';
export { useNews, type NewsEnd } from './news.js';
export { useEdit } from './useEdit.js';
export { useTables } from './useTables.js';
export { clipViews, type ClipView } from './clipViews.js';
export { useClipViews, useClipsOf, useLibrary, useMayWrite, useRole, useWords } from './useLibrary.js';
