import type { BranchOn, RouteBranch, RouteShape, RouteStep } from './types.js';

/** A way from one step to another: on nothing (`on` null) along its line, or where a branch leaves. `isBack`: to a step that was gone through on the way there. */
export type Way = {
  readonly from: string;
  readonly to: string;
  readonly on: BranchOn | null;
  readonly branchId: string | null;
  readonly isBack: boolean;
};

/** Why a route cannot be so, with the steps or branches that are meant. */
export type RouteFault =
  | { readonly fault: 'no start' }
  | { readonly fault: 'unknown branch'; readonly step: number }
  | {
      readonly fault: 'leaves nowhere' | 'joins nowhere' | 'leads nowhere' | 'circle' | 'twice';
      readonly branch: number;
    };

export const onKey = (on: BranchOn): string =>
  on.kind === 'reaction' ? `r ${on.reaction}` : `c ${on.text.toLowerCase()}`;

/** The steps of one way: of a branch, or of the main line (null). */
export const stepsOf = ({ steps }: RouteShape, branchId: string | null): readonly RouteStep[] =>
  steps.filter((s) => s.branch === branchId);

/** The steps that are gone through before a branch begins, from the start on; undefined where it hangs on itself or on nothing. */
const wayTo = (shape: RouteShape, branch: RouteBranch): readonly string[] | undefined => {
  const way: string[] = [];
  const met = new Set<string>();
  for (let here: RouteBranch | undefined = branch; here;) {
    if (met.has(here.id)) return undefined;
    met.add(here.id);
    const from = shape.steps.find((s) => s.id === here!.from);
    if (!from) return undefined;
    const line = stepsOf(shape, from.branch).map((s) => s.id);
    way.unshift(...line.slice(0, line.indexOf(from.id) + 1));
    if (from.branch === null) return way;
    here = shape.branches.find((b) => b.id === from.branch);
  }
  return undefined;
};

/** Every way from a step to a step, in the order of steps and branches. O(steps × branches). */
export const waysOf = (shape: RouteShape): readonly Way[] => {
  const along = [null, ...shape.branches.map((b) => b.id)].flatMap((id) => {
    const line = stepsOf(shape, id);
    return line.slice(1).map((to, i): Way => ({ from: line[i]!.id, to: to.id, on: null, branchId: id, isBack: false }));
  });
  const leaving = shape.branches.flatMap((branch): Way[] => {
    const own = stepsOf(shape, branch.id);
    const before = new Set([...(wayTo(shape, branch) ?? []), ...own.map((s) => s.id)]);
    const isBack = branch.joins !== null && before.has(branch.joins);
    const [first, last] = [own[0], own.at(-1)];
    const out = first ? [{ from: branch.from, to: first.id, on: branch.on, branchId: branch.id, isBack: false }] : [];
    if (branch.joins === null) return out;
    return last
      ? [...out, { from: last.id, to: branch.joins, on: null, branchId: branch.id, isBack }]
      : [{ from: branch.from, to: branch.joins, on: branch.on, branchId: branch.id, isBack }];
  });
  return [...along, ...leaving];
};

/** How far each step is from the start along the longest way there, ways back left out; undefined where they run in a circle. O(steps + arcs). */
const longest = (shape: RouteShape): ReadonlyMap<string, number> | undefined => {
  const arcs = waysOf(shape).filter((a) => !a.isBack);
  const open = new Map(shape.steps.map((s) => [s.id, 0]));
  for (const { to } of arcs) open.set(to, (open.get(to) ?? 0) + 1);
  const far = new Map<string, number>();
  const ready = shape.steps.filter((s) => open.get(s.id) === 0).map((s) => s.id);
  for (let id = ready.pop(); id !== undefined; id = ready.pop()) {
    far.set(id, far.get(id) ?? 0);
    for (const { from, to } of arcs) {
      if (from !== id) continue;
      far.set(to, Math.max(far.get(to) ?? 0, far.get(id)! + 1));
      open.set(to, open.get(to)! - 1);
      if (open.get(to) === 0) ready.push(to);
    }
  }
  return [...open.values()].every((n) => n === 0) ? far : undefined;
};

/** Where each step stands along the route: 0 for the first, one more for each step on the longest way there; ways back don't count. */
export const columnsOf = (shape: RouteShape): ReadonlyMap<string, number> => longest(shape) ?? new Map();

/** The ways that are left where only some steps are gone through: one that led to another leads to the first behind it along its line that is. Each branch once. */
export const waysPast = (ways: readonly Way[], there: ReadonlySet<string>): readonly Way[] => {
  const past = (id: string, met: ReadonlySet<string>): string | undefined => {
    if (there.has(id)) return id;
    const next = ways.find((w) => w.from === id && w.on === null)?.to;
    return next === undefined || met.has(next) ? undefined : past(next, new Set([...met, id]));
  };
  return ways.flatMap((way): Way[] => {
    const to = there.has(way.from) ? past(way.to, new Set()) : undefined;
    return to === undefined || to === way.from ? [] : [{ ...way, to }];
  });
};

/** All that is wrong with how a route runs. A route that runs has one start, each step can be reached, and it goes round nowhere but where it says that it goes back. */
export const routeFaults = (shape: RouteShape): readonly RouteFault[] => {
  const { steps, branches } = shape;
  const ids = new Set(steps.map((s) => s.id));
  const known = new Set(branches.map((b) => b.id));
  const said = new Set<string>();
  const faults: RouteFault[] = [
    ...(stepsOf(shape, null).length ? [] : [{ fault: 'no start' } as const]),
    ...steps.flatMap((s, step) =>
      s.branch !== null && !known.has(s.branch) ? [{ fault: 'unknown branch', step } as const] : [],
    ),
    ...branches.flatMap((b, branch): RouteFault[] => {
      const way = `${b.from} ${onKey(b.on)}`;
      const isTwice = said.has(way);
      said.add(way);
      if (!wayTo(shape, b)) return [{ fault: 'leaves nowhere', branch }];
      if (b.joins !== null && !ids.has(b.joins)) return [{ fault: 'joins nowhere', branch }];
      if (b.joins === null && !stepsOf(shape, b.id).length) return [{ fault: 'leads nowhere', branch }];
      return isTwice ? [{ fault: 'twice', branch }] : [];
    }),
  ];
  if (faults.length || longest(shape)) return faults;
  // the branch that closes the circle is the one without which there is none
  const branch = branches.findIndex(
    (_, i) => longest({ steps, branches: branches.map((b, k) => (k <= i ? b : { ...b, joins: null })) }) === undefined,
  );
  return [{ fault: 'circle', branch }];
};
