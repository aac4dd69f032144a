import type { DiskUse } from '@odograph/core/contract';
import { serverApi } from '../server/index.js';

const diskApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    /** What media take on the disk. */
    disk: build.query<DiskUse, void>({ query: () => 'disk' }),
    /** Deletes what was made of a file for stepping. */
    thin: build.mutation<void, string>({ query: (id) => ({ url: `files/${id}/thin`, method: 'POST' }) }),
  }),
});

export const { useDiskQuery, useThinMutation } = diskApi;
