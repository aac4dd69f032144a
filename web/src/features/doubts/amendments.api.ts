import type { AmendmentItem } from '@odograph/core/contract';
import { serverApi } from '../server/index.js';

export const amendmentsApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    amendments: build.query<readonly AmendmentItem[], void>({ query: () => 'amendments', keepUnusedDataFor: 0 }),
  }),
});

export const { useAmendmentsQuery } = amendmentsApi;
