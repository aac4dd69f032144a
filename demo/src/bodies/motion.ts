import { JOINT, joint, type Body, type Pair } from './skeleton.js';
import { keepBones, loosen, relax, type Loose } from './relax.js';
import { add, cross, dot, len, lerp, mul, sub, unit, type Vec } from './vector.js';

const TORSO = [
  JOINT.pelvis,
  JOINT.chest,
  JOINT.neck,
  JOINT.left_hip,
  JOINT.right_hip,
  JOINT.left_shoulder,
  JOINT.right_shoulder,
  JOINT.left_knee,
  JOINT.right_knee,
];

/** Turns and shifts `pose` on the mat so that its trunks and knees lie as near as can be to those of `onto` (planar Procrustes). */
export const align = (onto: Pair, pose: Pair): Pair => {
  const to = onto.flatMap((body) => TORSO.map((i) => body[i]!));
  const from = pose.flatMap((body) => TORSO.map((i) => body[i]!));
  const mean = (points: Vec[], d: 0 | 1): number => points.reduce((sum, p) => sum + p[d], 0) / points.length;
  const [ax, ay, bx, by] = [mean(to, 0), mean(to, 1), mean(from, 0), mean(from, 1)];
  let sin = 0,
    cos = 0;
  from.forEach((p, i) => {
    const [px, py, qx, qy] = [p[0] - bx, p[1] - by, to[i]![0] - ax, to[i]![1] - ay];
    sin += px * qy - py * qx;
    cos += px * qx + py * qy;
  });
  const angle = Math.atan2(sin, cos);
  const C = Math.cos(angle),
    S = Math.sin(angle);
  const lay = (p: Vec): Vec => [C * (p[0] - bx) - S * (p[1] - by) + ax, S * (p[0] - bx) + C * (p[1] - by) + ay, p[2]];
  return [pose[0].map(lay), pose[1].map(lay)];
};

type Quaternion = readonly [number, number, number, number];

const pelvisTurn = (body: Body): Quaternion => {
  const left = unit(sub(joint(body, 'left_hip'), joint(body, 'right_hip')));
  const spine = sub(joint(body, 'neck'), joint(body, 'pelvis'));
  const up = unit(sub(spine, mul(left, dot(spine, left))));
  return fromAxes(cross(left, up), left, up);
};

const fromAxes = (f: Vec, l: Vec, u: Vec): Quaternion => {
  const trace = f[0] + l[1] + u[2];
  if (trace > 0) {
    const s = Math.sqrt(trace + 1) * 2;
    return [s / 4, (l[2] - u[1]) / s, (u[0] - f[2]) / s, (f[1] - l[0]) / s];
  }
  if (f[0] > l[1] && f[0] > u[2]) {
    const s = Math.sqrt(1 + f[0] - l[1] - u[2]) * 2;
    return [(l[2] - u[1]) / s, s / 4, (l[0] + f[1]) / s, (u[0] + f[2]) / s];
  }
  if (l[1] > u[2]) {
    const s = Math.sqrt(1 + l[1] - f[0] - u[2]) * 2;
    return [(u[0] - f[2]) / s, (l[0] + f[1]) / s, s / 4, (u[1] + l[2]) / s];
  }
  const s = Math.sqrt(1 + u[2] - f[0] - l[1]) * 2;
  return [(f[1] - l[0]) / s, (u[0] + f[2]) / s, (u[1] + l[2]) / s, s / 4];
};

const slerp = (a: Quaternion, b: Quaternion, t: number): Quaternion => {
  let cosine = a.reduce((sum, x, i) => sum + x * b[i]!, 0);
  const to = cosine < 0 ? (b.map((x) => -x) as unknown as Quaternion) : b;
  cosine = Math.abs(cosine);
  const angle = Math.acos(Math.min(1, cosine));
  const [p, q] =
    cosine > 0.9995 ? [1 - t, t] : [Math.sin((1 - t) * angle) / Math.sin(angle), Math.sin(t * angle) / Math.sin(angle)];
  const mixed = a.map((x, i) => x * p + to[i]! * q);
  const size = Math.hypot(...mixed);
  return mixed.map((x) => x / size) as unknown as Quaternion;
};

const turn = (q: Quaternion, v: Vec): Vec => {
  const axis: Vec = [q[1], q[2], q[3]];
  const t = mul(cross(axis, v), 2);
  return add(add(v, mul(t, q[0])), cross(axis, t));
};
const inverse = (q: Quaternion): Quaternion => [q[0], -q[1], -q[2], -q[3]];

const ENDS = new Set([
  JOINT.left_ankle,
  JOINT.right_ankle,
  JOINT.left_toe,
  JOINT.right_toe,
  JOINT.left_hand,
  JOINT.right_hand,
  JOINT.left_knee,
  JOINT.right_knee,
]);

/** A body part of the way (0–1) between two: limbs are carried by the pelvis, hands and feet that hardly move stay planted. */
const blendBody = (from: Body, to: Body, t: number): Body => {
  const qa = pelvisTurn(from),
    qb = pelvisTurn(to),
    q = slerp(qa, qb, t);
  const rootA = joint(from, 'pelvis'),
    rootB = joint(to, 'pelvis');
  const root = lerp(rootA, rootB, t);
  return from.map((p, i) => {
    const end = to[i]!;
    const local = lerp(turn(inverse(qa), sub(p, rootA)), turn(inverse(qb), sub(end, rootB)), t);
    const carried = add(root, turn(q, local));
    if (!ENDS.has(i)) return carried;
    const way = len(sub(end, p));
    return lerp(carried, lerp(p, end, t), way < 0.12 ? 0.9 : way < 0.4 ? 0.45 : 0.15);
  });
};

const KEYS = 24;

const solvedBetween = (from: Pair, to: Pair, t: number): [Loose, Loose] => {
  const eased = t * t * (3 - 2 * t);
  const wanted = [blendBody(from[0], to[0], eased), blendBody(from[1], to[1], eased)] as const;
  const pair: [Loose, Loose] = [loosen(wanted[0]), loosen(wanted[1])];
  const rounds = 14;
  for (let i = 0; i < rounds; i++) {
    const pull = 0.25 * (1 - i / rounds);
    pair.forEach((body, b) =>
      body.forEach((p, j) => {
        for (const d of [0, 1, 2] as const) p[d] += (wanted[b]![j]![d] - p[d]) * pull;
      }),
    );
    relax(pair, 0.012 + 0.03 * Math.sin(Math.PI * t));
  }
  return pair;
};

/** A movement from one pose to the next: solved keys and the seconds that it takes with no joint faster than 2.4 m/s. */
export type Movement = { readonly keys: readonly Pair[]; readonly seconds: number };

/** Solves the way between two aligned poses; smoothing over time removes snaps where limbs would have to tunnel. */
export const movement = (from: Pair, to: Pair): Movement => {
  let keys: [Loose, Loose][] = [];
  for (let k = 0; k <= KEYS; k++)
    keys.push(
      k === 0
        ? [loosen(from[0]), loosen(from[1])]
        : k === KEYS
          ? [loosen(to[0]), loosen(to[1])]
          : solvedBetween(from, to, k / KEYS),
    );
  for (let pass = 0; pass < 6; pass++) {
    keys = keys.map((pair, k) =>
      k === 0 || k === KEYS
        ? pair
        : (pair.map((body, b) =>
            body.map((p, j) =>
              p.map((x, d) => 0.25 * keys[k - 1]![b]![j]![d]! + 0.5 * x + 0.25 * keys[k + 1]![b]![j]![d]!),
            ),
          ) as [Loose, Loose]),
    );
    for (let k = 1; k < KEYS; k++) for (let round = 0; round < 2; round++) relax(keys[k]!, pass < 5 ? 0.045 : 0.04);
  }
  let fastest = 0;
  for (let k = 1; k <= KEYS; k++)
    for (const b of [0, 1] as const)
      keys[k]![b].forEach((p, j) => {
        fastest = Math.max(fastest, len(sub(p, keys[k - 1]![b][j]!)));
      });
  return { keys, seconds: Math.min(3, Math.max(0.6, (fastest * KEYS) / 2.4)) };
};

/** The bodies at part `t` (0–1) of a movement. */
export const duringMovement = (move: Movement, t: number): Pair => {
  const u = Math.min(1, Math.max(0, t)) * (move.keys.length - 1);
  const i = Math.min(move.keys.length - 2, Math.floor(u));
  const mixed = ([0, 1] as const).map((b) => move.keys[i]![b].map((p, j) => lerp(p, move.keys[i + 1]![b][j]!, u - i)));
  const loose = mixed.map(loosen);
  for (const body of loose) keepBones(body, 4);
  return [loose[0]!, loose[1]!];
};

/** Breathing and small unrest, so that a held pose is not a still picture. `atS` in seconds; repeatable. */
export const alive = (pair: Pair, atS: number): Pair => {
  const sway = (body: Body, b: number): Body => {
    const loose = loosen(body);
    loose.forEach((p, j) => {
      const size = /head|elbow|knee|hand/.test(Object.keys(JOINT)[j]!) ? 0.005 : 0.002;
      p[0] += size * Math.sin(atS * 1.7 + j * 1.3 + b * 2.1);
      p[1] += size * Math.sin(atS * 1.3 + j * 2.7 + b);
    });
    loose[JOINT.chest]![2] += 0.004 * Math.sin(atS * 2 * Math.PI * 0.25 + b * 1.9);
    keepBones(loose, 3);
    return loose;
  };
  return [sway(pair[0], 0), sway(pair[1], 1)];
};
