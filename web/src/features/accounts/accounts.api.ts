import type {
  Acceptance,
  AcademyChoice,
  FoundingLook,
  FoundingWish,
  InvitationLook,
  Me,
  NewAcademy,
  NewPassword,
  ResetWish,
  SignIn,
} from '@odograph/core/contract';
import { libraryApi, serverApi } from '../server/index.js';

type Started = {
  readonly dispatch: (action: never) => unknown;
  readonly getState: () => unknown;
  readonly queryFulfilled: Promise<{ readonly data: Me }>;
};

const selectMe = libraryApi.endpoints.me.select();

/** Whoever is signed in now is known at once; the library is theirs and asked for anew. What was somebody else's is forgotten. */
const enter = async (_: unknown, { dispatch, getState, queryFulfilled }: Started): Promise<void> => {
  try {
    const { data } = await queryFulfilled;
    const before = selectMe(getState() as never).data;
    if (before && (before.account.id !== data.account.id || before.academy.id !== data.academy.id))
      dispatch(serverApi.util.resetApiState() as never);
    dispatch(libraryApi.util.upsertQueryData('me', undefined, data) as never);
    dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true, subscribe: false }) as never);
  } catch {
    // whoever asked gets the refusal
  }
};

export const accountsApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    signIn: build.mutation<Me, SignIn>({
      query: (body) => ({ url: 'sign-in', method: 'POST', body }),
      onQueryStarted: enter,
    }),
    found: build.mutation<Me, NewAcademy>({
      query: (body) => ({ url: 'academies', method: 'POST', body }),
      onQueryStarted: enter,
    }),
    lookAtFounding: build.query<FoundingLook, FoundingWish>({
      query: (body) => ({ url: 'founding', method: 'POST', body }),
      keepUnusedDataFor: 0,
    }),
    lookAtInvitation: build.query<InvitationLook, string>({
      query: (token) => ({ url: 'invitation', method: 'POST', body: { token } }),
      keepUnusedDataFor: 0,
    }),
    accept: build.mutation<Me, Acceptance>({
      query: (body) => ({ url: 'invitation/accept', method: 'POST', body }),
      onQueryStarted: enter,
    }),
    wishReset: build.mutation<void, ResetWish>({
      query: (body) => ({ url: 'password-resets', method: 'POST', body }),
    }),
    setPassword: build.mutation<Me, NewPassword>({
      query: (body) => ({ url: 'password', method: 'POST', body }),
      onQueryStarted: enter,
    }),
    goTo: build.mutation<Me, AcademyChoice>({
      query: (body) => ({ url: 'me/academy', method: 'POST', body }),
    }),
    signOut: build.mutation<void, void>({ query: () => ({ url: 'sign-out', method: 'POST' }) }),
    leave: build.mutation<void, void>({ query: () => ({ url: 'me/membership', method: 'DELETE' }) }),
  }),
});

export const {
  useSignInMutation,
  useFoundMutation,
  useLookAtFoundingQuery,
  useLookAtInvitationQuery,
  useAcceptMutation,
  useWishResetMutation,
  useSetPasswordMutation,
  useGoToMutation,
  useSignOutMutation,
  useLeaveMutation,
} = accountsApi;
