import { cross, sub, unit, type Vec } from './vector.js';

/** Joints of one body, in the order of the pose data. `face` is the look direction, 0.115 m before the head. */
export const JOINTS = [
  'pelvis',
  'chest',
  'neck',
  'head',
  'face',
  'left_shoulder',
  'left_elbow',
  'left_wrist',
  'left_hand',
  'right_shoulder',
  'right_elbow',
  'right_wrist',
  'right_hand',
  'left_hip',
  'left_knee',
  'left_ankle',
  'left_toe',
  'right_hip',
  'right_knee',
  'right_ankle',
  'right_toe',
] as const;
export type Joint = (typeof JOINTS)[number];
export const JOINT = Object.fromEntries(JOINTS.map((name, i) => [name, i])) as Record<Joint, number>;

/** One body: a point in metres for each of `JOINTS`. */
export type Body = readonly Vec[];
/** Two bodies, athlete a first. */
export type Pair = readonly [Body, Body];

export const joint = (body: Body, name: Joint): Vec => body[JOINT[name]] as Vec;

/** Bones: two joints and the distance between them in metres. */
export const BONES: readonly (readonly [number, number, number])[] = (
  [
    ['pelvis', 'chest', 0.26],
    ['chest', 'neck', 0.25],
    ['neck', 'head', 0.18],
    ['head', 'face', 0.115],
    ['neck', 'left_shoulder', 0.18],
    ['neck', 'right_shoulder', 0.18],
    ['pelvis', 'left_hip', 0.095],
    ['pelvis', 'right_hip', 0.095],
    ['left_shoulder', 'left_elbow', 0.29],
    ['left_elbow', 'left_wrist', 0.26],
    ['left_wrist', 'left_hand', 0.085],
    ['right_shoulder', 'right_elbow', 0.29],
    ['right_elbow', 'right_wrist', 0.26],
    ['right_wrist', 'right_hand', 0.085],
    ['left_hip', 'left_knee', 0.43],
    ['left_knee', 'left_ankle', 0.42],
    ['left_ankle', 'left_toe', 0.17],
    ['right_hip', 'right_knee', 0.43],
    ['right_knee', 'right_ankle', 0.42],
    ['right_ankle', 'right_toe', 0.17],
    ['left_hip', 'right_hip', 0.19],
  ] as const
).map(([a, b, d]) => [JOINT[a], JOINT[b], d] as const);

const bothSides = (a: string, b: string, min: number, max: number): (readonly [number, number, number, number])[] =>
  ['left', 'right'].map(
    (side) => [JOINT[a.replace('*', side) as Joint], JOINT[b.replace('*', side) as Joint], min, max] as const,
  );

/** Distances (metres, least and most) that stand in for the limits of the joints. */
export const LIMITS: readonly (readonly [number, number, number, number])[] = [
  [JOINT.left_shoulder, JOINT.right_shoulder, 0.32, 0.352],
  [JOINT.pelvis, JOINT.neck, 0.4, 0.508],
  [JOINT.neck, JOINT.face, 0.12, 0.26],
  [JOINT.chest, JOINT.head, 0.33, 0.43],
  ...bothSides('chest', '*_shoulder', 0.24, 0.3),
  ...bothSides('chest', '*_hip', 0.245, 0.305),
  ...bothSides('*_shoulder', 'head', 0.17, 0.36),
  ...bothSides('*_elbow', '*_hand', 0.28, 0.345),
  ...bothSides('*_shoulder', '*_wrist', 0.16, 0.548),
  ...bothSides('*_hip', '*_ankle', 0.2, 0.848),
  ...bothSides('*_knee', '*_toe', 0.39, 0.585),
  ...bothSides('*_shoulder', '*_hip', 0.27, 0.56),
];

/** Height above the mat (metres) below which a joint's flesh would sink into it. */
export const REST_HEIGHT: readonly number[] = JOINTS.map((name) => {
  const part = name.replace(/^(left|right)_/, '');
  const heights: Record<string, number> = {
    pelvis: 0.1,
    chest: 0.11,
    neck: 0.06,
    head: 0.105,
    face: 0.02,
    shoulder: 0.065,
    elbow: 0.045,
    wrist: 0.035,
    hand: 0.03,
    hip: 0.085,
    knee: 0.06,
    ankle: 0.045,
    toe: 0.025,
  };
  return heights[part] as number;
});

/** Trunk joints are heavier: they give way less when parts push each other. */
export const INVERSE_MASS: readonly number[] = JOINTS.map((name) =>
  /pelvis|chest|neck|hip|shoulder/.test(name) ? 0.45 : 1,
);

/** A weighted sum of joints. */
export type Blend = readonly (readonly [number, number])[];
export type Capsule = {
  readonly name: string;
  readonly from: Blend;
  readonly to: Blend;
  readonly r0: number;
  readonly r1: number;
  readonly limb: 'trunk' | 'left arm' | 'right arm' | 'left leg' | 'right leg';
};

const blend = (weights: Partial<Record<Joint, number>>): Blend =>
  Object.entries(weights).map(([name, w]) => [JOINT[name as Joint], w] as const);

const limbCapsules = (side: 'left' | 'right'): Capsule[] => {
  const at = (part: string): Joint => `${side}_${part}` as Joint;
  const arm = `${side} arm` as const;
  const leg = `${side} leg` as const;
  return [
    {
      name: 'upper arm',
      from: blend({ [at('shoulder')]: 0.9, [at('elbow')]: 0.1 }),
      to: blend({ [at('elbow')]: 1 }),
      r0: 0.055,
      r1: 0.045,
      limb: arm,
    },
    {
      name: 'forearm',
      from: blend({ [at('elbow')]: 1 }),
      to: blend({ [at('wrist')]: 1 }),
      r0: 0.045,
      r1: 0.034,
      limb: arm,
    },
    { name: 'hand', from: blend({ [at('wrist')]: 1 }), to: blend({ [at('hand')]: 1 }), r0: 0.03, r1: 0.03, limb: arm },
    {
      name: 'thigh',
      from: blend({ [at('hip')]: 0.85, [at('knee')]: 0.15 }),
      to: blend({ [at('knee')]: 1 }),
      r0: 0.08,
      r1: 0.062,
      limb: leg,
    },
    {
      name: 'shin',
      from: blend({ [at('knee')]: 1 }),
      to: blend({ [at('ankle')]: 1 }),
      r0: 0.058,
      r1: 0.042,
      limb: leg,
    },
    { name: 'foot', from: blend({ [at('ankle')]: 1 }), to: blend({ [at('toe')]: 1 }), r0: 0.04, r1: 0.028, limb: leg },
  ];
};

/** What takes up room: two bodies may not share it. Radii in metres. */
export const CAPSULES: readonly Capsule[] = [
  { name: 'hips', from: blend({ left_hip: 1 }), to: blend({ right_hip: 1 }), r0: 0.088, r1: 0.088, limb: 'trunk' },
  { name: 'abdomen', from: blend({ pelvis: 1 }), to: blend({ chest: 1 }), r0: 0.115, r1: 0.112, limb: 'trunk' },
  {
    name: 'ribs',
    from: blend({ chest: 0.4, neck: 0.15, left_shoulder: 0.45 }),
    to: blend({ chest: 0.4, neck: 0.15, right_shoulder: 0.45 }),
    r0: 0.108,
    r1: 0.108,
    limb: 'trunk',
  },
  {
    name: 'shoulders',
    from: blend({ left_shoulder: 1 }),
    to: blend({ right_shoulder: 1 }),
    r0: 0.07,
    r1: 0.07,
    limb: 'trunk',
  },
  { name: 'neck', from: blend({ neck: 1 }), to: blend({ head: 1 }), r0: 0.055, r1: 0.055, limb: 'trunk' },
  { name: 'head', from: blend({ head: 1 }), to: blend({ head: 1 }), r0: 0.102, r1: 0.102, limb: 'trunk' },
  ...limbCapsules('left'),
  ...limbCapsules('right'),
];

/** Pairs of parts of one body that may not pass through each other, with the overlap (metres) that is let through. */
export const SELF_PAIRS: readonly (readonly [number, number, number])[] = CAPSULES.flatMap((a, i) =>
  CAPSULES.slice(i + 1).flatMap((b, k): (readonly [number, number, number])[] => {
    if (a.limb === b.limb) return [];
    if (a.limb === 'trunk') {
      if (a.name === 'neck' || a.name === 'shoulders') return [];
      if (b.name === 'upper arm' && a.name !== 'head') return [];
      if (b.name === 'thigh' && (a.name === 'hips' || a.name === 'abdomen')) return [];
    }
    return [[i, i + 1 + k, a.name === 'thigh' && b.name === 'thigh' ? 0.04 : 0.015]];
  }),
);

/** Where the chest looks. */
export const chestFront = (body: Body): Vec =>
  unit(
    cross(
      sub(joint(body, 'left_shoulder'), joint(body, 'right_shoulder')),
      sub(joint(body, 'neck'), joint(body, 'chest')),
    ),
  );
/** Where the hips look. */
export const pelvisFront = (body: Body): Vec =>
  unit(cross(sub(joint(body, 'left_hip'), joint(body, 'right_hip')), sub(joint(body, 'chest'), joint(body, 'pelvis'))));
