import { useState } from 'react';
import { KeySheet, useOwnKeys, type OwnKeys } from '../keys/index.js';
import type { Room } from './room.js';
import type { Desk } from './useDesk.js';

/** All keys, in the place of the list, whatever is in hand. */
export const useKeySheetRoom = ({
  toPicture,
}: Desk): { readonly own: OwnKeys; readonly open: () => void; readonly room: Room } => {
  const [own, onOwn] = useOwnKeys();
  const [isOpen, setOpen] = useState(false);
  const open = (): void => setOpen(true);
  const leave = (): void => {
    setOpen(false);
    toPicture();
  };
  return {
    ...{ own, open },
    room: {
      keys: { '?': open },
      ...(isOpen && { instead: <KeySheet own={own} onOwn={onOwn} onLeave={leave} /> }),
    },
  };
};
