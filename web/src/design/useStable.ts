import { useCallback, useEffect, useRef } from 'react';

/** A function that stays the same one and does what the given one does now: for what is drawn anew only where something of it has changed. */
export const useStable = <A extends readonly unknown[]>(does: (...args: A) => void): ((...args: A) => void) => {
  const latest = useRef(does);
  useEffect(() => {
    latest.current = does;
  });
  return useCallback((...args: A) => latest.current(...args), []);
};
