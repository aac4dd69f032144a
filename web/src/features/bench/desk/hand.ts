import type { FootageSpan, MsSpan } from '@odograph/core';

/** A stretch about which something can be said: one that stands on the footage, or one that is only asked about. */
export type StretchInHand = { readonly span: MsSpan; readonly stands: FootageSpan | null };
export type Edge = 'in' | 'out';
/** How the attempt of the clip in hand is told now, or what is done with the clip. */
export type Way =
  | { readonly by: 'parts' | 'board' }
  /** Why it went as it went; or it lies beside another try. */
  | { readonly by: 'reasons' | 'tries' }
  | { readonly by: 'line'; readonly typed: string }
  /** One of its edges is dragged. */
  | { readonly by: 'edge'; readonly edge: Edge }
  /** It is asked whether it may go into the bin. */
  | { readonly by: 'bin' };
export type Held =
  | { readonly is: 'nothing' }
  /** A clip or a stretch begins there; where it ends is not said yet. */
  | { readonly is: 'begun'; readonly inFrame: number }
  | { readonly is: 'clip'; readonly clipId: string; readonly way: Way }
  | { readonly is: 'stretch'; readonly stretch: StretchInHand }
  | { readonly is: 'mark'; readonly momentId: string };
export type Question = 'go to' | 'clock' | 'draw' | 'to do' | 'view' | 'moment' | 'inset';
/** What has the hand on the bench: one thing at a time. What is asked lies over what was in hand, which is in hand again once it is answered. */
export type Hand = Held | { readonly is: 'question'; readonly asks: Question; readonly over: Held };

export type HandMove =
  | { readonly does: 'take'; readonly held: Held }
  /** Of the clip in hand; nothing where there is none. */
  | { readonly does: 'tell'; readonly way: Way }
  | { readonly does: 'ask'; readonly asks: Question }
  /** What is asked is answered or left. */
  | { readonly does: 'answer' };

export const EMPTY: Held = { is: 'nothing' };
export const PARTS: Way = { by: 'parts' };

/** What is in hand, under what is asked. */
export const heldIn = (hand: Hand): Held => (hand.is === 'question' ? hand.over : hand);
/** How the clip in hand is told; undefined where none is, or something is asked. */
export const wayOf = (hand: Hand): Way | undefined => (hand.is === 'clip' ? hand.way : undefined);

/** What stays open from one clip to the next. */
const STAYS: ReadonlySet<Way['by']> = new Set(['board', 'reasons', 'tries']);

/** What is in hand after a move. */
export const handAfter = (hand: Hand, move: HandMove): Hand => {
  const held = heldIn(hand);
  switch (move.does) {
    case 'take':
      return move.held.is === 'clip' && held.is === 'clip' && STAYS.has(held.way.by)
        ? { ...move.held, way: held.way }
        : move.held;
    case 'tell':
      return held.is === 'clip' ? { ...held, way: move.way } : hand;
    case 'ask':
      return { is: 'question', asks: move.asks, over: held };
    case 'answer':
      return held;
  }
};

/** What there is to be held. `clipId`: the clip that the address names. */
export type There = {
  readonly clipId: string | null;
  readonly hasClip: (id: string) => boolean;
  readonly hasMark: (id: string) => boolean;
};

const heldNow = (held: Held, { clipId, hasClip, hasMark }: There): Held => {
  if (clipId !== null && hasClip(clipId))
    return held.is === 'clip' && held.clipId === clipId ? held : { is: 'clip', clipId, way: PARTS };
  if (held.is === 'clip' || (held.is === 'mark' && !hasMark(held.momentId))) return EMPTY;
  return held;
};

/** What is in hand of what is kept: the clip is the one in the address, and what is gone is in hand no more. */
export const handNow = (kept: Hand, there: There): Hand => {
  const held = heldNow(heldIn(kept), there);
  if (held === heldIn(kept)) return kept;
  return kept.is === 'question' ? { ...kept, over: held } : held;
};
