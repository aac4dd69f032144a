import type { Drawing, Point, Shape, ShapeKind } from './types.js';

/** How many points a shape of a kind has, at least and at most. */
export const POINTS_OF: Readonly<Record<ShapeKind, readonly [least: number, most: number]>> = {
  arrow: [2, 2],
  line: [2, 64],
  region: [3, 64],
  circle: [2, 2],
  angle: [3, 3],
  label: [1, 1],
  number: [1, 1],
};

/** Width and height of a picture, in pixels. */
export type PictureSize = { readonly width: number; readonly height: number };

/** Where a point lies in a picture of a size, in pixels; mirrored with it. */
export const atPixels = (
  { x, y }: Point,
  { width, height }: PictureSize,
  isMirrored: boolean,
): { readonly x: number; readonly y: number } => ({ x: (isMirrored ? 1 - x : x) * width, y: y * height });

/** The point of the picture that lies at a place of it as it is shown; what lies beside the picture is brought to its edge. */
export const fromPixels = (
  { x, y }: { readonly x: number; readonly y: number },
  { width, height }: PictureSize,
  isMirrored: boolean,
): Point => {
  const within = (share: number): number => Math.min(1, Math.max(0, share));
  const across = within(x / width);
  return { x: isMirrored ? 1 - across : across, y: within(y / height) };
};

/**
 * The angle at the second of three points in degrees, 0 … 180, as it is seen in the picture: of a joint that is turned towards or away from the camera it is not
 * the true one. 0 where two points are one.
 * @example pictureAngle([{ x: 0.2, y: 0.5 }, { x: 0.5, y: 0.5 }, { x: 0.5, y: 0.2 }], { width: 640, height: 360 }) // 90
 */
export const pictureAngle = (points: readonly Point[], { width, height }: PictureSize): number => {
  const [a, b, c] = points;
  if (!a || !b || !c) return 0;
  const [ux, uy] = [(a.x - b.x) * width, (a.y - b.y) * height];
  const [vx, vy] = [(c.x - b.x) * width, (c.y - b.y) * height];
  const sizes = Math.hypot(ux, uy) * Math.hypot(vx, vy);
  if (sizes === 0) return 0;
  return (Math.acos(Math.min(1, Math.max(-1, (ux * vx + uy * vy) / sizes))) * 180) / Math.PI;
};

/** Whether a shape has the points that its kind needs. */
export const isWhole = ({ kind, points }: Pick<Shape, 'kind' | 'points'>): boolean => {
  const [least, most] = POINTS_OF[kind];
  return points.length >= least && points.length <= most;
};

/** The drawings of a camera that lie on a frame. */
export const drawnAt = (drawings: readonly Drawing[], angleId: string, frame: number): readonly Drawing[] =>
  drawings.filter((d) => d.angleId === angleId && d.from.frame <= frame && frame <= d.to.frame);

/** The number that a further one gets: one more than the largest that is there. */
export const nextNumber = (shapes: readonly Shape[]): number => Math.max(0, ...shapes.map((s) => s.order ?? 0)) + 1;

/** How far a place lies from the nearest of a shape's points and edges, in pixels. */
export const distanceTo = (
  { kind, points }: Pick<Shape, 'kind' | 'points'>,
  at: { readonly x: number; readonly y: number },
  size: PictureSize,
  isMirrored: boolean,
): number => {
  const all = points.map((p) => atPixels(p, size, isMirrored));
  const [first, second] = all;
  if (!first) return Infinity;
  if (kind === 'circle' && second) {
    const radius = Math.hypot(second.x - first.x, second.y - first.y);
    return Math.abs(Math.hypot(at.x - first.x, at.y - first.y) - radius);
  }
  if (!second) return Math.hypot(at.x - first.x, at.y - first.y);
  const ends = kind === 'region' ? [...all, first] : all;
  return Math.min(
    ...ends.slice(1).map((to, i) => {
      const from = ends[i]!;
      const [dx, dy] = [to.x - from.x, to.y - from.y];
      const along = ((at.x - from.x) * dx + (at.y - from.y) * dy) / (dx * dx + dy * dy || 1);
      const share = Math.min(1, Math.max(0, along));
      return Math.hypot(at.x - from.x - share * dx, at.y - from.y - share * dy);
    }),
  );
};

/** Where the pointer was so many ms after the first frame; undefined where it was not kept, or not that long. */
export const pointerAt = ({ track }: Pick<Drawing, 'track'>, ms: number): Point | undefined => {
  let before: Drawing['track'][number] | undefined;
  for (const point of track) {
    if (point.t > ms) break;
    before = point;
  }
  const last = track.at(-1);
  return before && last && ms <= last.t ? { x: before.x, y: before.y } : undefined;
};
