import { useEffect, useEffectEvent, useImperativeHandle, useRef, useState, type RefObject } from 'react';
import type { Focusable } from '../desk/index.js';

/** The first part that is mostly open when the hand comes to a sentence: behind whose action it is. */
const FIRST_OPEN = 1;

/** How the hand goes through the fields of a sentence. */
export const useSentence = ({
  focus,
  isFresh,
  onTaken,
  onLeave,
}: {
  readonly focus: RefObject<Focusable | null> | undefined;
  /** Just made: its first open part takes the hand. */ readonly isFresh: boolean;
  readonly onTaken: (() => void) | undefined;
  readonly onLeave: () => void;
}): { readonly sentence: RefObject<HTMLDivElement | null>; readonly next: () => void } => {
  const sentence = useRef<HTMLDivElement>(null);
  const fields = (): readonly HTMLInputElement[] => [...(sentence.current?.querySelectorAll('input') ?? [])];
  useImperativeHandle(focus, () => ({ focus: () => fields()[FIRST_OPEN]?.focus() }));
  const taken = useEffectEvent(() => {
    fields()[FIRST_OPEN]?.focus();
    onTaken?.();
  });
  useEffect(() => {
    if (isFresh) taken();
  }, [isFresh]);
  // the part that follows may be one that what was just said has opened: it is gone to when it is there
  const [moves, setMoves] = useState(0);
  const goOn = useEffectEvent(() => {
    const all = fields();
    const following = all[all.findIndex((f) => f === document.activeElement) + 1];
    if (following) following.focus();
    else onLeave();
  });
  useEffect(() => {
    if (moves > 0) goOn();
  }, [moves]);
  return { sentence, next: () => setMoves((n) => n + 1) };
};
