import type { Pair } from '../bodies/skeleton.js';
import { add, mul, unit, type Vec } from '../bodies/vector.js';
import type { Camera } from './camera.js';
import { MATERIAL, Mesh, addBody, addLapel, type Wear } from './mesh.js';
import { Shadow, writeRoom, type Colour } from './room.js';

const { abs, ceil, floor, max, min, sqrt } = Math;

/** Clothes and looks. Without a jacket, `jacket` is the shirt, `trouser` the shorts, `belt` the stripes on both. */
export type Kit = {
  readonly wear: Wear;
  readonly jacket: Colour;
  readonly trouser: Colour;
  readonly belt: Colour;
  readonly hair: Colour;
  readonly skin: Colour;
};
export type Kits = readonly [Kit, Kit];

/** How the lapel stands out from the jacket: darker on a light one, lighter on a dark one. */
const bandShade = (kit: Kit): number => (kit.jacket[0] + kit.jacket[1] + kit.jacket[2] > 420 ? 0.8 : 1.32);

/** Colour and shade factor of a point of the jacket by place: u sideways (m), v along the spine, w > 0 in front. */
const torsoColour = (kit: Kit, u: number, v: number, w: number): readonly [Colour, number] => {
  const band = bandShade(kit);
  if (v > 0.13 && v < 0.22) return [kit.belt, 1];
  if (w <= 0) return [kit.jacket, v > 0.22 && abs(u) < 0.006 ? 0.86 : v > 0.93 ? band : 1];
  const open = v > 0.5 ? (v - 0.5) * 0.15 : -1;
  if (open > 0 && abs(u) < open) return [kit.skin, 1];
  const edge = v > 0.5 ? abs(u) - open : u - (v - 0.5) * 0.22;
  if (v > 0.22 && edge >= 0 && edge < 0.034) return [kit.jacket, band];
  if (v < 0.13 && abs(u + 0.03 + (0.13 - v) * 0.1) < 0.007) return [kit.jacket, 0.7];
  return [kit.jacket, 1];
};

/** Colour of a point of a close shirt: waistband of the shorts, stripe down the sides, neckline. */
const shirtColour = (kit: Kit, u: number, v: number, w: number): readonly [Colour, number] => {
  if (v < 0.1) return [kit.trouser, 1];
  if (v < 0.15) return [kit.belt, 1];
  if (v > 0.965) return [kit.skin, 1];
  if (v > 0.93) return [kit.belt, 1];
  return abs(w) < 0.3 && abs(u) > 0.1 ? [kit.belt, 1] : [kit.jacket, 1];
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
    case MATERIAL.lapel:
      return [kit.jacket, bandShade(kit) * 1.1];
    case MATERIAL.shirt:
      return shirtColour(kit, u, v, w);
    case MATERIAL.shirtSleeve:
      return u > 0.62 ? [kit.skin, 1] : u > 0.55 ? [kit.belt, 1] : [kit.jacket, 1];
    case MATERIAL.shortLeg:
      return u > 0.92 ? [kit.belt, 1] : [kit.trouser, 1];
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

  draw(
    pair: Pair,
    cam: Camera,
    kits: Kits,
    lapels: readonly { readonly owner: 0 | 1; readonly path: readonly Vec[] }[] = [],
  ): void {
    this.mesh.clear();
    addBody(this.mesh, pair[0], 0, kits[0].wear);
    addBody(this.mesh, pair[1], 1, kits[1].wear);
    for (const { owner, path } of lapels) addLapel(this.mesh, owner, path);
    this.shadow.cast(pair);
    this.drawRoom(cam);
    this.drawBodies(cam, kits);
    this.drawOutlines();
  }

  private drawRoom(cam: Camera): void {
    const { width: W, height: H, room, rgb, groundX, groundY, shadow } = this;
    const key = JSON.stringify([cam.eye, cam.forward]);
    const scale = H / 2 / cam.halfTan;
    if (key !== this.roomOf) {
      this.roomOf = key;
      const [ex, ey, ez] = cam.eye;
      const [fx, fy, fz] = cam.forward;
      const [rx, ry, rz] = cam.right;
      const [ux, uy, uz] = cam.up;
      for (let y = 0; y < H; y++) {
        const b = -(y + 0.5 - H / 2) / scale;
        const [bx, by, bz] = [fx + ux * b, fy + uy * b, fz + uz * b];
        for (let x = 0; x < W; x++) {
          const a = (x + 0.5 - W / 2) / scale,
            q = y * W + x;
          const dz = bz + rz * a;
          const t = -ez / dz;
          const ground = dz < -1e-3;
          const gx = ex + (bx + rx * a) * t;
          const gy = ey + (by + ry * a) * t;
          groundX[q] = ground ? gx : 99;
          groundY[q] = gy;
          writeRoom(room, q * 3, gx, gy, ground, dz);
        }
      }
    }
    rgb.set(room);
    const n = W * H;
    for (let q = 0; q < n; q++) {
      const gx = groundX[q]!,
        gy = groundY[q]!;
      if (gx > 2.9 || gx < -2.9 || gy > 2.9 || gy < -2.9) continue;
      const k = 1 - shadow.at(gx, gy);
      if (k === 1) continue;
      const o = q * 3;
      rgb[o] = rgb[o]! * k;
      rgb[o + 1] = rgb[o + 1]! * k;
      rgb[o + 2] = rgb[o + 2]! * k;
    }
  }

  /** Where each vertex lies in the picture, in pixels, and how near it is: one over metres ahead. */
  private projected(cam: Camera): { readonly px: Float32Array; readonly py: Float32Array; readonly pz: Float32Array } {
    const { width: W, height: H, mesh } = this;
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
    return { px, py, pz };
  }

  private drawBodies(cam: Camera, kits: Kits): void {
    const { width: W, height: H, mesh, depth, part } = this;
    depth.fill(0);
    part.fill(0);
    const { px, py, pz } = this.projected(cam);
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
      const minX = max(0, ceil(min(x0, x1, x2) - 0.5)),
        maxX = min(W - 1, floor(max(x0, x1, x2) - 0.5));
      const minY = max(0, ceil(min(y0, y1, y2) - 0.5)),
        maxY = min(H - 1, floor(max(y0, y1, y2) - 0.5));
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
          const size = 1 / (sqrt(nx * nx + ny * ny + nz * nz) || 1);
          nx *= size;
          ny *= size;
          nz *= size;
          const [colour, factor] = surface(material, kit, mix(U, 0), mix(U, 1), mix(U, 2));
          const lit = max(0, (nx * light[0] + ny * light[1] + nz * light[2]) * 0.85 + 0.15);
          const facing = max(0, -(nx * cam.forward[0] + ny * cam.forward[1] + nz * cam.forward[2]));
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
          const k = abs(za - zb) > 0.03 ? (sameBody ? 0.55 : 0.45) : sameBody ? 0 : 0.6;
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
