import { CAPSULES, JOINT, type Blend, type Body, type Pair } from '../bodies/skeleton.js';
import { add, len, mul, sub, type Vec } from '../bodies/vector.js';

const { abs, ceil, exp, floor, max, min, round } = Math;

/** Red, green and blue, 0–255. */
export type Colour = readonly [number, number, number];

/** The flanks of a body, which no limb covers. */
const FLANKS: readonly { from: Blend; to: Blend; r0: number; r1: number }[] = [
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

/** Soft shadow on the mat: a grid over `SPAN` metres that keeps the strongest shade of every body part near the ground. */
export class Shadow {
  private static readonly cells = 160;
  private static readonly span = 6;
  private shade = new Float32Array(Shadow.cells ** 2);

  cast(pair: Pair): void {
    const n = Shadow.cells,
      cell = Shadow.span / n;
    const shade = new Float32Array(n * n);
    const pointOf = (body: Body, blend: Blend): Vec =>
      blend.reduce<Vec>((sum, [i, w]) => add(sum, mul(body[i]!, w)), [0, 0, 0]);
    for (const body of pair)
      for (const part of [...CAPSULES, ...FLANKS]) {
        const a = pointOf(body, part.from),
          b = pointOf(body, part.to);
        const steps = max(1, ceil(len(sub(a, b)) / 0.07));
        for (let k = 0; k <= steps; k++) {
          const t = k / steps;
          const radius = (part.r0 + (part.r1 - part.r0) * t) * 1.05;
          const [x, y, z0] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
          const z = max(0, z0 - radius);
          const reach = (radius * 1.1 + 0.025 + z * 0.22) / cell,
            strength = 0.72 * exp(-4.6 * z);
          const cx = x / cell + n / 2,
            cy = y / cell + n / 2;
          for (let gy = max(0, floor(cy - reach)); gy <= min(n - 1, ceil(cy + reach)); gy++)
            for (let gx = max(0, floor(cx - reach)); gx <= min(n - 1, ceil(cx + reach)); gx++) {
              const d2 = ((gx - cx) ** 2 + (gy - cy) ** 2) / (reach * reach);
              if (d2 >= 1) continue;
              const q = strength * (1 - d2) * (1 - d2 * 0.3),
                i = gy * n + gx;
              shade[i] = q > shade[i]! ? q : min(0.72, shade[i]! + q * 0.025);
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
    const ix = floor(fx),
      iy = floor(fy);
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

/** Writes the colour of the room in a direction at `o`: mat of 1 m tiles to 3 m, border to 4 m, floor, wall. */
export const writeRoom = (
  rgb: Uint8ClampedArray,
  o: number,
  gx: number,
  gy: number,
  onGround: boolean,
  dz: number,
): void => {
  let r = 0,
    g = 0,
    b = 0;
  if (!onGround) {
    const q = 40 * min(1, dz * 2.5);
    r = 150 + q;
    g = 155 + q;
    b = 162 + q;
  } else {
    const ax = abs(gx),
      ay = abs(gy);
    const m = ax > ay ? ax : ay;
    const sx = abs(gx - round(gx)),
      sy = abs(gy - round(gy));
    const seam = sx < sy ? sx : sy;
    if (m < 3) {
      const tile = TILES[(floor(gx + 10) + floor(gy + 10)) & 1 ? 0 : 1];
      const k = seam < 0.01 ? 1 - 0.22 * (1 - seam / 0.01) : 1;
      r = tile[0] * k;
      g = tile[1] * k;
      b = tile[2] * k;
    } else if (m < 4) {
      const k = seam < 0.008 ? 0.85 : 1;
      r = BORDER[0] * k;
      g = BORDER[1] * k;
      b = BORDER[2] * k;
    } else {
      const q = min(1, (m - 4) / 10);
      r = 92 + 34 * q;
      g = 94 + 38 * q;
      b = 98 + 42 * q;
    }
  }
  rgb[o] = r;
  rgb[o + 1] = g;
  rgb[o + 2] = b;
};
