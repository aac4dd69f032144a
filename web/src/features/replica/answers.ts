import type { Changed, Refusal } from '@odograph/core/contract';

export type Answer =
  | { readonly kind: 'done'; readonly changed: Changed | null }
  | { readonly kind: 'unreachable' }
  /** The server has tried and failed, for a reason that lies with it. */
  | { readonly kind: 'failed'; readonly why: Refusal }
  | { readonly kind: 'signed out' }
  | { readonly kind: 'refused'; readonly why: Refusal };

const GONE: Refusal = { code: 'not-found', facts: {} };
export const FAILED: Refusal = { code: 'internal', facts: {} };

const isRefusal = (data: unknown): data is Refusal =>
  typeof data === 'object' && data !== null && 'code' in data && 'facts' in data;

/** The server itself is not there, or something that it needs: it may be well again at any time. */
const AWAY = [502, 503, 504, 507];

/** What an error of the server means for an edit. Anything the server could not judge is tried again. */
export const answerOf = (error: object): Answer => {
  const { status, data } = error as { readonly status?: unknown; readonly data?: unknown };
  if (typeof status !== 'number' || AWAY.includes(status) || status === 429) return { kind: 'unreachable' };
  if (status >= 500) return { kind: 'failed', why: isRefusal(data) ? data : FAILED };
  if (status === 401) return { kind: 'signed out' };
  return { kind: 'refused', why: isRefusal(data) ? data : GONE };
};

/** In which version a row is in an answer. */
export const versionIn = (changed: Changed | null, id: string | null): number | undefined =>
  Object.values(changed ?? {})
    .flat()
    .map((row: string | { readonly id: string; readonly version?: number }) =>
      typeof row === 'string' ? undefined : row,
    )
    .find((row) => row?.id === id)?.version;
