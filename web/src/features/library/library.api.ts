import type { Library } from '@odograph/core';
import type { Changed, Me, NewFootage, TimesAnswer } from '@odograph/core/contract';
import { serverApi } from './server.api.js';
import { mergeChanged } from './merge.js';

export type SendRequest = {
  readonly url: string;
  readonly method: 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  readonly body: unknown;
};

type Started = {
  readonly dispatch: (action: never) => unknown;
  readonly queryFulfilled: Promise<{ readonly data: Changed }>;
};

/** Lays what an edit touched into the library that is here. */
const layIn = async (_: unknown, { dispatch, queryFulfilled }: Started): Promise<void> => {
  try {
    const { data } = await queryFulfilled;
    const merge = libraryApi.util.updateQueryData('library', undefined, (library) => mergeChanged(library, data));
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
    library: build.query<Library, void>({ query: () => 'library' }),
    /** Presentation times of a file; they never change. */
    times: build.query<TimesAnswer, string>({ query: (fileId) => `files/${fileId}/times`, keepUnusedDataFor: 3600 }),
    /** Any edit: what it touched is laid into the library that is here. */
    send: build.mutation<Changed, SendRequest>({
      query: (request) => ({ ...request }),
      onQueryStarted: layIn,
    }),
    newFootage: build.mutation<Changed, NewFootage>({
      query: (body) => ({ url: 'footage', method: 'POST', body }),
      onQueryStarted: layIn,
    }),
  }),
});

export const { useMeQuery, useLibraryQuery, useTimesQuery, useNewFootageMutation } = libraryApi;
