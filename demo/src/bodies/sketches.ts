import { readFileSync } from 'node:fs';
import type { PoseSketch } from './authoring.js';
import type { Joint } from './skeleton.js';
import type { Vec } from './vector.js';

/** A place that a lapel runs past: part of the way between two joints of body 0 or 1, moved (front, left, up) in metres as its hips see it. */
type LapelPlace = {
  readonly of: 0 | 1;
  readonly from: Joint;
  readonly to: Joint;
  readonly share: number;
  readonly off: Vec;
};
/** A lapel that is drawn out in a pose, from the jacket of `owner` to the hand that holds its end. */
export type LapelSketch = { readonly owner: 0 | 1; readonly path: readonly LapelPlace[] };
export type Sketch = PoseSketch & { readonly lapel?: LapelSketch };

/**
 * Poses beyond those of the pose data: leg entanglements, inverted and lapel guards, passes, submissions. Points in metres; somebody lying on the back
 * with the head to −x has the left side at +y. `a` is the one who is named first.
 */
export const SKETCHES = (
  JSON.parse(readFileSync(new URL('../../data/sketches.json', import.meta.url), 'utf8')) as {
    readonly sketches: readonly Sketch[];
  }
).sketches;
