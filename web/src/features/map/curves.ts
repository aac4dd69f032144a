export type Point = { readonly x: number; readonly y: number };
export type Box = Point & { readonly width: number; readonly height: number };
/** A dot with the room that it and its label take up. */
export type Spot = Point & { readonly box: Box };
/** `at(t)` is the point at part t (0–1) of it. */
export type Curve = { readonly path: string; readonly at: (t: number) => Point };

const CLEAR = 4;
const DOT = 9;

/** Where a line from a dot towards a point leaves the dot and its label. */
const leaving = ({ x, y, box }: Spot, towards: Point): Point => {
  const [dx, dy] = [towards.x - x, towards.y - y];
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  const toEdge = (u: number, at: number, low: number, high: number): number =>
    u === 0 ? Number.POSITIVE_INFINITY : ((u > 0 ? high : low) - at) / u;
  const inBox = Math.min(
    toEdge(ux, x, box.x - CLEAR, box.x + box.width + CLEAR),
    toEdge(uy, y, box.y - CLEAR, box.y + box.height + CLEAR),
  );
  const trim = Math.min(Math.max(DOT, inBox), length * 0.45);
  return { x: x + ux * trim, y: y + uy * trim };
};

/** A bowed curve from one place to another; `nth` among the lines between the same two makes it bow further. It ends where dot and label begin. */
export const curveBetween = (from: Spot, to: Spot, nth: number): Curve => {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy) || 1;
  const bow = Math.min(0.22 * length, 16 + 0.07 * length) * (1 + nth * 0.9);
  const control = { x: (from.x + to.x) / 2 + (-dy / length) * bow, y: (from.y + to.y) / 2 + (dx / length) * bow };
  const [a, b] = [leaving(from, control), leaving(to, control)];
  const along = (t: number, d: 'x' | 'y'): number => (1 - t) ** 2 * a[d] + 2 * t * (1 - t) * control[d] + t ** 2 * b[d];
  const s = (v: number): string => v.toFixed(1);
  return {
    path: `M${s(a.x)} ${s(a.y)}Q${s(control.x)} ${s(control.y)} ${s(b.x)} ${s(b.y)}`,
    at: (t) => ({ x: along(t, 'x'), y: along(t, 'y') }),
  };
};

/** A line from a place to itself: a loop on its left side, its text on either side of the turning point. */
export const loopAt = (p: Point, nth: number): Curve => {
  const r = 20 + nth * 12;
  return {
    path: `M${p.x - 6} ${p.y - 8}C${p.x - r} ${p.y - r * 1.5} ${p.x - r * 1.6} ${p.y + 2} ${p.x - 10} ${p.y + 2}`,
    at: (t) => ({ x: p.x - r * 1.05 - t * 10, y: p.y - r * 2.4 + t * r * 4 }),
  };
};

export const overlaps = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
const PARTS = [0.5, 0.42, 0.58, 0.34, 0.66, 0.26, 0.74, 0.18, 0.82] as const;

export type LabelWish = { readonly id: string; readonly curve: Curve; readonly width: number; readonly height: number };

/**
 * Where the texts of lines stand: as near the middle of their line as can be without covering a place or a text placed before. A text for which
 * there is no such spot is left out (it stands in the table and in the sheet).
 */
export const placeTexts = (wishes: readonly LabelWish[], taken: readonly Box[]): ReadonlyMap<string, Point> => {
  const boxes = [...taken];
  const found = new Map<string, Point>();
  for (const { id, curve, width, height } of wishes)
    for (const part of PARTS) {
      const { x, y } = curve.at(part);
      const box = { x: x - width / 2, y: y - height / 2, width, height };
      if (boxes.some((b) => overlaps(b, box))) continue;
      boxes.push(box);
      found.set(id, { x, y });
      break;
    }
  return found;
};
