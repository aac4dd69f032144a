import { readFileSync } from 'node:fs';
import type { Body, Pair } from './skeleton.js';
import { JOINT, joint, pelvisFront } from './skeleton.js';
import { SKETCHES, type LapelSketch } from './sketches.js';
import { add, cross, lerp, mul, sub, unit, type Vec } from './vector.js';

type PoseData = { readonly name: string; readonly A: Body; readonly B: Body };

const dataOf = (name: string): readonly PoseData[] =>
  (
    JSON.parse(readFileSync(new URL(`../../data/${name}`, import.meta.url), 'utf8')) as {
      readonly poses: readonly PoseData[];
    }
  ).poses;
/** The poses of the pose data, and those solved from sketches. */
const poses = new Map([...dataOf('poses.json'), ...dataOf('solved.json')].map((pose) => [pose.name, pose]));

/** Which pose, and how it is laid: `swap` gives athlete b the part that the pose's name describes, `mirror` turns left into right. */
export type PoseUse = { readonly pose: string; readonly swap?: boolean; readonly mirror?: boolean };

const mirrorBody = (body: Body): Body => {
  const turned = body.map((p) => [p[0], -p[1], p[2]] as const);
  const out = turned.slice();
  for (const [name, index] of Object.entries(JOINT))
    if (name.startsWith('left_')) {
      const other = JOINT[name.replace('left_', 'right_') as keyof typeof JOINT];
      out[index] = turned[other]!;
      out[other] = turned[index]!;
    }
  return out;
};

/** The two bodies of a pose, athlete a first, in metres around the origin. Throws on an unknown name. */
export const poseOf = (use: PoseUse): Pair => {
  const found = poses.get(use.pose);
  if (!found) throw new Error(`no pose called ${use.pose}`);
  const pair: Pair = use.mirror ? [mirrorBody(found.A), mirrorBody(found.B)] : [found.A, found.B];
  return use.swap ? [pair[1], pair[0]] : pair;
};

/** A lapel drawn out of somebody's jacket: whose it is, and where it runs on two bodies, in metres. */
export type LapelPath = { readonly owner: 0 | 1; on(pair: Pair): readonly Vec[] };

const lapels = new Map(SKETCHES.flatMap((s) => (s.lapel ? [[s.name, s.lapel] as const] : [])));

const runs = (lapel: LapelSketch, use: PoseUse, pair: Pair): readonly Vec[] =>
  lapel.path.map(({ of, from, to, share, off }) => {
    const body = pair[use.swap ? ((1 - of) as 0 | 1) : of];
    const named = (name: string): Vec =>
      joint(
        body,
        (use.mirror
          ? name.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left'))
          : name) as keyof typeof JOINT,
      );
    const front = pelvisFront(body);
    const up = unit(sub(joint(body, 'chest'), joint(body, 'pelvis')));
    const left = mul(cross(up, front), use.mirror ? -1 : 1);
    const at = lerp(named(from), named(to), share);
    return add(at, add(add(mul(front, off[0]), mul(left, off[1])), mul(up, off[2])));
  });

/** Lapels that a pose has drawn out; most have none. */
export const lapelOf = (use: PoseUse): readonly LapelPath[] => {
  const lapel = lapels.get(use.pose);
  if (!lapel) return [];
  const owner = (use.swap ? 1 - lapel.owner : lapel.owner) as 0 | 1;
  return [{ owner, on: (pair) => runs(lapel, use, pair) }];
};
