import {
  BOARD_KEYS,
  LINE_KEYS,
  MARK_KEYS,
  MARK_LINE_KEYS,
  PHRASE_KEYS,
  PICTURE_KEYS,
  spanHints,
  type Hint,
} from './keys.text.js';
import type { KeyTable } from './usePictureKeys.js';

/** What has the hand on the bench. */
export type InHand = {
  readonly isTyping: boolean;
  readonly isLine: boolean;
  readonly isBoard: boolean;
  readonly isMark: boolean;
  /** What can be said of the stretch in hand; 0 = none is. */ readonly spanKinds: number;
  readonly isClip: boolean;
  /** A clip of which the entry is not said yet. */ readonly isFresh: boolean;
};

/** The keys that the hint line tells of: those that work right now, and of these the ones that are needed now. */
export const hintsNow = (hand: InHand, keys: KeyTable): readonly Hint[] => {
  if (hand.isBoard) return BOARD_KEYS;
  if (hand.isTyping) return hand.isMark ? MARK_LINE_KEYS : hand.isLine ? LINE_KEYS : PHRASE_KEYS;
  if (hand.spanKinds) return spanHints(hand.spanKinds);
  if (hand.isMark) return MARK_KEYS;
  const now = !hand.isClip ? 'no clip' : hand.isFresh ? 'fresh clip' : 'told clip';
  return PICTURE_KEYS.filter(
    ({ press, when }) =>
      (press === undefined || keys[press]) && (!when || when === now || (when === 'clip' && hand.isClip)),
  );
};
