import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** Everything that is asked of the server goes through here; features add their endpoints. */
export const serverApi = createApi({
  reducerPath: 'server',
  baseQuery: fetchBaseQuery({ baseUrl: '/api/' }),
  endpoints: () => ({}),
});
