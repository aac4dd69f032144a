import type { BinItem, Binned, References } from '@odograph/core/contract';
import { serverApi } from '../server/index.js';

export const binApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    bin: build.query<readonly BinItem[], void>({ query: () => 'bin', keepUnusedDataFor: 0 }),
    references: build.query<References, { readonly what: Binned; readonly id: string }>({
      query: ({ what, id }) => `references/${what}/${id}`,
      keepUnusedDataFor: 0,
    }),
  }),
});

export const { useBinQuery, useReferencesQuery } = binApi;
