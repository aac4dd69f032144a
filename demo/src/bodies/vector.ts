/** Vectors in metres: x and y on the mat, z up, right-handed. Nothing here changes its arguments. */
export type Vec = readonly [number, number, number];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const mul = (a: Vec, s: number): Vec => [a[0] * s, a[1] * s, a[2] * s];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const len = (a: Vec): number => Math.hypot(a[0], a[1], a[2]);
export const lerp = (a: Vec, b: Vec, t: number): Vec => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Unit vector; a zero vector stays (nearly) zero instead of becoming NaN. */
export const unit = (a: Vec): Vec => mul(a, 1 / (len(a) || 1e-9));
/** The part of `a` at right angles to the unit vector `u`. */
export const across = (a: Vec, u: Vec): Vec => sub(a, mul(u, dot(a, u)));
