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
  useLazyMeQuery,
  useLazyScoreboardQuery,
  useTimesQuery,
  useUnderWayQuery,
} from './library.api.js';
export { isSameRows, mergeChanged, type VersionedLibrary } from './merge.js';
export { selectAccountId, selectReader, selectServerLibrary, type ServerState } from './selectors.js';
