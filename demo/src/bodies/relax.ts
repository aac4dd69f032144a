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
} from './skeleton.js';
import type { Vec } from './vector.js';

/** A body whose joints may be moved while it is being solved. */
export type Loose = [number, number, number][];

export const loosen = (body: Body): Loose => body.map((p) => [p[0], p[1], p[2]]);

const MASS = INVERSE_MASS as number[];

/** Moves two joints of a body along the line between them until they are `distance` metres apart. */
const keepDistance = (body: Loose, a: number, b: number, distance: number, stiffness: number): void => {
  const p = body[a]!;
  const q = body[b]!;
  const dx = p[0] - q[0];
  const dy = p[1] - q[1];
  const dz = p[2] - q[2];
  const now = Math.hypot(dx, dy, dz) || 1e-9;
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

const pointOf = (body: Loose, blend: Blend): [number, number, number] => {
  let x = 0,
    y = 0,
    z = 0;
  for (const [i, w] of blend) {
    const p = body[i]!;
    x += p[0] * w;
    y += p[1] * w;
    z += p[2] * w;
  }
  return [x, y, z];
};

/** Parameters (0–1) of the closest points of two segments, after Ericson, Real-Time Collision Detection, 5.1.9. */
export const closestOnSegments = (p1: Vec, q1: Vec, p2: Vec, q2: Vec): readonly [number, number] => {
  const d1: Vec = [q1[0] - p1[0], q1[1] - p1[1], q1[2] - p1[2]];
  const d2: Vec = [q2[0] - p2[0], q2[1] - p2[1], q2[2] - p2[2]];
  const r: Vec = [p1[0] - p2[0], p1[1] - p2[1], p1[2] - p2[2]];
  const a = d1[0] * d1[0] + d1[1] * d1[1] + d1[2] * d1[2];
  const e = d2[0] * d2[0] + d2[1] * d2[1] + d2[2] * d2[2];
  const f = d2[0] * r[0] + d2[1] * r[1] + d2[2] * r[2];
  const clamp = (x: number): number => Math.min(1, Math.max(0, x));
  if (a < 1e-9 && e < 1e-9) return [0, 0];
  if (a < 1e-9) return [0, clamp(f / e)];
  const c = d1[0] * r[0] + d1[1] * r[1] + d1[2] * r[2];
  if (e < 1e-9) return [clamp(-c / a), 0];
  const b = d1[0] * d2[0] + d1[1] * d2[1] + d1[2] * d2[2];
  const denominator = a * e - b * b;
  const s = denominator > 1e-9 ? clamp((b * f - c * e) / denominator) : 0.5;
  const t = (b * s + f) / e;
  if (t < 0) return [clamp(-c / a), 0];
  if (t > 1) return [clamp((b - c) / a), 1];
  return [s, t];
};

/** How far (metres) two capsules reach into each other; negative when they are apart. */
export const overlap = (
  pair: readonly [Loose, Loose],
  bodyA: 0 | 1,
  i: number,
  bodyB: 0 | 1,
  j: number,
): { depth: number; direction: Vec; s: number; t: number } => {
  const A = CAPSULES[i]!;
  const B = CAPSULES[j]!;
  const p1 = pointOf(pair[bodyA], A.from),
    q1 = pointOf(pair[bodyA], A.to);
  const p2 = pointOf(pair[bodyB], B.from),
    q2 = pointOf(pair[bodyB], B.to);
  const [s, t] = closestOnSegments(p1, q1, p2, q2);
  const dx = p1[0] + (q1[0] - p1[0]) * s - p2[0] - (q2[0] - p2[0]) * t;
  const dy = p1[1] + (q1[1] - p1[1]) * s - p2[1] - (q2[1] - p2[1]) * t;
  const dz = p1[2] + (q1[2] - p1[2]) * s - p2[2] - (q2[2] - p2[2]) * t;
  const gap = Math.hypot(dx, dy, dz);
  const radii = A.r0 + (A.r1 - A.r0) * s + B.r0 + (B.r1 - B.r0) * t;
  return { depth: radii - gap, direction: gap > 1e-5 ? [dx / gap, dy / gap, dz / gap] : [0, 0, 1], s, t };
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
  const hit = overlap(pair, bodyA, i, bodyB, j);
  const depth = hit.depth - slack;
  if (depth <= 0) return;
  const A = CAPSULES[i]!;
  const B = CAPSULES[j]!;
  const share = (blend: Blend, k: number): [number, number][] => blend.map(([joint, w]) => [joint, w * k]);
  const wa = [...share(A.from, 1 - hit.s), ...share(A.to, hit.s)];
  const wb = [...share(B.from, 1 - hit.t), ...share(B.to, hit.t)];
  let total = 0;
  for (const [joint, w] of wa) total += MASS[joint]! * w * w;
  for (const [joint, w] of wb) total += MASS[joint]! * w * w;
  const step = (depth / total) * stiffness;
  const n = hit.direction;
  const move = (body: Loose, parts: [number, number][], sign: 1 | -1): void => {
    for (const [joint, w] of parts) {
      const q = MASS[joint]! * w * step * sign;
      const p = body[joint]!;
      p[0] += n[0] * q;
      p[1] += n[1] * q;
      p[2] += n[2] * q;
    }
  };
  move(pair[bodyA], wa, 1);
  move(pair[bodyB], wb, -1);
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
  for (let i = 0; i < body.length; i++) body[i]![2] = Math.max(body[i]![2], REST_HEIGHT[i]!);
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

/**
 * One round of position-based dynamics (Müller et al. 2007) on two bodies: collisions between and within them, joint limits,
 * the mat, bone lengths. `slack` is the overlap in metres that is let through. Changes the bodies in place.
 */
export const relax = (pair: readonly [Loose, Loose], slack: number): void => {
  for (let i = 0; i < CAPSULES.length; i++)
    for (let j = 0; j < CAPSULES.length; j++) separate(pair, 0, i, 1, j, slack, 0.6);
  for (const b of [0, 1] as const)
    for (const [i, j, let_] of SELF_PAIRS) separate(pair, b, i, b, j, Math.max(let_, slack), 0.5);
  for (const body of pair) {
    keepInFront(body);
    for (const [a, b, min, max] of LIMITS) {
      const p = body[a]!,
        q = body[b]!;
      const now = Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
      if (now < min) keepDistance(body, a, b, min, 0.7);
      else if (now > max) keepDistance(body, a, b, max, 0.7);
    }
    keepAboveMat(body);
    keepBones(body, 2);
  }
};
