import type { Instant, Subject } from '../attempts/index.js';

export const SHAPE_KINDS = ['arrow', 'line', 'region', 'circle', 'angle', 'label', 'number'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];
/** A point of the upright picture, 0 … 1 of its width and height from the upper left. */
export type Point = { readonly x: number; readonly y: number };

/** A shape on the picture. An arrow goes from its first point to its second, a circle's second point lies on it, an angle is at the second of three. */
export type Shape = {
  readonly id: string;
  readonly kind: ShapeKind;
  readonly points: readonly Point[];
  /** Whose force or limb it is. */ readonly whose: Subject | null;
  readonly text: string;
  /** Of a number: which one. */ readonly order: number | null;
};

/** Where the pointer was, `t` ms after the first frame. */
export type TrackPoint = Point & { readonly t: number };

/** What is drawn on some frames of one camera. */
export type Drawing = {
  readonly id: string;
  readonly version: number;
  readonly footageId: string;
  readonly angleId: string;
  readonly from: Instant;
  readonly to: Instant;
  /** So long the picture is held when it is played, in ms. */ readonly holdMs: number;
  readonly shapes: readonly Shape[];
  readonly track: readonly TrackPoint[];
};
