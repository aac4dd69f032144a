import { Usual, type Words } from '@odograph/core';
import { useCallback, useEffect, useRef } from 'react';
import { useLibrary } from '../../library/index.js';

/**
 * Gives what is usual in the library, counted when it is first asked for and kept while the words stay the same: what is said meanwhile on the bench does not change
 * the order of the choices under one's fingers.
 */
export const useUsual = (words: Words): (() => Usual) => {
  const { attempts } = useLibrary();
  const latest = useRef(attempts);
  const kept = useRef<{ readonly words: Words; readonly usual: Usual } | null>(null);
  useEffect(() => {
    latest.current = attempts;
  });
  return useCallback(() => {
    if (kept.current?.words !== words) kept.current = { words, usual: new Usual(latest.current, words) };
    return kept.current.usual;
  }, [words]);
};
