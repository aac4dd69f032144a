import { original } from '@reduxjs/toolkit';
import { unpackTimes, type Attempt, type EditRequest, type Library, type TimeTable } from '@odograph/core';
import type {
  Captions,
  Changed,
  LibraryPart,
  Look,
  Me,
  NewAngle,
  NewCut,
  NewFootage,
  News,
  Prepared,
  Removal,
  ScoreboardAnswer,
  TrackChoice,
  UnderWay,
} from '@odograph/core/contract';
import { serverApi } from './server.api.js';
import { mergeChanged, type VersionedLibrary } from './merge.js';

/** Attempts by id, each once: two clips of different parts may look at the same one. */
const inOrder = (attempts: readonly Attempt[]): readonly Attempt[] =>
  [...new Map(attempts.map((a) => [a.id, a])).values()].sort((a, b) => (a.id < b.id ? -1 : 1));

type Started = {
  readonly dispatch: (action: never) => unknown;
  readonly queryFulfilled: Promise<{ readonly data: Changed }>;
};

/** Lays what an edit touched into the library that is here. */
const layIn = async (_: unknown, { dispatch, queryFulfilled }: Started): Promise<void> => {
  try {
    const { data } = await queryFulfilled;
    const merge = libraryApi.util.updateQueryData(
      'library',
      undefined,
      (library): never =>
        // the library itself, not the store's draft of it, in which every row that is read would be wrapped
        Object.freeze(mergeChanged(original(library as never) ?? library, data)) as never,
    );
    dispatch(merge as never);
  } catch {
    // whoever asked gets the refusal; the library stays as it was
  }
};

export const libraryApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    /** Who is signed in, and where. */
    me: build.query<Me, void>({ query: () => 'me' }),
    library: build.query<Library, void>({
      /** In parts, so that reading a large one never holds the page up; whole only when all of it is here. */
      queryFn: async (_, __, ___, ask) => {
        // asked before anything is read: what is changed meanwhile is told once more
        const news = await ask('news/since');
        if (news.error) return { error: news.error };
        const base = await ask('library/base');
        if (base.error) return { error: base.error };
        const parts: LibraryPart[] = [];
        for (let after: string | null = ''; after !== null;) {
          const answer = await ask(after === '' ? 'library/part' : `library/part?after=${after}`);
          if (answer.error) return { error: answer.error };
          const part = answer.data as LibraryPart;
          parts.push(part);
          after = part.next;
        }
        const library: VersionedLibrary = {
          ...(base.data as Library),
          attempts: inOrder(parts.flatMap((p) => p.attempts)),
          clips: parts.flatMap((p) => p.clips),
          version: (news.data as News).version,
        };
        // nothing in the store writes into it; frozen on top, the store does not walk through all of it to freeze it
        return { data: Object.freeze(library) };
      },
      structuralSharing: false,
    }),
    /** What has changed in the library since a version. */
    news: build.query<News, number>({ query: (version) => `news/since?version=${version}`, keepUnusedDataFor: 0 }),
    /** Presentation times by their address below `files`: of the original, or of what was made of it for stepping. They never change. */
    times: build.query<TimeTable, string>({
      query: (path) => ({
        url: `files/${path}`,
        responseHandler: async (answer) =>
          answer.ok ? unpackTimes(new Uint8Array(await answer.arrayBuffer())) : ((await answer.json()) as never),
      }),
      structuralSharing: false,
      keepUnusedDataFor: 3600,
    }),
    /** What has been made of a file so far. */
    prepared: build.query<Prepared, string>({ query: (fileId) => `files/${fileId}/prepared` }),
    /** Makes a file ready for stepping again that was thinned. */
    prepareFile: build.mutation<void, string>({ query: (id) => ({ url: `files/${id}/prepare`, method: 'POST' }) }),
    /** What moves in a file, its cuts, and how its picture strip is laid out; an error while it has not been read. */
    look: build.query<Look, string>({ query: (fileId) => `files/${fileId}/look`, keepUnusedDataFor: 3600 }),
    /** How loud a file is, a hundred values a second (half decibels above silence). */
    sound: build.query<Uint8Array, string>({
      query: (fileId) => ({
        url: `files/${fileId}/sound`,
        responseHandler: async (answer) =>
          answer.ok ? new Uint8Array(await answer.arrayBuffer()) : ((await answer.json()) as never),
      }),
      structuralSharing: false,
      keepUnusedDataFor: 3600,
    }),
    captions: build.query<Captions, string>({ query: (fileId) => `files/${fileId}/captions` }),
    /** Gives captions to a file: the text of a WebVTT or SubRip file. */
    giveCaptions: build.mutation<Captions, { readonly fileId: string; readonly text: string }>({
      query: ({ fileId, text }) => ({ url: `files/${fileId}/captions`, method: 'PUT', body: { text } }),
      onQueryStarted: async ({ fileId }, { dispatch, queryFulfilled }) => {
        try {
          const { data } = await queryFulfilled;
          dispatch(libraryApi.util.upsertQueryData('captions', fileId, data) as never);
        } catch {
          // whoever asked gets the refusal
        }
      },
    }),
    /** What the scoreboard of a footage showed. */
    scoreboard: build.query<ScoreboardAnswer, string>({
      query: (footageId) => `footage/${footageId}/scoreboard`,
    }),
    /** Files on their way in, and jobs. */
    underWay: build.query<UnderWay, void>({ query: () => 'under-way' }),
    forgetUpload: build.mutation<void, string>({
      query: (id) => ({ url: `uploads/${id}`, method: 'DELETE' }),
    }),
    makeCut: build.mutation<void, NewCut>({ query: (body) => ({ url: 'cuts', method: 'POST', body }) }),
    cancelJob: build.mutation<void, string>({ query: (id) => ({ url: `jobs/${id}`, method: 'DELETE' }) }),
    jobAgain: build.mutation<void, string>({ query: (id) => ({ url: `jobs/${id}/again`, method: 'POST' }) }),
    /** Chooses which sound track of a file is heard. */
    chooseTrack: build.mutation<Changed, { readonly fileId: string; readonly body: TrackChoice }>({
      query: ({ fileId, body }) => ({ url: `files/${fileId}`, method: 'PATCH', body }),
      onQueryStarted: layIn,
    }),
    /** Any edit: what it touched is laid into the library that is here. */
    send: build.mutation<Changed, EditRequest>({
      query: (request) => ({ ...request }),
      onQueryStarted: layIn,
    }),
    newAngle: build.mutation<Changed, { readonly footageId: string; readonly body: Partial<NewAngle> }>({
      query: ({ footageId, body }) => ({ url: `footage/${footageId}/angles`, method: 'POST', body }),
      onQueryStarted: layIn,
    }),
    /** Takes a camera off its footage that no clip is cut from. */
    removeAngle: build.mutation<Changed, { readonly id: string; readonly body: Removal }>({
      query: ({ id, body }) => ({ url: `angles/${id}`, method: 'DELETE', body }),
      onQueryStarted: layIn,
    }),
    newFootage: build.mutation<Changed, NewFootage>({
      query: (body) => ({ url: 'footage', method: 'POST', body }),
      onQueryStarted: layIn,
    }),
  }),
});

export const {
  useMeQuery,
  useLazyMeQuery,
  useLibraryQuery,
  useCaptionsQuery,
  useGiveCaptionsMutation,
  useLookQuery,
  useSoundQuery,
  useTimesQuery,
  usePreparedQuery,
  usePrepareFileMutation,
  useRemoveAngleMutation,
  useLazyScoreboardQuery,
  useUnderWayQuery,
  useForgetUploadMutation,
  useCancelJobMutation,
  useMakeCutMutation,
  useJobAgainMutation,
  useChooseTrackMutation,
  useNewAngleMutation,
  useNewFootageMutation,
} = libraryApi;
