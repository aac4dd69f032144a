import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { ErrorBody } from '@odograph/core/contract';
import { requestOf, type PendingEdit } from './edits.js';
import { editDone, editQueued, editRefused, editsReplaced, sendStatus } from './edits.slice.js';
import { libraryApi } from './library.api.js';
import { selectPending, selectServerLibrary, selectStatus, type LibraryState } from './library.selectors.js';

const RETRY_MS = 1500;

type Answer =
  | { readonly kind: 'done' }
  | { readonly kind: 'unreachable' }
  /** The server has tried and failed, for a reason that lies with it. */
  | { readonly kind: 'failed'; readonly why: ErrorBody }
  | { readonly kind: 'signed out' }
  | { readonly kind: 'refused'; readonly why: ErrorBody };

const GONE: ErrorBody = { code: 'not-found', facts: {}, message: 'There is no such thing here.' };

const isErrorBody = (data: unknown): data is ErrorBody =>
  typeof data === 'object' && data !== null && 'code' in data && 'facts' in data;

const FAILED: ErrorBody = { code: 'internal', facts: {}, message: 'Something went wrong on the server.' };
/** So often is an edit sent that the server fails at; then it is set aside, and those behind it go on. */
const FAILED_TRIES = 3;
/** The server itself is not there, or something that it needs: it may be well again at any time. */
const AWAY = [502, 503, 504, 507];

/** What an error of the server means for an edit. Anything the server could not judge is tried again. */
export const answerOf = (error: object): Answer => {
  const { status, data } = error as { readonly status?: unknown; readonly data?: unknown };
  if (typeof status !== 'number' || AWAY.includes(status) || status === 429) return { kind: 'unreachable' };
  if (status >= 500) return { kind: 'failed', why: isErrorBody(data) ? data : FAILED };
  if (status === 401) return { kind: 'signed out' };
  return { kind: 'refused', why: isErrorBody(data) ? data : GONE };
};

export const editsListener = createListenerMiddleware<LibraryState>();

/** Sends edits one after the other, in their order; each is known to be kept before the next goes out. */
editsListener.startListening({
  matcher: isAnyOf(editQueued, editsReplaced, libraryApi.endpoints.library.matchFulfilled),
  effect: async (_, api) => {
    const getState = (): LibraryState => api.getState();
    const { dispatch } = api;
    if (selectStatus(getState()) === 'sending' || selectStatus(getState()) === 'unreachable') return;
    const send = async (edit: PendingEdit): Promise<Answer> => {
      const library = selectServerLibrary(getState());
      if (!library) return { kind: 'unreachable' };
      const request = requestOf(edit, library);
      if (!request) return { kind: 'refused', why: GONE };
      const sent = await dispatch(libraryApi.endpoints.send.initiate(request, { track: false }));
      return sent.error ? answerOf(sent.error) : { kind: 'done' };
    };
    const failures = new Map<string, number>();
    for (let edit = selectPending(getState())[0]; edit; edit = selectPending(getState())[0]) {
      if (selectStatus(getState()) !== 'unreachable') dispatch(sendStatus('sending'));
      const answer = await send(edit);
      const fails = answer.kind === 'failed' ? (failures.get(edit.editId) ?? 0) + 1 : 0;
      if (answer.kind === 'failed') failures.set(edit.editId, fails);
      else failures.delete(edit.editId);
      if (answer.kind === 'signed out') {
        dispatch(sendStatus('signed-out'));
        return;
      }
      if (answer.kind === 'unreachable' || (answer.kind === 'failed' && fails < FAILED_TRIES)) {
        dispatch(sendStatus('unreachable'));
        await api.delay(RETRY_MS);
        continue;
      }
      dispatch(sendStatus('sending'));
      if (answer.kind === 'done') dispatch(editDone(edit.editId));
      else {
        dispatch(editRefused({ edit, why: answer.why }));
        await dispatch(libraryApi.endpoints.library.initiate(undefined, { forceRefetch: true, subscribe: false }));
      }
    }
    if (selectStatus(getState()) !== 'idle') dispatch(sendStatus('idle'));
  },
});
