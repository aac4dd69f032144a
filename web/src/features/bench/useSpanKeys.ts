import { SPAN_KINDS, type FootageSpan } from '@odograph/core';
import { useState } from 'react';
import type { PlayerHandle } from '../player/index.js';
import type { OnBench } from './useBenchClips.js';
import type { Cutting } from './useCutting.js';
import type { OtherFootage } from './useOtherFootage.js';
import type { KeyTable } from './usePictureKeys.js';
import type { SpanInHand, Spans } from './useSpans.js';

export type SpanKeys = {
  /** What can be said of a stretch of this footage, in the order of the digits. */
  readonly kinds: readonly FootageSpan['kind'][];
  /** What keys do while a stretch is in hand. */
  readonly keys: KeyTable;
  readonly take: (inHand: SpanInHand | null) => void;
  /** The stretch where the picture stands, or from where a clip was to begin up to there. */ readonly onHere: () => void;
  /** Whether there was none, asked last. */ readonly isNone: boolean;
  readonly onLulls: () => void;
};

/** How a stretch comes into the hand, and what is said of it by keys. `leaveClip` puts out of the hand what is in it. */
export const useSpanKeys = (
  bench: OnBench,
  { player, frame }: Pick<PlayerHandle, 'player' | 'frame'>,
  spans: Spans,
  other: OtherFootage,
  { inMark, setInMark }: Pick<Cutting, 'inMark' | 'setInMark'>,
  leaveClip: () => void,
): SpanKeys => {
  const [isNone, setNone] = useState(false);
  const kinds = SPAN_KINDS.filter((kind) => kind !== 'logged throughout' || bench.footage.logged === 'picked');
  return {
    kinds,
    isNone,
    keys: {
      ...Object.fromEntries(kinds.map((kind, i) => [String(i + 1), () => other.say(kind)])),
      Delete: spans.forget,
      Escape: () => spans.take(null),
    },
    take: (inHand) => {
      leaveClip();
      spans.take(inHand);
      if (inHand) player?.seek(spans.framesOf(inHand.span)?.inFrame ?? frame());
    },
    onHere: () => {
      const [at, mark] = [frame(), inMark];
      leaveClip();
      setNone(!spans.takeAt(at, mark));
      setInMark(null);
    },
    onLulls: () => {
      leaveClip();
      spans.look(spans.msOf(frame()));
    },
  };
};
