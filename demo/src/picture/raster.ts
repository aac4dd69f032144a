import { CAPSULES, JOINT, type Blend, type Body, type Pair } from '../bodies/skeleton.js';
import { add, len, mul, sub, unit, type Vec } from '../bodies/vector.js';
import type { Camera } from './camera.js';
import { MATERIAL, Mesh, addBody } from './mesh.js';

export type Colour = readonly [number, number, number];
export type Kit = {
  readonly jacket: Colour;
  readonly trouser: Colour;
  readonly belt: Colour;
  readonly hair: Colour;
  readonly skin: Colour;
};
export type Kits = readonly [Kit, Kit];

/** Soft shadow on the mat: a grid over `SPAN` metres that keeps the strongest shade of every body part near the ground. */
class Shadow {
  private static readonly cells = 160;
  private static readonly span = 6;
  private shade = new Float32Array(Shadow.cells ** 2);

  cast(pair: Pair): void {
    const n = Shadow.cells,
      cell = Shadow.span / n;
    const shade = new Float32Array(n * n);
    const sides: { from: Blend; to: Blend; r0: number; r1: number }[] = [
      {
        from: [
          [JOINT.left_shoulder, 0.8],
          [JOINT.right_shoulder, 0.2],
        ],
        to: [[JOINT.left_hip, 1]],
        r0: 0.1,
        r1: 0.1,
      },
      {
        from: [
          [JOINT.right_shoulder, 0.8],
          [JOINT.left_shoulder, 0.2],
        ],
        to: [[JOINT.right_hip, 1]],
        r0: 0.1,
        r1: 0.1,
      },
    ];
    const pointOf = (body: Body, blend: Blend): Vec =>
      blend.reduce<Vec>((sum, [i, w]) => add(sum, mul(body[i]!, w)), [0, 0, 0]);
    for (const body of pair)
      for (const part of [...CAPSULES, ...sides]) {
        const a = pointOf(body, part.from),
          b = pointOf(body, part.to);
        const steps = Math.max(1, Math.ceil(len(sub(a, b)) / 0.07));
        for (let k = 0; k <= steps; k++) {
          const t = k / steps;
          const radius = (part.r0 + (part.r1 - part.r0) * t) * 1.05;
          const [x, y, z0] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
          const z = Math.max(0, z0 - radius);
          const reach = (radius * 1.1 + 0.025 + z * 0.22) / cell,
            strength = 0.72 * Math.exp(-4.6 * z);
          const cx = x / cell + n / 2,
            cy = y / cell + n / 2;
          for (let gy = Math.max(0, Math.floor(cy - reach)); gy <= Math.min(n - 1, Math.ceil(cy + reach)); gy++)
            for (let gx = Math.max(0, Math.floor(cx - reach)); gx <= Math.min(n - 1, Math.ceil(cx + reach)); gx++) {
              const d2 = ((gx - cx) ** 2 + (gy - cy) ** 2) / (reach * reach);
              if (d2 >= 1) continue;
              const q = strength * (1 - d2) * (1 - d2 * 0.3),
                i = gy * n + gx;
              shade[i] = q > shade[i]! ? q : Math.min(0.72, shade[i]! + q * 0.025);
            }
        }
      }
    const soft = new Float32Array(n * n);
    for (let y = 1; y < n - 1; y++)
      for (let x = 1; x < n - 1; x++) {
        const i = y * n + x;
        soft[i] =
          (shade[i]! * 4 +
            (shade[i - 1]! + shade[i + 1]! + shade[i - n]! + shade[i + n]!) * 2 +
            shade[i - n - 1]! +
            shade[i - n + 1]! +
            shade[i + n - 1]! +
            shade[i + n + 1]!) /
          16;
      }
    this.shade = soft;
  }

  /** Darkness (0–0.72) of the mat at a point in metres. */
  at(x: number, y: number): number {
    const n = Shadow.cells;
    const fx = (x / Shadow.span) * n + n / 2,
      fy = (y / Shadow.span) * n + n / 2;
    const ix = Math.floor(fx),
      iy = Math.floor(fy);
    if (ix < 1 || iy < 1 || ix >= n - 2 || iy >= n - 2) return 0;
    const ax = fx - ix,
      ay = fy - iy,
      i = iy * n + ix,
      s = this.shade;
    return (s[i]! * (1 - ax) + s[i + 1]! * ax) * (1 - ay) + (s[i + n]! * (1 - ax) + s[i + n + 1]! * ax) * ay;
  }
}

const TILES: readonly [Colour, Colour] = [
  [150, 158, 146],
  [143, 151, 140],
];
const BORDER: Colour = [176, 132, 70];

/** Colour of the room in a direction: mat of 1 m tiles to 3 m, border to 4 m, floor, wall. */
const roomColour = (gx: number, gy: number, onGround: boolean, dz: number): Colour => {
  if (!onGround) {
    const q = Math.min(1, dz * 2.5);
    return [150 + 40 * q, 155 + 40 * q, 162 + 40 * q];
  }
  const m = Math.max(Math.abs(gx), Math.abs(gy));
  const seam = Math.min(Math.abs(gx - Math.round(gx)), Math.abs(gy - Math.round(gy)));
  if (m < 3) {
    const tile = TILES[(Math.floor(gx + 10) + Math.floor(gy + 10)) & 1 ? 0 : 1];
    const k = 1 - 0.22 * Math.max(0, 1 - seam / 0.01);
    return [tile[0] * k, tile[1] * k, tile[2] * k];
  }
  if (m < 4) return seam < 0.008 ? [BORDER[0] * 0.85, BORDER[1] * 0.85, BORDER[2] * 0.85] : BORDER;
  const q = Math.min(1, (m - 4) / 10);
  return [92 + 34 * q, 94 + 38 * q, 98 + 42 * q];
};

/** Colour and shade factor of a point of the jacket by place: u sideways (m), v along the spine, w > 0 in front. */
const torsoColour = (kit: Kit, u: number, v: number, w: number): readonly [Colour, number] => {
  const light = kit.jacket[0] + kit.jacket[1] + kit.jacket[2] > 420;
  const band = light ? 0.8 : 1.32;
  if (v > 0.13 && v < 0.22) return [kit.belt, 1];
  if (w <= 0) return [kit.jacket, v > 0.22 && Math.abs(u) < 0.006 ? 0.86 : v > 0.93 ? band : 1];
  const open = v > 0.5 ? (v - 0.5) * 0.15 : -1;
  if (open > 0 && Math.abs(u) < open) return [kit.skin, 1];
  const edge = v > 0.5 ? Math.abs(u) - open : u - (v - 0.5) * 0.22;
  if (v > 0.22 && edge >= 0 && edge < 0.034) return [kit.jacket, band];
  if (v < 0.13 && Math.abs(u + 0.03 + (0.13 - v) * 0.1) < 0.007) return [kit.jacket, 0.7];
  return [kit.jacket, 1];
};

const surface = (material: number, kit: Kit, u: number, v: number, w: number): readonly [Colour, number] => {
  const kind = material & ~1;
  switch (kind) {
    case MATERIAL.jacket:
      return [kit.jacket, 1];
    case MATERIAL.skin:
      return [kit.skin, 1];
    case MATERIAL.belt:
      return [kit.belt, 1];
    case MATERIAL.sleeve:
      return [kit.jacket, u > 0.88 && u < 0.93 ? 0.78 : 1];
    case MATERIAL.leg:
      return [kit.trouser, u > 0.9 && u < 0.95 ? 0.8 : 1];
    case MATERIAL.torso:
      return torsoColour(kit, u, v, w);
    case MATERIAL.head:
      return [w > 0.52 || (v < 0.05 && w > -0.45) || (v < 0.35 && w > 0.2) ? kit.hair : kit.skin, 1];
    case MATERIAL.trouser:
      return [kit.trouser, 1];
    default:
      return [[28, 22, 20], 1];
  }
};

/** Draws two bodies on a mat in plain software: z-buffer, interpolated normals, soft shadow, outlines between parts. */
export class Picture {
  readonly rgb: Uint8ClampedArray;
  private readonly depth: Float32Array;
  private readonly part: Uint8Array;
  private readonly mesh = new Mesh();
  private readonly shadow = new Shadow();
  private readonly groundX: Float32Array;
  private readonly groundY: Float32Array;
  private readonly room: Uint8ClampedArray;
  private roomOf = '';

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    const n = width * height;
    this.rgb = new Uint8ClampedArray(n * 3);
    this.room = new Uint8ClampedArray(n * 3);
    this.depth = new Float32Array(n);
    this.part = new Uint8Array(n);
    this.groundX = new Float32Array(n);
    this.groundY = new Float32Array(n);
  }

  draw(pair: Pair, cam: Camera, kits: Kits): void {
    this.mesh.clear();
    addBody(this.mesh, pair[0], 0);
    addBody(this.mesh, pair[1], 1);
    this.shadow.cast(pair);
    this.drawRoom(cam);
    this.drawBodies(cam, kits);
    this.drawOutlines();
  }

  private drawRoom(cam: Camera): void {
    const { width: W, height: H } = this;
    const key = JSON.stringify([cam.eye, cam.forward]);
    const scale = H / 2 / cam.halfTan;
    if (key !== this.roomOf) {
      this.roomOf = key;
      for (let y = 0; y < H; y++)
        for (let x = 0; x < W; x++) {
          const a = (x + 0.5 - W / 2) / scale,
            b = -(y + 0.5 - H / 2) / scale,
            q = y * W + x;
          const dz = cam.forward[2] + cam.right[2] * a + cam.up[2] * b;
          const t = -cam.eye[2] / dz;
          const ground = dz < -1e-3;
          const gx = cam.eye[0] + (cam.forward[0] + cam.right[0] * a + cam.up[0] * b) * t;
          const gy = cam.eye[1] + (cam.forward[1] + cam.right[1] * a + cam.up[1] * b) * t;
          this.groundX[q] = ground ? gx : 99;
          this.groundY[q] = gy;
          this.room.set(roomColour(gx, gy, ground, dz), q * 3);
        }
    }
    this.rgb.set(this.room);
    for (let q = 0; q < W * H; q++) {
      if (Math.abs(this.groundX[q]!) > 2.9 || Math.abs(this.groundY[q]!) > 2.9) continue;
      const k = 1 - this.shadow.at(this.groundX[q]!, this.groundY[q]!);
      if (k < 1) for (let c = 0; c < 3; c++) this.rgb[q * 3 + c] = this.rgb[q * 3 + c]! * k;
    }
  }

  private drawBodies(cam: Camera, kits: Kits): void {
    const { width: W, height: H, mesh, depth, part } = this;
    depth.fill(0);
    part.fill(0);
    const scale = H / 2 / cam.halfTan;
    const n = mesh.vertices;
    const px = new Float32Array(n),
      py = new Float32Array(n),
      pz = new Float32Array(n);
    for (let i = 0; i < n; i++) {
      const x = mesh.at[i * 3]! - cam.eye[0],
        y = mesh.at[i * 3 + 1]! - cam.eye[1],
        z = mesh.at[i * 3 + 2]! - cam.eye[2];
      const ahead = x * cam.forward[0] + y * cam.forward[1] + z * cam.forward[2];
      pz[i] = 1 / ahead;
      px[i] = W / 2 + ((x * cam.right[0] + y * cam.right[1] + z * cam.right[2]) / ahead) * scale;
      py[i] = H / 2 - ((x * cam.up[0] + y * cam.up[1] + z * cam.up[2]) / ahead) * scale;
    }
    const light = unit(add(add([0, 0, 0.8], mul(cam.forward, -0.42)), mul(cam.right, -0.38)));
    const N = mesh.normal,
      U = mesh.uv;
    for (let t = 0; t < mesh.triangles; t++) {
      const a = mesh.corner[t * 3]!,
        b = mesh.corner[t * 3 + 1]!,
        c = mesh.corner[t * 3 + 2]!;
      const [x0, y0, x1, y1, x2, y2] = [px[a]!, py[a]!, px[b]!, py[b]!, px[c]!, py[c]!];
      const area = (x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0);
      if (area >= -1e-6 || pz[a]! < 0 || pz[b]! < 0 || pz[c]! < 0) continue;
      const minX = Math.max(0, Math.ceil(Math.min(x0, x1, x2) - 0.5)),
        maxX = Math.min(W - 1, Math.floor(Math.max(x0, x1, x2) - 0.5));
      const minY = Math.max(0, Math.ceil(Math.min(y0, y1, y2) - 0.5)),
        maxY = Math.min(H - 1, Math.floor(Math.max(y0, y1, y2) - 0.5));
      const material = mesh.material[t]!,
        id = mesh.part[t]!,
        kit = kits[material & 1]!;
      for (let y = minY; y <= maxY; y++)
        for (let x = minX; x <= maxX; x++) {
          const w1 = ((x + 0.5 - x0) * (y2 - y0) - (x2 - x0) * (y + 0.5 - y0)) / area;
          const w2 = ((x1 - x0) * (y + 0.5 - y0) - (x + 0.5 - x0) * (y1 - y0)) / area;
          const w0 = 1 - w1 - w2;
          if (w0 < 0 || w1 < 0 || w2 < 0) continue;
          const q = y * W + x,
            z = pz[a]! * w0 + pz[b]! * w1 + pz[c]! * w2;
          if (z <= depth[q]!) continue;
          depth[q] = z;
          part[q] = id;
          const mix = (from: Float32Array, d: number): number =>
            from[a * 3 + d]! * w0 + from[b * 3 + d]! * w1 + from[c * 3 + d]! * w2;
          let nx = mix(N, 0),
            ny = mix(N, 1),
            nz = mix(N, 2);
          const size = 1 / (Math.sqrt(nx * nx + ny * ny + nz * nz) || 1);
          nx *= size;
          ny *= size;
          nz *= size;
          const [colour, factor] = surface(material, kit, mix(U, 0), mix(U, 1), mix(U, 2));
          const lit = Math.max(0, (nx * light[0] + ny * light[1] + nz * light[2]) * 0.85 + 0.15);
          const facing = Math.max(0, -(nx * cam.forward[0] + ny * cam.forward[1] + nz * cam.forward[2]));
          const k = (0.36 + 0.2 * (0.5 + 0.5 * nz) + 0.52 * lit) * (0.8 + 0.2 * facing) * factor;
          this.rgb[q * 3] = colour[0] * k;
          this.rgb[q * 3 + 1] = colour[1] * k;
          this.rgb[q * 3 + 2] = colour[2] * k;
        }
    }
  }

  /** Dark lines where one part lies before another: they keep entangled limbs readable. */
  private drawOutlines(): void {
    const { width: W, height: H, part, depth, rgb } = this;
    for (let y = 0; y < H - 1; y++)
      for (let x = 0; x < W - 1; x++) {
        const q = y * W + x;
        for (const r of [q + 1, q + W]) {
          const a = part[q]!,
            b = part[r]!;
          if (a === b) continue;
          const za = depth[q] ? 1 / depth[q] : 99,
            zb = depth[r] ? 1 / depth[r] : 99;
          const sameBody = a > 0 && b > 0 && a > 40 === b > 40;
          const k = Math.abs(za - zb) > 0.03 ? (sameBody ? 0.55 : 0.45) : sameBody ? 0 : 0.6;
          if (!k) continue;
          const o = (za < zb ? q : r) * 3;
          for (let c = 0; c < 3; c++) rgb[o + c] = rgb[o + c]! * k;
        }
      }
  }

  /** The picture at half the size, each pixel the mean of four. */
  halved(): Uint8ClampedArray {
    const w = this.width >> 1,
      h = this.height >> 1,
      W = this.width;
    const out = new Uint8ClampedArray(w * h * 3);
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++)
        for (let c = 0; c < 3; c++) {
          const i = (2 * y * W + 2 * x) * 3 + c;
          out[(y * w + x) * 3 + c] =
            (this.rgb[i]! + this.rgb[i + 3]! + this.rgb[i + W * 3]! + this.rgb[i + W * 3 + 3]! + 2) >> 2;
        }
    return out;
  }
}
