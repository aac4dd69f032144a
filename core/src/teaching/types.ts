import type { Drill } from './drill.js';
import type { AgeGroup, Level } from './policy.js';

/** What a step of a route shows: a line of the map, a place to hold, a grip to win, something to look at, something to say, a drill. */
export const STEP_KINDS = ['line', 'place', 'hold', 'look', 'talk', 'drill'] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** How much hangs on a cue: it has to be, it usually is, it is somebody's habit. */
export const CUE_WEIGHTS = ['required', 'usual', 'habit'] as const;
export type CueWeight = (typeof CUE_WEIGHTS)[number];
export type Cue = { readonly text: string; readonly weight: CueWeight };

/** What a clip is there for beside the best one. */
export const CLIP_ROLES = ['second', 'slow', 'failure', 'without cloth'] as const;
export type ClipRole = (typeof CLIP_ROLES)[number];
export type RoleClip = { readonly role: ClipRole; readonly clipId: string };

/**
 * A step of a kept route. Of a line `from`, `action` and `to` are said; of anything else `title` is, and `from` where it is at some place. The best clip is
 * `clipId`; null = the most telling one of its line. `cue` is what is read from across the mat: it is always required.
 */
export type RouteStep = {
  readonly id: string;
  readonly kind: StepKind;
  /** The branch it stands in; null = on the main line. */ readonly branch: string | null;
  readonly from: string | null;
  readonly action: string | null;
  readonly to: string | null;
  readonly title: string;
  readonly clipId: string | null;
  /** At most one of each role. */ readonly clips: readonly RoleClip[];
  readonly cue: string;
  readonly cues: readonly Cue[];
  readonly mistake: string;
  /** What has to be so where it begins, each in a few words. */ readonly checks: readonly string[];
  readonly question: string;
  readonly note: string;
  readonly drill: Drill | null;
  /** Minutes set by hand, in seconds; null = as they are worked out. */ readonly seconds: number | null;
  readonly isMirrored: boolean;
};

/** On what a branch is taken: the other side's reaction, or a choice in words. */
export type BranchOn =
  { readonly kind: 'reaction'; readonly reaction: string } | { readonly kind: 'choice'; readonly text: string };

/**
 * A way that leaves a step when the other side does something. Its own steps are those that name it, in their order; then it ends (`joins` null), or goes on
 * at a step elsewhere: one of another way, or an earlier one of its own, to which it leads back. One without steps leads straight there.
 */
export type RouteBranch = {
  readonly id: string;
  readonly from: string;
  readonly on: BranchOn;
  readonly joins: string | null;
};

/** A route that is kept and taught: its main line is the steps of no branch, in their order. */
export type KeptRoute = {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly steps: readonly RouteStep[];
  readonly branches: readonly RouteBranch[];
  /** For whom it is; null = nobody said, which counts as the lowest. */ readonly forLevel: Level | null;
  readonly forAge: AgeGroup | null;
};
/** What nobody said of a route. */
export const BARE_ROUTE = { branches: [], forLevel: null, forAge: null } as const satisfies Partial<KeptRoute>;
/** How a route runs, without its name. */
export type RouteShape = Pick<KeptRoute, 'steps' | 'branches'>;

/** A step that says a line of the map. */
export type LineStep = RouteStep & { readonly from: string; readonly action: string; readonly to: string };
export const isLineStep = (step: RouteStep): step is LineStep =>
  step.kind === 'line' && step.from !== null && step.action !== null && step.to !== null;

/** What nobody said of a step. */
export const BARE_STEP = {
  ...{ kind: 'line', branch: null, from: null, action: null, to: null, title: '', clipId: null, clips: [] },
  ...{
    cue: '',
    cues: [],
    mistake: '',
    checks: [],
    question: '',
    note: '',
    drill: null,
    seconds: null,
    isMirrored: false,
  },
} as const satisfies Omit<RouteStep, 'id'>;
