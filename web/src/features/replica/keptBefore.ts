import type { LibraryEdit } from '@odograph/core';

const keyOf = (accountId: string): string => `odograph.pending.${accountId}`;

/** An edit as it was kept until now: with what is sent beside what is shown. */
type Before = LibraryEdit & {
  readonly patch?: object;
  readonly body?: unknown;
  readonly made?: readonly { readonly body?: unknown }[];
};
const asNow = ({ patch, body, ...edit }: Before): LibraryEdit => {
  void body;
  if (edit.kind === 'new clips') return { ...edit, made: edit.made.map(({ attempt, clip }) => ({ attempt, clip })) };
  if (!patch || edit.kind === 'footage') return edit;
  const { settled, ...changes } = patch as { readonly settled?: boolean };
  void settled;
  return { ...edit, changes } as LibraryEdit;
};

/** Edits of an account that an earlier version of the product kept in this browser and has not sent. */
export const keptBefore = (accountId: string): readonly LibraryEdit[] => {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(keyOf(accountId)) ?? '[]');
    return Array.isArray(read) ? (read as Before[]).map(asNow) : [];
  } catch {
    return [];
  }
};
/** They are kept elsewhere now. */
export const forgetBefore = (accountId: string): void => {
  try {
    localStorage.removeItem(keyOf(accountId));
  } catch {
    // a browser that keeps nothing had none
  }
};
