import type { Letter, NewInvitation, People, RoleChange, SessionLook } from '@odograph/core/contract';
import { serverApi } from '../server/index.js';

/** Members, invitations, letters and sessions: they belong to accounts, not to the library, and are asked for when they are looked at. */
export const peopleApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    people: build.query<People, void>({ query: () => 'people', keepUnusedDataFor: 0 }),
    invite: build.mutation<People, NewInvitation>({
      query: (body) => ({ url: 'invitations', method: 'POST', body }),
      onQueryStarted: (_, api) => layPeople(api),
    }),
    withdraw: build.mutation<People, string>({
      query: (id) => ({ url: `invitations/${id}`, method: 'DELETE' }),
      onQueryStarted: (_, api) => layPeople(api),
    }),
    changeRole: build.mutation<People, RoleChange & { readonly accountId: string }>({
      query: ({ accountId, role }) => ({ url: `members/${accountId}`, method: 'PATCH', body: { role } }),
      onQueryStarted: (_, api) => layPeople(api),
    }),
    removeMember: build.mutation<void, string>({
      query: (accountId) => ({ url: `members/${accountId}`, method: 'DELETE' }),
      onQueryStarted: async (accountId, { dispatch, queryFulfilled }) => {
        if (!(await queryFulfilled.catch(() => undefined))) return;
        const without = peopleApi.util.updateQueryData('people', undefined, (people) => ({
          ...people,
          members: people.members.filter((m) => m.accountId !== accountId),
        }));
        dispatch(without);
      },
    }),
    letters: build.query<readonly Letter[], void>({ query: () => 'letters', keepUnusedDataFor: 0 }),
    sessions: build.query<readonly SessionLook[], void>({ query: () => 'sessions', keepUnusedDataFor: 0 }),
    endSession: build.mutation<readonly SessionLook[], string | null>({
      query: (id) => ({ url: id === null ? 'sessions' : `sessions/${id}`, method: 'DELETE' }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) void dispatch(peopleApi.util.upsertQueryData('sessions', undefined, answer.data));
      },
    }),
  }),
});

type Started = {
  readonly dispatch: (action: never) => unknown;
  readonly queryFulfilled: Promise<{ readonly data: People }>;
};

/** Everything that changes people is answered with all of them as they are now. */
async function layPeople({ dispatch, queryFulfilled }: Started): Promise<void> {
  const answer = await queryFulfilled.catch(() => undefined);
  if (answer) dispatch(peopleApi.util.upsertQueryData('people', undefined, answer.data) as never);
}

export const {
  usePeopleQuery,
  useInviteMutation,
  useWithdrawMutation,
  useChangeRoleMutation,
  useRemoveMemberMutation,
  useLettersQuery,
  useSessionsQuery,
  useEndSessionMutation,
} = peopleApi;
