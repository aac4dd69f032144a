import { useOwn } from '../../library/index.js';
import { useMeQuery } from '../../server/index.js';
import type { OwnKeys } from './ownKeys.js';

/** The keys of whoever is signed in, kept in this browser. */
export const useOwnKeys = (): readonly [OwnKeys, (own: OwnKeys) => void] => {
  const account = useMeQuery().data?.account.id ?? '';
  return useOwn<OwnKeys>(`odograph.keys.${account}`, {});
};
