import type { Pair } from '../bodies/skeleton.js';
import { add, cross, dot, lerp, mul, sub, unit, type Vec } from '../bodies/vector.js';

/** A camera on a tripod: azimuth and elevation in degrees round `target`, distance in metres, vertical field of view in degrees. */
export type Shot = { readonly azDeg: number; readonly elDeg: number; readonly target: Vec; readonly distanceM: number };

export type Camera = {
  readonly eye: Vec;
  readonly forward: Vec;
  readonly right: Vec;
  readonly up: Vec;
  readonly halfTan: number;
};

const FOV_DEG = 32;

export const cameraOf = (shot: Shot): Camera => {
  const az = (shot.azDeg * Math.PI) / 180,
    el = (shot.elDeg * Math.PI) / 180;
  const eye = add(
    shot.target,
    mul([Math.cos(el) * Math.cos(az), Math.cos(el) * Math.sin(az), Math.sin(el)], shot.distanceM),
  );
  const forward = unit(sub(shot.target, eye));
  const right = unit(cross(forward, [0, 0, 1]));
  return { eye, forward, right, up: cross(right, forward), halfTan: Math.tan((FOV_DEG * Math.PI) / 360) };
};

/** The shot from a given side in which both bodies fill the picture, with `margin` around them. */
export const frameBodies = (pair: Pair, azDeg: number, elDeg: number, aspect: number, margin: number): Shot => {
  const all = [...pair[0], ...pair[1]];
  const bound = (d: 0 | 1 | 2, pick: (...xs: number[]) => number): number => pick(...all.map((p) => p[d]));
  let target = lerp(
    [bound(0, Math.min), bound(1, Math.min), bound(2, Math.min)],
    [bound(0, Math.max), bound(1, Math.max), bound(2, Math.max)],
    0.5,
  );
  let distanceM = 2;
  for (let round = 0; round < 6; round++) {
    const cam = cameraOf({ azDeg, elDeg, target, distanceM });
    let [x0, x1, y0, y1] = [9, -9, 9, -9];
    for (const p of all) {
      const d = sub(p, cam.eye);
      const z = dot(d, cam.forward);
      const x = dot(d, cam.right) / z / cam.halfTan / aspect,
        y = dot(d, cam.up) / z / cam.halfTan,
        m = 0.15 / z / cam.halfTan;
      x0 = Math.min(x0, x - m / aspect);
      x1 = Math.max(x1, x + m / aspect);
      y0 = Math.min(y0, y - m);
      y1 = Math.max(y1, y + m);
    }
    target = add(
      target,
      add(
        mul(cam.right, ((x0 + x1) / 2) * cam.halfTan * aspect * distanceM),
        mul(cam.up, ((y0 + y1) / 2) * cam.halfTan * distanceM),
      ),
    );
    distanceM *= (Math.max(x1 - x0, y1 - y0) / 2) * margin;
  }
  return { azDeg, elDeg, target, distanceM };
};
