import { align, alive, duringMovement, movement, type Movement } from '../bodies/motion.js';
import { poseOf, type PoseUse } from '../bodies/poses.js';
import type { Pair } from '../bodies/skeleton.js';
import type { Kits } from '../picture/raster.js';

/** One place of a bout: a pose that is held, after the way to it. Seconds. `pace` stretches the way (1 = as fast as bodies can). */
export type Beat = PoseUse & { readonly holdS: number; readonly pace?: number; readonly cut?: boolean };

/** One attempt as the script tells it; instants are `[index of beat, part of the way to it (0–1), or 'held']`. */
export type Said = {
  readonly subject: 'a' | 'b';
  readonly from: readonly [position: string, role: string];
  readonly action: string;
  readonly finish:
    { readonly state: readonly [string, string] } | { readonly submission: string; readonly won: boolean };
  readonly result: 'success' | 'partial' | 'failed' | 'abandoned';
  readonly depth?: 0 | 1 | 2 | 3 | 4;
  readonly grips?: readonly string[];
  readonly theirGrips?: readonly string[];
  readonly reactions?: readonly string[];
  readonly reasons?: readonly string[];
  /** Beat in which it begins and beat in whose pose it ends. */
  readonly beats: readonly [number, number];
  readonly note?: string;
};

export type Bout = {
  readonly id: string;
  readonly title: string;
  readonly date: string;
  readonly setting: 'competition' | 'training' | 'demonstration';
  readonly gi: boolean;
  readonly athletes: readonly [string, string];
  readonly kitNames: readonly [string, string];
  readonly kits: Kits;
  /** Frames a second that are drawn; a variable-rate piece leaves some of them out. */
  readonly rate: number;
  readonly variable: boolean;
  /** Whoever films walks: azimuth in degrees at instants in seconds, straight between them; elevation in degrees. */
  readonly camera: { readonly walk: readonly (readonly [atS: number, azDeg: number])[]; readonly elDeg: number };
  readonly clockStartS: number;
  readonly beats: readonly Beat[];
  readonly said: readonly Said[];
};

/** A bout with its movements solved: when each beat is reached and left, in seconds, and the bodies at any instant. */
export type Staged = {
  readonly durationS: number;
  /** Instants at which the way to the beat begins, the pose is reached, and it is left. */
  readonly times: readonly { readonly leaveS: number; readonly reachS: number; readonly endS: number }[];
  bodiesAt(atS: number): Pair;
};

export const stage = (bout: Bout): Staged => {
  const times: { leaveS: number; reachS: number; endS: number }[] = [];
  const ways: (Movement | undefined)[] = [];
  const poses: Pair[] = [];
  let clock = 0;
  bout.beats.forEach((beat, i) => {
    const before = poses[i - 1];
    const pose = before ? align(before, poseOf(beat)) : poseOf(beat);
    const way = before && !beat.cut ? movement(before, pose) : undefined;
    const travel = way ? way.seconds * (beat.pace ?? 1) : 0;
    times.push({ leaveS: clock, reachS: clock + travel, endS: clock + travel + beat.holdS });
    clock += travel + beat.holdS;
    poses.push(pose);
    ways.push(way);
  });
  const bodiesAt = (atS: number): Pair => {
    const i = Math.max(
      0,
      times.findIndex((t) => atS < t.endS),
    );
    const index = atS >= clock ? times.length - 1 : i;
    const t = times[index]!;
    const way = ways[index];
    const pair = way && atS < t.reachS ? duringMovement(way, (atS - t.leaveS) / (t.reachS - t.leaveS)) : poses[index]!;
    return alive(pair, atS);
  };
  return { durationS: clock, times, bodiesAt };
};
