import type { AskedFor } from '@odograph/core';
import { Link } from 'react-router';
import { Action } from '../../design/index.js';
import { useMayWrite, useWords } from '../library/index.js';
import { sayAsked } from './asked.js';
import { SHEET_TEXT as T } from './sheets.text.js';
import { usePutOnList } from './usePutOnList.js';

/** Puts what is missing on the list by one key or a press; where it stands there already, it leads to it. */
export const PutOnList = ({ asked }: { readonly asked: AskedFor }): React.JSX.Element | null => {
  const words = useWords();
  const mayWrite = useMayWrite();
  const { onList, put } = usePutOnList();
  if (!mayWrite) return null;
  return onList(asked) ? (
    <Action asChild tone="quiet">
      <Link to="/to-do?kind=find">{T.isPut}</Link>
    </Action>
  ) : (
    <Action aria-keyshortcuts={T.putKey} onClick={() => put(asked, sayAsked(asked, words))}>
      {T.put}
    </Action>
  );
};
