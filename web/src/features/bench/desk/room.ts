import type { ReactNode } from 'react';
import type { Hint, KeyTable } from '../keys/index.js';

/** What a part of the bench gives to it now. */
export type Room = {
  /** Its keys that work now. */ readonly keys?: KeyTable;
  /** The keys to tell of, where it has the hand. */ readonly hints?: readonly Hint[] | undefined;
  /** What stands across the screen under the picture, where it has the hand. */ readonly panel?: ReactNode;
  /** What stands above the list, and what in its place. */ readonly above?: ReactNode;
  readonly instead?: ReactNode;
};

/** Rooms as one: of each thing the first room's, of the hints those whose key works. */
export const together = (
  rooms: readonly Room[],
): Room & { readonly keys: KeyTable; readonly hints: readonly Hint[] } => {
  const keys = [...rooms].reverse().reduce<KeyTable>((all, room) => ({ ...all, ...room.keys }), {});
  const first = <K extends keyof Room>(what: K): Room[K] | undefined =>
    rooms.find((room) => room[what] !== undefined)?.[what];
  return {
    keys,
    hints: (first('hints') ?? []).filter(({ press }) => press === undefined || keys[press]),
    panel: first('panel'),
    above: first('above'),
    instead: first('instead'),
  };
};
