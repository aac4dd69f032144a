import { BARE_TODO, type AskedFor, type Todo } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { useLibrary, useToday } from '../library/index.js';
import { useEdit } from '../replica/index.js';

const isSame = (a: AskedFor, b: AskedFor): boolean =>
  a.state?.position === b.state?.position &&
  a.state?.role === b.state?.role &&
  a.action === b.action &&
  a.reaction === b.reaction &&
  a.theirs === b.theirs;

/** Puts something to find or film on the list; `onList` gives the open entry that asks for the same. */
export const usePutOnList = (): {
  readonly onList: (asked: AskedFor) => Todo | undefined;
  readonly put: (asked: AskedFor, text: string) => void;
} => {
  const { todos } = useLibrary();
  const today = useToday();
  const edit = useEdit();
  return {
    onList: (asked) => todos.find((t) => t.kind === 'find' && t.status === 'open' && isSame(t, asked)),
    put: (asked, text) =>
      edit({
        kind: 'new todo',
        todo: { ...BARE_TODO, ...asked, ...{ id: newId(), version: 0, kind: 'find', text, opened: today } },
      }),
  };
};
