import { chestFront, joint, pelvisFront, type Body, type Joint } from '../bodies/skeleton.js';
import { across, add, cross, lerp, mul, sub, unit, len, type Vec } from '../bodies/vector.js';

/** What a triangle is made of; the colour follows from it and from the kit. */
export const MATERIAL = {
  jacket: 0,
  skin: 2,
  belt: 4,
  sleeve: 6,
  leg: 8,
  torso: 10,
  head: 12,
  eye: 14,
  trouser: 16,
  shirt: 18,
  shirtSleeve: 20,
  shortLeg: 22,
  lapel: 24,
} as const;

/** What somebody wears: jacket, belt and trousers, or a close shirt and shorts. */
export type Wear = 'gi' | 'no-gi';

const LIMIT = 20_000;
const SEGMENTS = 12;
const CIRCLE = Array.from(
  { length: SEGMENTS },
  (_, i) => [Math.cos((i / SEGMENTS) * 2 * Math.PI), Math.sin((i / SEGMENTS) * 2 * Math.PI)] as const,
);

/** Triangles of both bodies. `uv` holds three numbers a vertex whose meaning depends on the material (see raster). */
export class Mesh {
  readonly at = new Float32Array(LIMIT * 3);
  readonly normal = new Float32Array(LIMIT * 3);
  readonly uv = new Float32Array(LIMIT * 3);
  readonly corner = new Uint16Array(LIMIT * 6);
  readonly material = new Uint8Array(LIMIT * 2);
  readonly part = new Uint8Array(LIMIT * 2);
  vertices = 0;
  triangles = 0;

  clear(): void {
    this.vertices = 0;
    this.triangles = 0;
  }

  vertex(p: Vec, n: Vec, u = 0, v = 0, w = 0): number {
    const o = this.vertices * 3;
    this.at.set(p, o);
    this.normal.set(n, o);
    this.uv[o] = u;
    this.uv[o + 1] = v;
    this.uv[o + 2] = w;
    return this.vertices++;
  }

  /** Closes rings of vertices, laid one after the other from `first`, into a tube. */
  tube(first: number, rings: number, around: number, material: number, part: number): void {
    for (let r = 0; r < rings - 1; r++)
      for (let i = 0; i < around; i++) {
        const a = first + r * around + i,
          b = first + r * around + ((i + 1) % around);
        this.triangle(a, b, b + around, material, part);
        this.triangle(a, b + around, a + around, material, part);
      }
  }

  private triangle(a: number, b: number, c: number, material: number, part: number): void {
    const t = this.triangles++;
    this.corner[t * 3] = a;
    this.corner[t * 3 + 1] = b;
    this.corner[t * 3 + 2] = c;
    this.material[t] = material;
    this.part[t] = part;
  }

  /** A tapered capsule from p to q (metres). `swell` scales the radius along it, `flat` squeezes it across `side`. */
  capsule(
    p: Vec,
    q: Vec,
    r0: number,
    r1: number,
    material: number,
    part: number,
    { swell, flat = 1, side }: { swell?: (t: number) => number; flat?: number; side?: Vec } = {},
  ): void {
    const d = sub(q, p);
    const length = len(d);
    const u: Vec = length > 1e-6 ? mul(d, 1 / length) : [0, 0, 1];
    const x = unit(across(side ?? (Math.abs(u[2]) < 0.8 ? [0, 0, 1] : [1, 0, 0]), u));
    const y = cross(u, x);
    const rings: [number, number, number][] = [];
    for (let k = 0; k <= 2; k++) {
      const a = -Math.PI / 2 + (k * Math.PI) / 6;
      rings.push([Math.sin(a) * r0, Math.max(0.02, Math.cos(a)) * r0, Math.sin(a)]);
    }
    const steps = swell ? 4 : 1;
    for (let k = 0; k <= steps; k++)
      rings.push([(k / steps) * length, (r0 + (r1 - r0) * (k / steps)) * (swell?.(k / steps) ?? 1), 0]);
    for (let k = 1; k <= 3; k++) {
      const a = (k * Math.PI) / 6;
      rings.push([length + Math.sin(a) * r1, Math.max(0.02, Math.cos(a)) * r1, Math.sin(a)]);
    }
    const first = this.vertices;
    for (const [s, r, nz] of rings) {
      const c = Math.sqrt(1 - nz * nz);
      for (const [cx, cy] of CIRCLE) {
        const at = add(add(p, mul(u, s)), add(mul(x, cx * r), mul(y, cy * r * flat)));
        const n = unit(add(add(mul(x, cx * c), mul(y, (cy * c) / flat)), mul(u, nz)));
        this.vertex(at, n, s / Math.max(length, 0.01));
      }
    }
    this.tube(first, rings.length, SEGMENTS, material, part);
  }
}

/** Cross sections of the trunk: place along the spine (0 pelvis, 1 neck), half width, half depth, in metres. */
const TRUNK = [
  [-0.2, 0.05, 0.05],
  [-0.17, 0.11, 0.085],
  [-0.1, 0.155, 0.115],
  [0, 0.172, 0.125],
  [0.12, 0.168, 0.124],
  [0.22, 0.158, 0.118],
  [0.27, 0.156, 0.117],
  [0.4, 0.158, 0.114],
  [0.55, 0.168, 0.12],
  [0.68, 0.178, 0.125],
  [0.78, 0.182, 0.122],
  [0.87, 0.176, 0.108],
  [0.94, 0.15, 0.088],
  [0.99, 0.105, 0.072],
  [1.03, 0.062, 0.062],
] as const;

const trunk = (mesh: Mesh, body: Body, who: 0 | 1, wear: Wear, part: number): void => {
  const pelvis = joint(body, 'pelvis'),
    chest = joint(body, 'chest'),
    neck = joint(body, 'neck');
  const hipsLeft = unit(sub(joint(body, 'left_hip'), joint(body, 'right_hip')));
  const chestLeft = unit(sub(joint(body, 'left_shoulder'), joint(body, 'right_shoulder')));
  const up0 = unit(sub(chest, pelvis)),
    up1 = unit(sub(neck, chest));
  const control = lerp(chest, sub(mul(chest, 2), mul(add(pelvis, neck), 0.5)), 0.55);
  const spine = (t: number): Vec => {
    if (t < 0) return add(pelvis, mul(up0, t * 0.5));
    if (t > 1) return add(neck, mul(up1, (t - 1) * 0.5));
    return lerp(lerp(pelvis, control, t), lerp(control, neck, t), t);
  };
  const around = 24;
  const first = mesh.vertices;
  const close = wear === 'gi' ? 1 : 0.93;
  for (const [t, wide, deep] of TRUNK) {
    const [width, depth] = [wide * close, deep * close];
    const o = spine(t);
    const q = Math.min(1, Math.max(0, t));
    const u = unit(sub(spine(t + 0.03), spine(t - 0.03)));
    const left = unit(across(lerp(hipsLeft, chestLeft, q * q * (3 - 2 * q)), u));
    const front = cross(left, u);
    const bulge = t > 0.45 && t < 0.85 ? 0.008 : 0;
    const slope = t > 0.9 ? 0.8 : t < -0.1 ? -0.7 : 0;
    for (let i = 0; i < around; i++) {
      const c = Math.cos((i / around) * 2 * Math.PI),
        s = Math.sin((i / around) * 2 * Math.PI);
      const px = Math.sign(s) * Math.abs(s) ** 0.8 * width,
        py = Math.sign(c) * Math.abs(c) ** 0.8 * depth;
      const size = Math.hypot(s / width, c / depth);
      const n = unit(add(add(mul(left, s / width / size), mul(front, c / depth / size)), mul(u, slope)));
      mesh.vertex(add(o, add(mul(left, px), mul(front, py + bulge))), n, px, t, c);
    }
  }
  mesh.tube(first, TRUNK.length, around, (wear === 'gi' ? MATERIAL.torso : MATERIAL.shirt) + who, part);
  if (wear === 'no-gi') return;
  const front = unit(lerp(pelvisFront(body), chestFront(body), 0.2));
  const knot = add(spine(0.17), mul(front, 0.132));
  mesh.capsule(knot, add(knot, mul(hipsLeft, 0.004)), 0.026, 0.026, MATERIAL.belt + who, part + 1);
  const down = unit(add(mul(up0, -0.75), [0, 0, -0.55]));
  for (const side of [-1, 1]) {
    const end = add(add(knot, mul(unit(add(down, mul(hipsLeft, side * 0.45))), 0.17)), mul(front, 0.02));
    mesh.capsule(knot, [end[0], end[1], Math.max(0.02, end[2])], 0.014, 0.017, MATERIAL.belt + who, part + 1, {
      flat: 0.5,
      side: hipsLeft,
    });
  }
};

const head = (mesh: Mesh, body: Body, who: 0 | 1, part: number): void => {
  const centre = joint(body, 'head'),
    neck = joint(body, 'neck');
  const front = unit(sub(joint(body, 'face'), centre));
  const up = unit(across(sub(centre, neck), front));
  const left = cross(up, front);
  const at = (x: number, y: number, z: number): Vec => add(centre, add(add(mul(left, x), mul(front, y)), mul(up, z)));
  const first = mesh.vertices;
  const rings = 11,
    around = 16;
  for (let r = 0; r < rings; r++) {
    const angle = -Math.PI / 2 + (r / (rings - 1)) * Math.PI;
    const c = Math.max(0.03, Math.cos(angle)),
      s = Math.sin(angle);
    for (let i = 0; i < around; i++) {
      const x = c * Math.sin((i / around) * 2 * Math.PI),
        y = c * Math.cos((i / around) * 2 * Math.PI);
      const jaw = s < 0 ? 1 + 0.22 * s : 1;
      const n = unit(add(add(mul(left, x), mul(front, y)), mul(up, s * 0.85)));
      mesh.vertex(at(x * 0.083 * jaw, y * 0.102 * (s < -0.2 && y < 0 ? 0.82 : 1), s * 0.122), n, x, y, s);
    }
  }
  mesh.tube(first, rings, around, MATERIAL.head + who, part);
  mesh.capsule(at(0, 0.1, 0.012), at(0, 0.113, -0.018), 0.012, 0.017, MATERIAL.skin + who, part);
  for (const side of [-1, 1]) {
    mesh.capsule(
      at(side * 0.083, -0.005, 0.005),
      at(side * 0.083, -0.005, -0.02),
      0.018,
      0.014,
      MATERIAL.skin + who,
      part,
      { flat: 0.5, side: up },
    );
    mesh.capsule(at(side * 0.034, 0.088, 0.022), at(side * 0.034, 0.0881, 0.022), 0.0115, 0.0115, MATERIAL.eye, part);
  }
  mesh.capsule(lerp(neck, centre, -0.1), lerp(neck, centre, 0.75), 0.06, 0.056, MATERIAL.skin + who, part);
};

const arm = (mesh: Mesh, body: Body, who: 0 | 1, wear: Wear, side: 'left' | 'right', part: number): void => {
  const at = (name: string): Vec => joint(body, `${side}_${name}` as Joint);
  const shoulder = at('shoulder'),
    elbow = at('elbow'),
    wrist = at('wrist'),
    hand = at('hand');
  const front = chestFront(body);
  const root = lerp(shoulder, joint(body, 'neck'), 0.12);
  if (wear === 'gi') {
    mesh.capsule(root, elbow, 0.074, 0.054, MATERIAL.jacket + who, part, { swell: (t) => 1 + 0.04 * Math.sin(t * 9) });
    mesh.capsule(elbow, lerp(elbow, wrist, 0.8), 0.055, 0.056, MATERIAL.sleeve + who, part + 1);
    mesh.capsule(lerp(elbow, wrist, 0.7), wrist, 0.036, 0.03, MATERIAL.skin + who, part + 2);
  } else {
    mesh.capsule(root, elbow, 0.066, 0.044, MATERIAL.shirtSleeve + who, part, {
      swell: (t) => 1 + 0.12 * Math.sin(Math.PI * Math.min(1, t * 1.4)),
    });
    mesh.capsule(elbow, wrist, 0.044, 0.03, MATERIAL.skin + who, part + 1, {
      swell: (t) => 1 + 0.12 * Math.sin(Math.PI * Math.min(1, t * 2)),
    });
  }
  mesh.capsule(wrist, lerp(wrist, hand, 1.25), 0.034, 0.036, MATERIAL.skin + who, part + 2, {
    swell: () => 1.12,
    flat: 0.72,
    side: front,
  });
  const along = unit(sub(hand, wrist));
  const inward = mul(
    unit(sub(joint(body, 'right_shoulder'), joint(body, 'left_shoulder'))),
    side === 'left' ? 0.5 : -0.5,
  );
  const thumb = unit(across(add(front, inward), along));
  mesh.capsule(
    lerp(wrist, hand, 0.5),
    add(lerp(wrist, hand, 0.9), mul(thumb, 0.045)),
    0.015,
    0.012,
    MATERIAL.skin + who,
    part + 2,
  );
};

const leg = (
  mesh: Mesh,
  body: Body,
  who: 0 | 1,
  wear: Wear,
  side: 'left' | 'right',
  part: number,
  skirtPart: number,
): void => {
  const at = (name: string): Vec => joint(body, `${side}_${name}` as Joint);
  const hip = at('hip'),
    knee = at('knee'),
    ankle = at('ankle'),
    toe = at('toe');
  const calf = (t: number): number => 1 + 0.14 * Math.sin(Math.PI * Math.min(1, t * 1.5 + 0.05)) * (t < 0.62 ? 1 : 0.3);
  if (wear === 'gi') {
    mesh.capsule(lerp(hip, knee, 0.03), knee, 0.096, 0.072, MATERIAL.trouser + who, part, {
      swell: (t) => 1 + 0.1 * Math.sin(Math.PI * Math.min(1, t * 1.3)),
    });
    mesh.capsule(lerp(hip, knee, 0.04), lerp(hip, knee, 0.27), 0.094, 0.105, MATERIAL.jacket + who, skirtPart);
    mesh.capsule(knee, lerp(knee, ankle, 0.8), 0.07, 0.062, MATERIAL.leg + who, part + 1, { swell: calf });
    mesh.capsule(lerp(knee, ankle, 0.7), ankle, 0.042, 0.036, MATERIAL.skin + who, part + 2);
  } else {
    mesh.capsule(lerp(hip, knee, 0.03), lerp(hip, knee, 0.62), 0.098, 0.092, MATERIAL.shortLeg + who, skirtPart);
    mesh.capsule(lerp(hip, knee, 0.1), knee, 0.085, 0.06, MATERIAL.skin + who, part, {
      swell: (t) => 1 + 0.08 * Math.sin(Math.PI * Math.min(1, t * 1.3)),
    });
    mesh.capsule(knee, ankle, 0.058, 0.036, MATERIAL.skin + who, part + 1, { swell: calf });
  }
  const shin = unit(sub(ankle, knee)),
    along = unit(sub(toe, ankle));
  const up = unit(across(mul(shin, -1), along));
  const sole = unit(across(shin, along));
  const heel = add(add(ankle, mul(sole, 0.04)), mul(along, -0.03)),
    ball = add(toe, mul(sole, 0.004));
  mesh.capsule(heel, lerp(heel, ball, 0.75), 0.034, 0.036, MATERIAL.skin + who, part + 2, {
    flat: 0.85,
    side: cross(up, along),
  });
  mesh.capsule(lerp(ankle, toe, 0.6), add(ball, mul(along, 0.01)), 0.038, 0.038, MATERIAL.skin + who, part + 2, {
    flat: 0.62,
    side: cross(up, along),
  });
  mesh.capsule(ankle, lerp(ankle, toe, 0.6), 0.036, 0.028, MATERIAL.skin + who, part + 2);
};

/** Adds one body. Part numbers of athlete b start at 41, so that the outlines know the bodies apart. */
export const addBody = (mesh: Mesh, body: Body, who: 0 | 1, wear: Wear): void => {
  const base = who * 40 + 1;
  trunk(mesh, body, who, wear, base);
  head(mesh, body, who, base + 3);
  arm(mesh, body, who, wear, 'left', base + 5);
  arm(mesh, body, who, wear, 'right', base + 8);
  leg(mesh, body, who, wear, 'left', base + 11, base + 2);
  leg(mesh, body, who, wear, 'right', base + 14, base + 17);
};

/** Adds a lapel drawn out of a jacket: a band of cloth along its path. */
export const addLapel = (mesh: Mesh, owner: 0 | 1, path: readonly Vec[]): void => {
  const part = owner * 40 + 19;
  path.slice(1).forEach((to, i) => {
    mesh.capsule(path[i]!, to, 0.03, 0.03, MATERIAL.lapel + owner, part, { flat: 0.5 });
  });
};
