import type { Me, SignIn } from '@odograph/core/contract';
import { serverApi } from '../library/index.js';

export const accountsApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    me: build.query<Me, void>({ query: () => 'me' }),
    signIn: build.mutation<Me, SignIn>({
      query: (body) => ({ url: 'sign-in', method: 'POST', body }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(accountsApi.util.upsertQueryData('me', undefined, data));
      },
    }),
    signOut: build.mutation<void, void>({ query: () => ({ url: 'sign-out', method: 'POST' }) }),
  }),
});

export const { useMeQuery, useSignInMutation, useSignOutMutation } = accountsApi;
