import type { Teller } from '@odograph/core';
import { useMeQuery } from '../server/index.js';
import { TELLER_TEXT as T } from './library.text.js';
import { tellerName } from './tellerName.js';
import { useLibrary } from './useLibrary.js';

/** What somebody who told something is called, as whoever is signed in reads it. */
export const useTellerName = (): ((by: Teller) => string | null) => {
  const { persons } = useLibrary();
  const own = useMeQuery().data?.account.id;
  return (by) => (by.kind === 'account' && by.accountId === own ? T.you : tellerName(by, persons));
};
