import type { LinkKind } from '@odograph/core';

/** What is pointed at among details in a row, and the link that is begun from one of them. */
export type ReasonsHand = {
  readonly at: number;
  readonly begun: { readonly from: number; readonly kind: LinkKind } | null;
};
export const AT_FIRST: ReasonsHand = { at: 0, begun: null };

/** The letter that begins a link of each kind. */
export const KIND_KEYS: Readonly<Record<string, LinkKind>> = {
  e: 'enables',
  v: 'prevents',
  f: 'forces',
  x: 'exposes',
  d: 'delays',
};

export type ReasonsMove =
  | { readonly does: 'step'; readonly by: 1 | -1 }
  | { readonly does: 'point'; readonly at: number }
  | { readonly does: 'begin'; readonly kind: LinkKind }
  | { readonly does: 'let be' };

/** What is pointed at after a move, among so many details. A link that is begun stays begun until it is told or let be. */
export const reasonsAfter = (hand: ReasonsHand, move: ReasonsMove, details: number): ReasonsHand => {
  const within = (at: number): number => Math.max(0, Math.min(details - 1, at));
  switch (move.does) {
    case 'step':
      return { ...hand, at: within(hand.at + move.by) };
    case 'point':
      return { ...hand, at: within(move.at) };
    case 'begin': {
      const at = within(hand.at);
      // begun already, and another detail is pointed at: it becomes a link of another kind
      const from = hand.begun && hand.begun.from !== at ? hand.begun.from : at;
      return { at, begun: { from, kind: move.kind } };
    }
    case 'let be':
      return { ...hand, begun: null };
  }
};
