import { readFileSync } from 'node:fs';
import type { Body, Pair } from './skeleton.js';
import { JOINT } from './skeleton.js';

type PoseData = {
  readonly name: string;
  readonly A: Body;
  readonly B: Body;
  readonly camera: { readonly az: number; readonly el: number };
};

const file = new URL('../../data/poses.json', import.meta.url);
const data = JSON.parse(readFileSync(file, 'utf8')) as { readonly poses: readonly PoseData[] };

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
  const found = data.poses.find((p) => p.name === use.pose);
  if (!found) throw new Error(`no pose called ${use.pose}`);
  const pair: Pair = use.mirror ? [mirrorBody(found.A), mirrorBody(found.B)] : [found.A, found.B];
  return use.swap ? [pair[1], pair[0]] : pair;
};
