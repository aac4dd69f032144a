import { useCallback, useEffect, useRef, useState } from 'react';

export type Size = { readonly width: number; readonly height: number };

/** The size of an element in pixels, as it changes; `start` until it is known. */
export const useSize = (start: Size): readonly [ref: (element: Element | null) => void, size: Size] => {
  const [size, setSize] = useState(start);
  const observer = useRef<ResizeObserver | null>(null);
  useEffect(() => () => observer.current?.disconnect(), []);
  const ref = useCallback((element: Element | null) => {
    observer.current?.disconnect();
    if (!element) return;
    observer.current = new ResizeObserver(([entry]) => {
      if (!entry || entry.contentRect.width === 0) return;
      setSize({ width: Math.round(entry.contentRect.width), height: Math.round(entry.contentRect.height) });
    });
    observer.current.observe(element);
  }, []);
  return [ref, size];
};
