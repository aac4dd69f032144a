import {
  BONES,
  CAPSULES,
  INVERSE_MASS,
  JOINT,
  LIMITS,
  REST_HEIGHT,
  SELF_PAIRS,
  chestFront,
  pelvisFront,
  type Blend,
  type Body,
  type Capsule,
} from './skeleton.js';
import type { Vec } from './vector.js';

/** A body whose joints may be moved while it is being solved. */
export type Loose = [number, number, number][];

export const loosen = (body: Body): Loose => body.map((p) => [p[0], p[1], p[2]]);

const MASS = INVERSE_MASS as number[];
const { max, sqrt } = Math;

/** Moves two joints of a body along the line between them until they are `distance` metres apart. */
const keepDistance = (body: Loose, a: number, b: number, distance: number, stiffness: number): void => {
  const p = body[a]!;
  const q = body[b]!;
  const dx = p[0] - q[0];
  const dy = p[1] - q[1];
  const dz = p[2] - q[2];
  const now = sqrt(dx * dx + dy * dy + dz * dz) || 1e-9;
  const error = ((now - distance) / now / (MASS[a]! + MASS[b]!)) * stiffness;
  const wa = MASS[a]! * error;
  const wb = MASS[b]! * error;
  p[0] -= dx * wa;
  p[1] -= dy * wa;
  p[2] -= dz * wa;
  q[0] += dx * wb;
  q[1] += dy * wb;
  q[2] += dz * wb;
};

/** Where a blend of joints is, written into `into`: nothing here is made anew, since it runs some hundred thousand times a second. */
const pointOf = (body: Loose, blend: Blend, into: Float64Array): Float64Array => {
  let x = 0,
    y = 0,
    z = 0;
  for (let k = 0; k < blend.length; k++) {
    const p = body[blend[k]![0]]!,
      w = blend[k]![1];
    x += p[0] * w;
    y += p[1] * w;
    z += p[2] * w;
  }
  into[0] = x;
  into[1] = y;
  into[2] = z;
  return into;
};

const clamp = (x: number): number => (x < 0 ? 0 : x > 1 ? 1 : x);
const [P1, Q1, P2, Q2] = [0, 1, 2, 3].map(() => new Float64Array(3)) as [
  Float64Array,
  Float64Array,
  Float64Array,
  Float64Array,
];
/** Two capsules that were looked at: how far they reach into each other (metres), along which direction, at which parts (0–1) of them. */
const hit = { depth: 0, nx: 0, ny: 0, nz: 0, s: 0, t: 0 };

/** Looks how two capsules lie, by the closest points of their segments after Ericson, Real-Time Collision Detection, 5.1.9. The outcome is in `hit`. */
const lookAt = (a: Loose, A: Capsule, b: Loose, B: Capsule): void => {
  pointOf(a, A.from, P1);
  pointOf(a, A.to, Q1);
  pointOf(b, B.from, P2);
  pointOf(b, B.to, Q2);
  const ux = Q1[0]! - P1[0]!,
    uy = Q1[1]! - P1[1]!,
    uz = Q1[2]! - P1[2]!;
  const vx = Q2[0]! - P2[0]!,
    vy = Q2[1]! - P2[1]!,
    vz = Q2[2]! - P2[2]!;
  const rx = P1[0]! - P2[0]!,
    ry = P1[1]! - P2[1]!,
    rz = P1[2]! - P2[2]!;
  const uu = ux * ux + uy * uy + uz * uz,
    vv = vx * vx + vy * vy + vz * vz,
    vr = vx * rx + vy * ry + vz * rz;
  let s = 0,
    t = 0;
  if (uu < 1e-9) t = vv < 1e-9 ? 0 : clamp(vr / vv);
  else {
    const ur = ux * rx + uy * ry + uz * rz;
    if (vv < 1e-9) s = clamp(-ur / uu);
    else {
      const uv = ux * vx + uy * vy + uz * vz;
      const denominator = uu * vv - uv * uv;
      s = denominator > 1e-9 ? clamp((uv * vr - ur * vv) / denominator) : 0.5;
      t = (uv * s + vr) / vv;
      if (t < 0) {
        t = 0;
        s = clamp(-ur / uu);
      } else if (t > 1) {
        t = 1;
        s = clamp((uv - ur) / uu);
      }
    }
  }
  const dx = rx + ux * s - vx * t,
    dy = ry + uy * s - vy * t,
    dz = rz + uz * s - vz * t;
  const gap = sqrt(dx * dx + dy * dy + dz * dz);
  hit.depth = A.r0 + (A.r1 - A.r0) * s + B.r0 + (B.r1 - B.r0) * t - gap;
  const apart = gap > 1e-5;
  hit.nx = apart ? dx / gap : 0;
  hit.ny = apart ? dy / gap : 0;
  hit.nz = apart ? dz / gap : 1;
  hit.s = s;
  hit.t = t;
};

/** Sum of mass × weight² over a blend whose weights are scaled by `k`. */
const resistance = (blend: Blend, k: number): number => {
  let sum = 0;
  for (let i = 0; i < blend.length; i++) sum += MASS[blend[i]![0]]! * (blend[i]![1] * k) ** 2;
  return sum;
};
const shove = (body: Loose, blend: Blend, k: number, by: number): void => {
  for (let i = 0; i < blend.length; i++) {
    const q = MASS[blend[i]![0]]! * blend[i]![1] * k * by;
    const p = body[blend[i]![0]]!;
    p[0] += hit.nx * q;
    p[1] += hit.ny * q;
    p[2] += hit.nz * q;
  }
};

/** Pushes two capsules apart, each joint by its share of weight and mass. */
const separate = (
  pair: readonly [Loose, Loose],
  bodyA: 0 | 1,
  i: number,
  bodyB: 0 | 1,
  j: number,
  slack: number,
  stiffness: number,
): void => {
  const [a, A, b, B] = [pair[bodyA], CAPSULES[i]!, pair[bodyB], CAPSULES[j]!];
  lookAt(a, A, b, B);
  const depth = hit.depth - slack;
  if (depth <= 0) return;
  const { s, t } = hit;
  const total = resistance(A.from, 1 - s) + resistance(A.to, s) + resistance(B.from, 1 - t) + resistance(B.to, t);
  const by = (depth / total) * stiffness;
  shove(a, A.from, 1 - s, by);
  shove(a, A.to, s, by);
  shove(b, B.from, 1 - t, -by);
  shove(b, B.to, t, -by);
};

/** A knee cannot go far behind the pelvis, nor an elbow behind the chest. */
const keepInFront = (body: Loose): void => {
  const limit = (root: number, end: number, front: Vec, behind: number): void => {
    const p = body[end]!;
    const o = body[root]!;
    const ahead = (p[0] - o[0]) * front[0] + (p[1] - o[1]) * front[1] + (p[2] - o[2]) * front[2];
    if (ahead >= -behind) return;
    const k = (-behind - ahead) * 0.5;
    p[0] += front[0] * k;
    p[1] += front[1] * k;
    p[2] += front[2] * k;
  };
  const hips = pelvisFront(body);
  const chest = chestFront(body);
  limit(JOINT.left_hip, JOINT.left_knee, hips, 0.1);
  limit(JOINT.right_hip, JOINT.right_knee, hips, 0.1);
  limit(JOINT.left_shoulder, JOINT.left_elbow, chest, 0.17);
  limit(JOINT.right_shoulder, JOINT.right_elbow, chest, 0.17);
};

const keepAboveMat = (body: Loose): void => {
  for (let i = 0; i < body.length; i++) body[i]![2] = max(body[i]![2], REST_HEIGHT[i]!);
  for (const part of CAPSULES.slice(0, 3))
    for (const [blend, radius] of [
      [part.from, part.r0],
      [part.to, part.r1],
    ] as const) {
      let z = 0,
        share = 0;
      for (const [i, w] of blend) {
        z += body[i]![2] * w;
        share += w * w;
      }
      const lack = radius - 0.001 - z;
      if (lack > 0) for (const [i, w] of blend) body[i]![2] += (lack / share) * w;
    }
};

/** Brings every bone back to its length. */
export const keepBones = (body: Loose, passes: number): void => {
  for (let pass = 0; pass < passes; pass++) for (const [a, b, d] of BONES) keepDistance(body, a, b, d, 1);
};

/** By how far (metres) a part may move within one round before a collision of it could be missed. */
const MARGIN_M = 0.08;

/** Centre and reach of every part of a body: parts whose spheres lie apart need no exact look. */
const spheres = (body: Loose, into: Float64Array): void => {
  CAPSULES.forEach((part, i) => {
    const p = pointOf(body, part.from, P1),
      q = pointOf(body, part.to, Q1);
    const [dx, dy, dz] = [p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!];
    into[i * 4] = q[0]! + dx / 2;
    into[i * 4 + 1] = q[1]! + dy / 2;
    into[i * 4 + 2] = q[2]! + dz / 2;
    into[i * 4 + 3] = sqrt(dx * dx + dy * dy + dz * dz) / 2 + max(part.r0, part.r1);
  });
};
const near = (a: Float64Array, i: number, b: Float64Array, j: number): boolean => {
  const dx = a[i * 4]! - b[j * 4]!,
    dy = a[i * 4 + 1]! - b[j * 4 + 1]!,
    dz = a[i * 4 + 2]! - b[j * 4 + 2]!;
  const reach = a[i * 4 + 3]! + b[j * 4 + 3]! + MARGIN_M;
  return dx * dx + dy * dy + dz * dz < reach * reach;
};
const room = [new Float64Array(CAPSULES.length * 4), new Float64Array(CAPSULES.length * 4)] as const;

/**
 * One round of position-based dynamics (Müller et al. 2007) on two bodies: collisions between and within them, joint limits,
 * the mat, bone lengths. `slack` is the overlap in metres that is let through; `mayOverlap` names pairs of parts (of athlete a, of
 * athlete b, by their place in `CAPSULES`) that are left alone. Changes the bodies in place.
 */
export const relax = (
  pair: readonly [Loose, Loose],
  slack: number,
  mayOverlap?: (ofA: number, ofB: number) => boolean,
): void => {
  const [sa, sb] = room;
  spheres(pair[0], sa);
  spheres(pair[1], sb);
  for (let i = 0; i < CAPSULES.length; i++)
    for (let j = 0; j < CAPSULES.length; j++)
      if (near(sa, i, sb, j) && !mayOverlap?.(i, j)) separate(pair, 0, i, 1, j, slack, 0.6);
  for (const b of [0, 1] as const)
    for (const [i, j, let_] of SELF_PAIRS)
      if (near(room[b], i, room[b], j)) separate(pair, b, i, b, j, Math.max(let_, slack), 0.5);
  for (const body of pair) {
    keepInFront(body);
    for (const [a, b, min, max] of LIMITS) {
      const p = body[a]!,
        q = body[b]!;
      const [dx, dy, dz] = [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
      const now = sqrt(dx * dx + dy * dy + dz * dz);
      if (now < min) keepDistance(body, a, b, min, 0.7);
      else if (now > max) keepDistance(body, a, b, max, 0.7);
    }
    keepAboveMat(body);
    keepBones(body, 2);
  }
};
