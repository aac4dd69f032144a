import { POINTS_OF, nextNumber, type Point, type Shape, type ShapeKind, type Subject } from '@odograph/core';

/** What is being drawn: with which tool, the points that are set, where the cross is, and which shape is picked. */
export type DrawHand = {
  readonly kind: ShapeKind;
  readonly whose: Subject | null;
  readonly points: readonly Point[];
  readonly cross: Point;
  readonly pickedId: string | null;
};
export const AT_REST: DrawHand = { kind: 'arrow', whose: null, points: [], cross: { x: 0.5, y: 0.5 }, pickedId: null };

export type DrawMove =
  | { readonly does: 'use'; readonly kind: ShapeKind }
  | { readonly does: 'say whose' }
  | { readonly does: 'point'; readonly at: Point }
  | { readonly does: 'nudge'; readonly dx: number; readonly dy: number }
  /** Sets a point where the cross is. */
  | { readonly does: 'set' }
  | { readonly does: 'take back' }
  | { readonly does: 'pick'; readonly id: string | null };

const within = (share: number): number => Math.min(1, Math.max(0, share));
const WHOSE: readonly (Subject | null)[] = [null, 'a', 'b'];
const isSame = (a: Point | undefined, b: Point): boolean => a !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < 1e-6;

/** What is in hand after a move; points are kept until `finished` makes a shape of them. */
export const drawAfter = (hand: DrawHand, move: DrawMove): DrawHand => {
  switch (move.does) {
    case 'use':
      return { ...hand, kind: move.kind, points: [], pickedId: null };
    case 'say whose':
      return { ...hand, whose: WHOSE[(WHOSE.indexOf(hand.whose) + 1) % WHOSE.length]! };
    case 'point':
      return { ...hand, cross: move.at };
    case 'nudge':
      return { ...hand, cross: { x: within(hand.cross.x + move.dx), y: within(hand.cross.y + move.dy) } };
    case 'set':
      return { ...hand, points: [...hand.points, hand.cross], pickedId: null };
    case 'take back':
      return { ...hand, points: hand.points.slice(0, -1) };
    case 'pick':
      return { ...hand, points: [], pickedId: move.id };
  }
};

/** Whether the points that are set make a shape: as many as there can be, or, where there may be more, the last one set twice. */
export const finished = ({ kind, points }: Pick<DrawHand, 'kind' | 'points'>): readonly Point[] | null => {
  const [least, most] = POINTS_OF[kind];
  if (points.length === most) return points;
  const [before, last] = points.slice(-2);
  return points.length > least && last && isSame(before, last) ? points.slice(0, -1) : null;
};

/** The shape that the points make. */
export const shapeOf = (
  { kind, whose }: Pick<DrawHand, 'kind' | 'whose'>,
  points: readonly Point[],
  shapes: readonly Shape[],
  id: string,
): Shape => ({
  ...{ id, kind, whose, points, text: '' },
  order: kind === 'number' ? nextNumber(shapes) : null,
});
