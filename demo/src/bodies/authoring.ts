import { readFileSync } from 'node:fs';
import { loosen, keepBones, relax, type Loose } from './relax.js';
import {
  CAPSULES,
  INVERSE_MASS,
  JOINT,
  REST_HEIGHT,
  chestFront,
  joint,
  pelvisFront,
  type Body,
  type Joint,
} from './skeleton.js';
import { across, add, cross, dot, len, lerp, mul, sub, unit, type Vec } from './vector.js';

/**
 * One body roughly as somebody sees it, in metres: trunk, head, and where knees, ankles, elbows and hands are. Somebody lying with the head to −x has
 * the left side at +y. What is left out follows: a hand without a place hangs in front unless a touch takes it somewhere.
 */
export type BodySketch = {
  readonly pelvis: Vec;
  readonly neck: Vec;
  /** Where the hips look; the chest looks the same way unless `chest` says otherwise. */
  readonly front: Vec;
  readonly chest?: Vec;
  /** How rounded the back is, 0–1. */
  readonly bend?: number;
  readonly head?: Vec;
  readonly look?: Vec;
  readonly knees: readonly [left: Vec, right: Vec];
  readonly ankles: readonly [left: Vec, right: Vec];
  readonly toes?: readonly [left: Vec | null, right: Vec | null];
  readonly elbows?: readonly [left: Vec | null, right: Vec | null];
  readonly hands?: readonly [left: Vec | null, right: Vec | null];
};

/**
 * A pose to be solved. `touches` are points that meet: `a.left_hand`, `b.collar_l` (a landmark of the pose data), `b.left_knee>left_ankle@0.3`
 * (30 % along a bone), with the gap between them in metres. `through` names parts of a and b that may overlap, because flesh gives way there.
 */
export type PoseSketch = {
  readonly name: string;
  readonly roles: string;
  readonly a: BodySketch;
  readonly b: BodySketch;
  readonly touches?: readonly (readonly [string, string, number])[];
  readonly through?: readonly (readonly [string, string])[];
};

type Landmark = {
  readonly base: Readonly<Record<string, number>>;
  readonly along?: 'chestFront' | 'pelvisFront';
  readonly offset?: number;
};
const { skeleton } = JSON.parse(readFileSync(new URL('../../data/poses.json', import.meta.url), 'utf8')) as {
  skeleton: { landmarks: Readonly<Record<string, Landmark>> };
};

type Point = {
  readonly body: 0 | 1;
  readonly blend: readonly (readonly [number, number])[];
  readonly along: 'chestFront' | 'pelvisFront' | undefined;
  readonly offset: number;
};

const jointNumber = (name: string): number => {
  const found = JOINT[name as Joint] as number | undefined;
  if (found === undefined) throw new Error(`no joint or landmark is called ${name}`);
  return found;
};

const pointCalled = (name: string): Point => {
  const body = name.startsWith('a.') ? 0 : 1;
  const rest = name.slice(2);
  const landmark = skeleton.landmarks[rest];
  if (landmark)
    return {
      body,
      blend: Object.entries(landmark.base).map(([key, w]) => [jointNumber(key), w] as const),
      along: landmark.along,
      offset: landmark.offset ?? 0,
    };
  const along = /^(\w+)>(\w+)@([\d.]+)$/.exec(rest);
  const blend = along
    ? ([
        [jointNumber(along[1]!), 1 - Number(along[3])],
        [jointNumber(along[2]!), Number(along[3])],
      ] as const)
    : ([[jointNumber(rest), 1]] as const);
  return { body, blend, along: undefined, offset: 0 };
};

const placeOf = (point: Point, pair: readonly [Body, Body]): Vec => {
  const body = pair[point.body];
  const at = point.blend.reduce<Vec>((sum, [i, w]) => add(sum, mul(body[i]!, w)), [0, 0, 0]);
  if (!point.along) return at;
  return add(at, mul(point.along === 'chestFront' ? chestFront(body) : pelvisFront(body), point.offset));
};

/** Two bones from `from` towards `to`: the joint between them on the side of `pole`, and the end where it can be reached. */
const twoBones = (from: Vec, to: Vec, first: number, second: number, pole: Vec): readonly [Vec, Vec] => {
  const way = sub(to, from);
  const most = (first + second) * 0.999;
  const reach = Math.min(len(way), most);
  const u = unit(way);
  const side = across(pole, u);
  const out = unit(len(side) < 1e-4 ? across([0.3, 0.5, 0.7], u) : side);
  const x = (first ** 2 - second ** 2 + reach ** 2) / (2 * reach);
  return [add(add(from, mul(u, x)), mul(out, Math.sqrt(Math.max(0, first ** 2 - x ** 2)))), add(from, mul(u, reach))];
};

/** Toes point where the knee bends, flat on the mat where the foot stands on it. */
const toeOf = (body: Body, side: 'left' | 'right'): Vec => {
  const at = (name: string): Vec => joint(body, `${side}_${name}` as Joint);
  const [hip, knee, ankle] = [at('hip'), at('knee'), at('ankle')];
  const shin = unit(sub(ankle, knee));
  let bend = across(sub(knee, lerp(hip, ankle, 0.5)), shin);
  const share = Math.min(1, len(bend) / 0.06);
  if (share < 1) bend = add(mul(unit(bend), share), mul(across(pelvisFront(body), shin), 1 - share));
  bend = unit(bend);
  const pointed = (deg: number): Vec =>
    add(
      ankle,
      mul(unit(add(mul(bend, Math.cos((deg * Math.PI) / 180)), mul(shin, Math.sin((deg * Math.PI) / 180)))), 0.17),
    );
  if (ankle[2] >= 0.16) return pointed(35);
  if (-shin[2] <= 0.3) return pointed(70);
  const angles = Array.from({ length: 20 }, (_, i) => i * 5 - 20);
  return angles.map(pointed).reduce((best, p) => (Math.abs(p[2] - 0.028) < Math.abs(best[2] - 0.028) ? p : best));
};

const SIDES = ['left', 'right'] as const;
const armPole = (body: Body, side: 'left' | 'right'): Vec => {
  const front = chestFront(body);
  const up = unit(sub(joint(body, 'neck'), joint(body, 'chest')));
  const out = mul(cross(up, front), side === 'left' ? 0.6 : -0.6);
  return add(add(mul(up, -0.7), out), mul(front, -0.25));
};

const bendArm = (body: Loose, sketch: BodySketch, side: 'left' | 'right', to: Vec): void => {
  const shoulder = joint(body, `${side}_shoulder`);
  const elbow = sketch.elbows?.[side === 'left' ? 0 : 1];
  const pole = elbow ? sub(elbow, lerp(shoulder, to, 0.5)) : armPole(body, side);
  const [mid, end] = twoBones(shoulder, to, 0.29, 0.345, pole);
  const set = (name: string, p: Vec): void => {
    body[jointNumber(`${side}_${name}`)] = [...p];
  };
  set('elbow', mid);
  set('hand', end);
  set('wrist', lerp(mid, end, 0.26 / 0.345));
};

/** A first body from its sketch: trunk from the frame, limbs by two-bone geometry. */
const bodyOf = (sketch: BodySketch): Loose => {
  const body: Loose = Array.from({ length: Object.keys(JOINT).length }, () => [0, 0, 0]);
  const set = (name: Joint, p: Vec): void => {
    body[JOINT[name]] = [...p];
  };
  const up = unit(sub(sketch.neck, sketch.pelvis));
  const hipsFront = unit(sketch.front);
  const height = 0.51 * (1 - (sketch.bend ?? 0.25) * 0.12);
  const neck = add(sketch.pelvis, mul(up, height));
  const back = Math.sqrt(Math.max(0, 0.255 ** 2 - (height / 2) ** 2));
  const chest = add(lerp(sketch.pelvis, neck, 0.51), mul(unit(across(hipsFront, up)), -back));
  set('pelvis', sketch.pelvis);
  set('chest', chest);
  set('neck', neck);
  const lower = unit(sub(chest, sketch.pelvis));
  const hipsLeft = cross(lower, unit(across(hipsFront, lower)));
  set('left_hip', add(sketch.pelvis, mul(hipsLeft, 0.095)));
  set('right_hip', add(sketch.pelvis, mul(hipsLeft, -0.095)));
  const upper = unit(sub(neck, chest));
  const front = unit(across(unit(sketch.chest ?? sketch.front), upper));
  const left = cross(upper, front);
  const drop = mul(upper, -Math.sqrt(0.18 ** 2 - 0.175 ** 2));
  set('left_shoulder', add(add(neck, mul(left, 0.175)), drop));
  set('right_shoulder', add(add(neck, mul(left, -0.175)), drop));
  const head = add(neck, mul(unit(sketch.head ? sub(sketch.head, neck) : add(upper, mul(front, 0.25))), 0.18));
  set('head', head);
  const headUp = unit(sub(head, neck));
  const look = sketch.look ? unit(sketch.look) : front;
  set('face', add(head, mul(unit(add(across(look, headUp), mul(headUp, dot(look, headUp) * 0.6 - 0.12))), 0.115)));
  SIDES.forEach((side, s) => {
    const hip = joint(body, `${side}_hip`);
    const ankle = sketch.ankles[s]!;
    const [knee, end] = twoBones(hip, ankle, 0.43, 0.42, sub(sketch.knees[s]!, lerp(hip, ankle, 0.5)));
    set(`${side}_knee`, knee);
    set(`${side}_ankle`, end);
    set(`${side}_toe`, sketch.toes?.[s] ?? toeOf(body, side));
    const hand = sketch.hands?.[s] ?? add(joint(body, `${side}_shoulder`), add(mul(front, 0.35), mul(upper, -0.2)));
    bendArm(body, sketch, side, hand);
  });
  return body;
};

const push = (body: Loose, point: Point, by: Vec, of: number, stiffness: number): void => {
  for (const [i, w] of point.blend) {
    const q = (INVERSE_MASS[i]! * w * stiffness) / of;
    for (const d of [0, 1, 2] as const) body[i]![d] += by[d] * q;
  }
};

/** Brings two points to their gap, each joint giving way by its share of weight and mass. */
const bringTogether = (
  pair: readonly [Loose, Loose],
  [p, q, gap]: readonly [Point, Point, number],
  stiffness: number,
): void => {
  const apart = sub(placeOf(p, pair), placeOf(q, pair));
  const now = len(apart) || 1e-6;
  const share = (point: Point): number => point.blend.reduce((sum, [i, w]) => sum + INVERSE_MASS[i]! * w * w, 0);
  const by = mul(apart, (now - gap) / now);
  const total = share(p) + share(q);
  push(pair[p.body], p, mul(by, -1), total, stiffness);
  push(pair[q.body], q, by, total, stiffness);
};

const TRUNK = new Set<number>([JOINT.pelvis, JOINT.chest, JOINT.neck]);
const LEGS = new Set<number>([JOINT.left_knee, JOINT.right_knee, JOINT.left_ankle, JOINT.right_ankle]);
const HANDS: readonly number[] = [JOINT.left_hand, JOINT.right_hand];
const TOES: readonly number[] = [JOINT.left_toe, JOINT.right_toe];
const ROUNDS = 420;

const partCalled = (name: string): number => {
  const found = CAPSULES.findIndex(
    (c) => name === (c.limb === 'trunk' ? c.name : `${c.limb.split(' ')[0]!} ${c.name}`),
  );
  if (found < 0) throw new Error(`no part of a body is called ${name}`);
  return found;
};

/**
 * Solves a sketch into two bodies that keep bone lengths, joint limits, the mat and each other's room: 420 rounds that let go of the sketch over the
 * first three quarters. Metres; throws on unknown names.
 */
export const solvePose = (sketch: PoseSketch): readonly [Body, Body] => {
  const sketches = [sketch.a, sketch.b] as const;
  const pair = [bodyOf(sketch.a), bodyOf(sketch.b)] as const;
  const touches = (sketch.touches ?? []).map(([p, q, gap]) => [pointCalled(p), pointCalled(q), gap] as const);
  const through = new Set((sketch.through ?? []).map(([p, q]) => partCalled(p) * 32 + partCalled(q)));
  for (let again = 0; again < 2; again++)
    for (const [p, q] of touches) {
      const hand = p.blend.length === 1 ? HANDS.indexOf(p.blend[0]![0]) : -1;
      if (hand >= 0) bendArm(pair[p.body], sketches[p.body], SIDES[hand]!, placeOf(q, pair));
    }
  const wanted = pair.map(loosen);
  const hold = (b: 0 | 1, i: number): number => {
    if (TOES.includes(i)) return 0;
    if (HANDS.includes(i)) return sketches[b].hands?.[HANDS.indexOf(i)] ? 0.8 : 0;
    return TRUNK.has(i) ? 1 : LEGS.has(i) ? 0.8 : 0.35;
  };
  for (let round = 0; round < ROUNDS; round++) {
    const done = round / ROUNDS;
    const pull = done < 0.75 ? 0.25 * (1 - done / 0.75) + 0.01 : 0;
    for (const b of [0, 1] as const) {
      pair[b].forEach((p, i) => {
        const k = pull * hold(b, i);
        for (const d of [0, 1, 2] as const) p[d] += (wanted[b]![i]![d] - p[d]) * k;
      });
      if (done < 0.95)
        SIDES.forEach((side, s) => {
          const toe = pair[b][TOES[s]!]!;
          const to = sketches[b].toes?.[s] ?? toeOf(pair[b], side);
          for (const d of [0, 1, 2] as const) toe[d] += (to[d] - toe[d]) * 0.25;
        });
    }
    for (const touch of touches) bringTogether(pair, touch, done < 0.9 ? 0.6 : 0.35);
    relax(pair, 0.012, through.size ? (i, j) => through.has(i * 32 + j) : undefined);
  }
  for (const body of pair)
    for (let round = 0; round < 25; round++) {
      keepBones(body, 1);
      body.forEach((p, i) => (p[2] = Math.max(p[2], REST_HEIGHT[i]! - 0.003)));
    }
  const rounded = (body: Loose): Body =>
    body.map((p) => p.map((x) => Math.round(x * 1000) / 1000 + 0) as unknown as Vec);
  return [rounded(pair[0]), rounded(pair[1])];
};
