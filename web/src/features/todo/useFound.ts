import {
  WHOLE,
  answersFound,
  foundFor,
  isHole,
  type FoundFor,
  type SheetSource,
  type Todo,
  type TodoStatus,
  type Words,
} from '@odograph/core';
import { createContext, useContext, useMemo } from 'react';
import { useWords } from '../library/index.js';

/** What is found counts wherever it is seen. */
export const EVERYTHING = { ...WHOLE, includePicked: true } as const;
/** What answers are looked for in; undefined while it is being read. */
export const FoundIn = createContext<SheetSource | undefined>(undefined);

const indexes = new WeakMap<SheetSource, ReturnType<typeof answersFound>>();
const foundIn = (todo: Todo, source: SheetSource | undefined, words: Words): FoundFor | undefined => {
  if (!source || todo.kind !== 'find') return undefined;
  const found = indexes.get(source) ?? answersFound(source);
  indexes.set(source, found);
  return foundFor(todo, source, found, words);
};

/** Somebody has been seen to answer it. */
export const isFound = (found: FoundFor | undefined): boolean => found !== undefined && !isHole(found.status);

/** How an entry stands: what was looked for and has been found is done. */
export const statusOf = (todo: Todo, source: SheetSource | undefined, words: Words): TodoStatus =>
  todo.status === 'open' && isFound(foundIn(todo, source, words)) ? 'done' : todo.status;

/** What there is of what an entry looks for; undefined where it looks for nothing that can be looked up. */
export const useFound = (todo: Todo): FoundFor | undefined => {
  const source = useContext(FoundIn);
  const words = useWords();
  return useMemo(() => foundIn(todo, source, words), [source, todo, words]);
};
