import { useState } from 'react';
import { useOwn } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import type { OwnKeys } from './ownKeys.js';

export type KeySheetState = {
  readonly own: OwnKeys;
  readonly onOwn: (own: OwnKeys) => void;
  readonly isOpen: boolean;
  readonly open: () => void;
  readonly onLeave: () => void;
};

/** The keys of whoever is signed in, kept in this browser, and whether all of them are shown. */
export const useKeySheet = (onLeft: () => void): KeySheetState => {
  const account = useMeQuery().data?.account.id ?? '';
  const [own, onOwn] = useOwn<OwnKeys>(`odograph.keys.${account}`, {});
  const [isOpen, setOpen] = useState(false);
  return {
    own,
    onOwn,
    isOpen,
    open: () => setOpen(true),
    onLeave: () => {
      setOpen(false);
      onLeft();
    },
  };
};
