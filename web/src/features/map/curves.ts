export type Point = { readonly x: number; readonly y: number };
export type Box = Point & { readonly width: number; readonly height: number };
/** A dot with the room that it and its label take up. */
export type Spot = Point & { readonly box: Box };
/** `at(t)` is the point at part t (0–1) of it. */
export type Curve = { readonly path: string; readonly at: (t: number) => Point };

const CLEAR = 4;
const DOT = 9;

/** So finely it is looked where a line comes out of a dot and its label. */
const STEPS = 96;
/** A line of which less than this part is left between two labels goes round them. */
const LEAST = 0.12;

const isIn = ({ x, y, box }: Spot, at: Point): boolean =>
  Math.hypot(at.x - x, at.y - y) < DOT ||
  (at.x > box.x - CLEAR &&
    at.x < box.x + box.width + CLEAR &&
    at.y > box.y - CLEAR &&
    at.y < box.y + box.height + CLEAR);

type Bend = readonly [Point, Point, Point];
const pointOf = ([a, c, b]: Bend, t: number): Point => {
  const along = (d: 'x' | 'y'): number => (1 - t) ** 2 * a[d] + 2 * t * (1 - t) * c[d] + t ** 2 * b[d];
  return { x: along('x'), y: along('y') };
};
/** The part of a bend between two of its points. */
const partOf = (bend: Bend, from: number, to: number): Bend => {
  const [a, c, b] = bend;
  const along = (d: 'x' | 'y'): number =>
    (1 - from) * (1 - to) * a[d] + (from * (1 - to) + to * (1 - from)) * c[d] + from * to * b[d];
  return [pointOf(bend, from), { x: along('x'), y: along('y') }, pointOf(bend, to)];
};

/** Round the left of two places whose names leave no room between them: names stand to the right of their dots. */
const roundLeft = (from: Spot, to: Spot, nth: number): Bend => {
  const [a, b] = [from, to].map(({ x, y }) => ({ x: x - DOT, y })) as [Point, Point];
  const out = 18 + Math.abs(b.y - a.y) * 0.25 + nth * 12;
  return [a, { x: Math.min(a.x, b.x) - out, y: (a.y + b.y) / 2 }, b];
};

/** How much a line bows beside what is usual, on its own side and on the other, where it would end on a name otherwise. */
const BOWS = [1.7, 0.4, -1, -1.7] as const;

/** The bow between two places that begins and ends where their dots and labels do; nothing where these leave no room for it. */
const bowed = (from: Spot, to: Spot, by: number): Bend | undefined => {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy) || 1;
  const bow = Math.min(0.22 * length, 16 + 0.07 * length) * by;
  const control = { x: (from.x + to.x) / 2 + (-dy / length) * bow, y: (from.y + to.y) / 2 + (dx / length) * bow };
  const whole: Bend = [from, control, to];
  // by the last step that is still in the label of either: a line that comes back into one begins behind it
  let [out, into] = [0, STEPS];
  for (let i = 0; i <= STEPS; i++) {
    const at = pointOf(whole, i / STEPS);
    if (isIn(from, at)) out = i + 1;
    if (into === STEPS && isIn(to, at)) into = i - 1;
  }
  return into - out < LEAST * STEPS ? undefined : partOf(whole, out / STEPS, into / STEPS);
};

const isOn = ({ x, y, width, height }: Box, at: Point): boolean =>
  at.x > x && at.x < x + width && at.y > y && at.y < y + height;

/**
 * A bowed curve from one place to another; `nth` among the lines between the same two makes it bow further. It begins and ends where dot and label do, and, where there is a
 * way, on none of `others`: the labels of other places.
 */
export const curveBetween = (from: Spot, to: Spot, nth: number, others: readonly Box[] = []): Curve => {
  const isFree = ([a, , b]: Bend): boolean => !others.some((box) => isOn(box, a) || isOn(box, b));
  const usual = bowed(from, to, 1 + nth * 0.9);
  const round = roundLeft(from, to, nth);
  const bend =
    usual && isFree(usual)
      ? usual
      : ([...BOWS.map((by) => bowed(from, to, by * (1 + nth * 0.9))), round].find(
          (one) => one !== undefined && isFree(one),
        ) ??
        usual ??
        round);
  const s = (v: number): string => v.toFixed(1);
  const [a, c, b] = bend;
  return {
    path: `M${s(a.x)} ${s(a.y)}Q${s(c.x)} ${s(c.y)} ${s(b.x)} ${s(b.y)}`,
    at: (t) => pointOf(bend, t),
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
