import { repeated, type Again } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { type KeyTable } from '../keys/index.js';

const KEYS: Readonly<Record<string, Again>> = { a: 'same', f: 'failed', y: 'other side', q: 'grips' };

/** What the attempt in hand takes over from the one before by a single key, as long as its entry is not said. */
export const useRepeating = (
  selected: ClipView | undefined,
  before: ClipView | undefined,
): { readonly keys: KeyTable } => {
  const edit = useEdit();
  if (!selected || !before || selected.attempt.action !== null) return { keys: {} };
  const take = (how: Again): void => {
    const changes = repeated(before.attempt, how, newId);
    edit({ kind: 'attempt', id: selected.attempt.id, changes });
  };
  return { keys: Object.fromEntries(Object.entries(KEYS).map(([key, how]) => [key, () => take(how)])) };
};
