import type { Library } from '@odograph/core';
import { libraryApi } from './library.api.js';
import type { serverApi } from './server.api.js';

export type ServerState = { readonly server: ReturnType<typeof serverApi.reducer> };

const selectAnswer = libraryApi.endpoints.library.select();
const selectMe = libraryApi.endpoints.me.select();

/** The library as the server gave it last; undefined while it has not. */
export const selectServerLibrary = (state: ServerState): Library | undefined => selectAnswer(state).data;
export const selectAccountId = (state: ServerState): string | undefined => selectMe(state).data?.account.id;

/** Who reads, in which academy and role: what another reader was shown is not theirs. Undefined while nobody is known. */
export const selectReader = (state: ServerState): string | undefined => {
  const me = selectMe(state).data;
  return me && `${me.account.id} ${me.academy.id} ${me.role}`;
};
