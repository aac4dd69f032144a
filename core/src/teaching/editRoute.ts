import { waysOf, routeFaults, stepsOf } from './shape.js';
import type { RouteBranch, RouteShape, RouteStep } from './types.js';

/** What an edit makes of a route; undefined where a route cannot be so: it would run in a circle, or lose its start. */
type Edited = RouteShape | undefined;

const ifRuns = (shape: RouteShape): Edited => (routeFaults(shape).length ? undefined : shape);

/** A step put behind another one, on its line; null: at the start. */
export const stepPut = ({ steps, branches }: RouteShape, after: string | null, step: RouteStep): RouteShape => {
  const at = after === null ? -1 : steps.findIndex((s) => s.id === after);
  const branch = at < 0 ? null : steps[at]!.branch;
  return { steps: steps.toSpliced(at + 1, 0, { ...step, branch }), branches };
};

/** What goes with a step when it is taken out: branches that leave it, with their steps and what leaves those. */
export const goesWith = (shape: RouteShape, stepId: string): readonly RouteBranch[] => {
  const own = shape.branches.filter((b) => b.from === stepId);
  return own.flatMap((b) => [b, ...stepsOf(shape, b.id).flatMap((s) => goesWith(shape, s.id))]);
};

/**
 * A step taken out, with the branches that leave it. Ways that joined it join what came behind it on its line, or end; a branch that would lead nowhere then
 * goes, too.
 */
export const stepTaken = (shape: RouteShape, stepId: string): Edited => {
  const step = shape.steps.find((s) => s.id === stepId);
  if (!step) return undefined;
  const line = stepsOf(shape, step.branch);
  const own = shape.branches.find((b) => b.id === step.branch);
  const next = line[line.indexOf(step) + 1]?.id ?? own?.joins ?? null;
  const going = new Set(goesWith(shape, stepId).map((b) => b.id));
  const steps = shape.steps.filter((s) => s !== step && (s.branch === null || !going.has(s.branch)));
  const there = new Set(steps.map((s) => s.id));
  let branches = shape.branches
    .filter((b) => !going.has(b.id))
    .map((b) => (b.joins === stepId ? { ...b, joins: next } : b))
    .map((b) => (b.joins !== null && !there.has(b.joins) ? { ...b, joins: null } : b));
  branches = branches.filter((b) => b.joins !== null || steps.some((s) => s.branch === b.id));
  return ifRuns({ steps, branches });
};

/** A step moved behind another one (null: to the start), with what leaves it; its branches go along. */
export const stepMoved = (shape: RouteShape, stepId: string, after: string | null): Edited => {
  const step = shape.steps.find((s) => s.id === stepId);
  if (!step || after === stepId) return undefined;
  const without = { ...shape, steps: shape.steps.filter((s) => s !== step) };
  return ifRuns(stepPut(without, after, step));
};

/** A step moved along its line by so many places; undefined where it stands at the end of it. */
export const stepShifted = (shape: RouteShape, stepId: string, by: 1 | -1): Edited => {
  const step = shape.steps.find((s) => s.id === stepId);
  const line = step ? stepsOf(shape, step.branch) : [];
  const other = step && line[line.indexOf(step) + by];
  if (!step || !other) return undefined;
  const swap = (s: RouteStep): RouteStep => (s === step ? other : s === other ? step : s);
  return ifRuns({ ...shape, steps: shape.steps.map(swap) });
};

/** A branch that leaves a step, with its first step, or straight to where it joins. */
export const branchPut = (shape: RouteShape, branch: RouteBranch, first: RouteStep | null): Edited =>
  ifRuns({
    steps: first ? [...shape.steps, { ...first, branch: branch.id }] : shape.steps,
    branches: [...shape.branches, branch],
  });

/** Where a branch goes on: at a step elsewhere, or nowhere. */
export const branchJoined = (shape: RouteShape, id: string, joins: string | null): Edited =>
  ifRuns({ ...shape, branches: shape.branches.map((b) => (b.id === id ? { ...b, joins } : b)) });

/** A branch cut off, with its steps and what leaves them. */
export const branchCut = (shape: RouteShape, id: string): Edited => {
  const branch = shape.branches.find((b) => b.id === id);
  if (!branch) return undefined;
  const going = new Set([id, ...stepsOf(shape, id).flatMap((s) => goesWith(shape, s.id).map((b) => b.id))]);
  const steps = shape.steps.filter((s) => s.branch === null || !going.has(s.branch));
  const there = new Set(steps.map((s) => s.id));
  return ifRuns({
    steps,
    branches: shape.branches
      .filter((b) => !going.has(b.id))
      .map((b) => (b.joins !== null && !there.has(b.joins) ? { ...b, joins: null } : b))
      .filter((b) => b.joins !== null || steps.some((s) => s.branch === b.id)),
  });
};

/** The same for the other side of the body: each step is shown mirrored, or no longer is. */
export const mirrored = ({ steps, branches }: RouteShape): RouteShape => ({
  steps: steps.map((s) => ({ ...s, isMirrored: !s.isMirrored })),
  branches,
});

/**
 * Whether a step begins elsewhere than the one before it on its line ended, by what they say; a branch may begin where its step began, too: it leaves in the middle of
 * it. Steps that say no place begin anywhere, and what joins a step has no say. `isSame` says whether two places are one.
 */
export const stepStartsElsewhere = (
  shape: RouteShape,
  stepId: string,
  isSame: (a: string, b: string) => boolean,
): boolean => {
  const step = shape.steps.find((s) => s.id === stepId);
  const here = step?.from;
  const way = waysOf(shape).find((w) => w.to === stepId && w.branchId === step?.branch && !w.isBack);
  const before = way && shape.steps.find((s) => s.id === way.from);
  if (!here || !before) return false;
  const ends = [before.to ?? before.from, ...(way.on === null ? [] : [before.from])].filter((p) => p !== null);
  return ends.length > 0 && !ends.some((end) => isSame(end, here));
};
