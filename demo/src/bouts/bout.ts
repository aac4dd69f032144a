import { align, alive, duringMovement, movement, type Movement } from '../bodies/motion.js';
import { lapelOf, poseOf, type LapelPath, type PoseUse } from '../bodies/poses.js';
import type { Pair } from '../bodies/skeleton.js';
import type { Athlete } from './people.js';

/** One place of a bout: a pose that is held, after the way to it. Seconds. `pace` stretches the way (1 = as fast as bodies can). */
export type Beat = PoseUse & { readonly holdS: number; readonly pace?: number; readonly cut?: boolean };

/** One attempt as the script tells it. */
export type Said = {
  readonly subject: 'a' | 'b';
  readonly from: readonly [position: string, role: string];
  readonly action: string;
  readonly finish:
    | { readonly state: readonly [string, string] }
    | { readonly submission: string; readonly won: boolean }
    | { readonly reset: 'edge' | 'time' | 'stand-up'; readonly restart: readonly [string, string] };
  readonly result: 'success' | 'partial' | 'failed' | 'abandoned' | 'shown';
  readonly lead?: 'left' | 'right';
  readonly depth?: 0 | 1 | 2 | 3 | 4;
  readonly bait?: true;
  readonly mistake?: true;
  /** A further try at what an earlier attempt of the bout (by its place in the list) began: second, third … */
  readonly again?: { readonly of: number; readonly series: number };
  readonly grips?: readonly string[];
  readonly reactions?: readonly string[];
  /** The other side's answer was an attack itself: the last reaction, named by its action. */
  readonly attack?: string;
  readonly reasons?: readonly string[];
  /** Beat in which it begins and beat in whose pose it ends. */
  readonly beats: readonly [number, number];
  /** Seconds by which it begins and ends later than its beats say. */
  readonly laterS?: readonly [number, number];
  /** Further cameras from which a clip of it is cut, by their place in the list. */
  readonly looks?: readonly number[];
  readonly note?: string;
};

/** Somebody who films the bout, with a clock of their own. */
export type Filming = {
  /** Name of the file, without its ending. */
  readonly file: string;
  /** Ticks of 1/90000 s from one drawn frame to the next; a variable-rate piece leaves some frames out. */
  readonly frameTicks: 3600 | 3003 | 3000 | 1500;
  readonly variable: boolean;
  /** Whoever films walks: azimuth in degrees at instants in seconds, straight between them; elevation in degrees. */
  readonly walk: readonly (readonly [atS: number, azDeg: number])[];
  readonly elDeg: number;
  /** Second of the scene at which this camera starts, and by how many millionths its clock runs fast. */
  readonly startS: number;
  readonly fastPpm: number;
  /** Whether the match clock is laid into the picture. */
  readonly showsClock: boolean;
  /** How loud the hall and the microphone's own noise are (0–1); null = films without sound. */
  readonly sound: { readonly hall: number; readonly noise: number } | null;
};

export type Bout = {
  readonly id: string;
  readonly title: string;
  readonly date: string;
  readonly setting: 'competition' | 'training' | 'demonstration';
  readonly logged: 'throughout' | 'picked';
  readonly gi: boolean;
  readonly athletes: readonly [Athlete, Athlete];
  /** The first is the one whose frames the attempts are told in. */
  readonly cameras: readonly [Filming, ...Filming[]];
  readonly clockStartS: number;
  /** Whistles, and when somebody talks: from, to. Seconds of the scene. */
  readonly heard?: {
    readonly whistles: readonly number[];
    readonly voices: readonly (readonly [number, number])[];
  };
  readonly beats: readonly Beat[];
  readonly said: readonly Said[];
};

/** A single camera that films from the beginning, at a constant rate, by the scene's own clock, without a match clock or sound, unless more is said. */
export const filming = (of: Pick<Filming, 'file' | 'frameTicks' | 'walk' | 'elDeg'> & Partial<Filming>): Filming => ({
  variable: false,
  startS: 0,
  fastPpm: 0,
  showsClock: false,
  sound: null,
  ...of,
});

/** A bout with its movements solved: when each beat is reached and left, in seconds, and the bodies at any instant. */
export type Staged = {
  readonly durationS: number;
  /** Instants at which the way to the beat begins, the pose is reached, and it is left. */
  readonly times: readonly { readonly leaveS: number; readonly reachS: number; readonly endS: number }[];
  bodiesAt(atS: number): Pair;
  /** Lapels that are drawn out of a jacket at an instant: those of the pose that is nearest. */
  lapelsAt(atS: number): readonly LapelPath[];
};

export const stage = (bout: Bout): Staged => {
  const times: { leaveS: number; reachS: number; endS: number }[] = [];
  const ways: (Movement | undefined)[] = [];
  const poses: Pair[] = [];
  let clock = 0;
  bout.beats.forEach((beat, i) => {
    const before = poses[i - 1];
    const pose = before && !beat.cut ? align(before, poseOf(beat)) : poseOf(beat);
    const way = before && !beat.cut ? movement(before, pose) : undefined;
    const travel = way ? way.seconds * (beat.pace ?? 1) : 0;
    times.push({ leaveS: clock, reachS: clock + travel, endS: clock + travel + beat.holdS });
    clock += travel + beat.holdS;
    poses.push(pose);
    ways.push(way);
  });
  const beatAt = (atS: number): number => {
    const found = times.findIndex((t) => atS < t.endS);
    return found < 0 ? times.length - 1 : found;
  };
  const bodiesAt = (atS: number): Pair => {
    const index = beatAt(atS);
    const t = times[index]!;
    const way = ways[index];
    const pair = way && atS < t.reachS ? duringMovement(way, (atS - t.leaveS) / (t.reachS - t.leaveS)) : poses[index]!;
    return alive(pair, atS);
  };
  const lapelsAt = (atS: number): readonly LapelPath[] => {
    const index = beatAt(atS);
    const { leaveS, reachS } = times[index]!;
    const from = bout.beats[atS < (leaveS + reachS) / 2 ? Math.max(0, index - 1) : index]!;
    return lapelOf(from);
  };
  return { durationS: clock, times, bodiesAt, lapelsAt };
};
