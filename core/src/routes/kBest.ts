/**
 * A graph for route searching: dense node numbers, arcs in arrays. Arc costs are not negative; a following arc may cost extra, depending on the pair.
 */
export type RouteGraph = {
  readonly nodes: number;
  readonly arcs: readonly { readonly from: number; readonly to: number; readonly cost: number }[];
  /** Extra cost of taking arc `next` right after arc `before`; not negative. */
  readonly between: (before: number, next: number) => number;
};

export type FoundRoute = { readonly arcs: readonly number[]; readonly cost: number };

/** A binary heap on a number, ties by a running counter so that the order never depends on the heap. */
class Heap<T> {
  private readonly items: { key: number; order: number; value: T }[] = [];
  private counter = 0;

  get size(): number {
    return this.items.length;
  }

  push(key: number, value: T): void {
    const a = this.items;
    a.push({ key, order: this.counter++, value });
    let i = a.length - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (!this.before(i, up)) break;
      [a[i], a[up]] = [a[up]!, a[i]!];
      i = up;
    }
  }

  pop(): { key: number; value: T } | undefined {
    const a = this.items;
    const top = a[0];
    const last = a.pop();
    if (top === undefined || last === undefined || a.length === 0) return top;
    a[0] = last;
    for (let i = 0; ;) {
      const left = 2 * i + 1,
        right = left + 1;
      let least = i;
      if (left < a.length && this.before(left, least)) least = left;
      if (right < a.length && this.before(right, least)) least = right;
      if (least === i) return top;
      [a[i], a[least]] = [a[least]!, a[i]!];
      i = least;
    }
  }

  private before(i: number, j: number): boolean {
    const x = this.items[i]!,
      y = this.items[j]!;
    return x.key < y.key || (x.key === y.key && x.order < y.order);
  }
}

type Arc = { readonly from: number; readonly to: number; readonly cost: number };

const outgoing = (graph: RouteGraph): readonly (readonly number[])[] => {
  const out: number[][] = Array.from({ length: graph.nodes }, () => []);
  graph.arcs.forEach((arc, i) => out[arc.from]!.push(i));
  return out;
};

/** Least cost from the head of each arc to a target, counting what follows it: one backward Dijkstra over arcs. O(pairs · log arcs). */
const reverseTree = (graph: RouteGraph, targets: ReadonlySet<number>): Float64Array => {
  const into: number[][] = Array.from({ length: graph.nodes }, () => []);
  graph.arcs.forEach((arc, i) => into[arc.to]!.push(i));
  const rest = new Float64Array(graph.arcs.length).fill(Number.POSITIVE_INFINITY);
  const done = new Uint8Array(graph.arcs.length);
  const heap = new Heap<number>();
  graph.arcs.forEach((arc, i) => {
    if (targets.has(arc.to)) {
      rest[i] = 0;
      heap.push(0, i);
    }
  });
  for (let top = heap.pop(); top; top = heap.pop()) {
    const next = top.value;
    if (done[next]) continue;
    done[next] = 1;
    const arc = graph.arcs[next] as Arc;
    for (const before of into[arc.from]!) {
      if (targets.has(arc.from)) continue;
      const cost = top.key + arc.cost + graph.between(before, next);
      if (cost < rest[before]!) {
        rest[before] = cost;
        heap.push(cost, before);
      }
    }
  }
  return rest;
};

type Label = { readonly arc: number; readonly cost: number; readonly back: Label | null };

/** Candidate: a route, the arc index from which it left its parent, and what its parent had already forbidden there. */
type Candidate = {
  readonly arcs: readonly number[];
  readonly cost: number;
  readonly deviation: number;
  readonly banned: ReadonlySet<number>;
};

const unwind = (label: Label): number[] => {
  const arcs: number[] = [];
  for (let l: Label | null = label; l; l = l.back) arcs.push(l.arc);
  return arcs.reverse();
};

/**
 * The `k` cheapest routes from a node to any of the targets that visit no node twice, cheapest first.
 *
 * Yen's deviations with Lawler's rule (a route is only varied from where it left its parent on); each subproblem is an A* over arcs whose estimate,
 * from one backward tree, is exact but for the forbidden nodes. With a cost between pairs of arcs the cheapest way may want to pass a node twice;
 * when that happens the subproblem is searched again without settling arcs, so the answer stays exact. Ties: by the order of the arcs' numbers
 * (callers sort arcs by id), compared arc by arc. Sources: Yen 1971, Lawler 1972, Hart/Nilsson/Raphael 1968.
 */
export const kBestRoutes = (
  graph: RouteGraph,
  source: number,
  targets: ReadonlySet<number>,
  k: number,
): readonly FoundRoute[] => {
  if (targets.has(source) || k < 1) return [];
  const out = outgoing(graph);
  const rest = reverseTree(graph, targets);

  const search = (
    prefix: readonly number[],
    prefixCost: number,
    banned: ReadonlySet<number>,
  ): FoundRoute | undefined => {
    const blocked = new Uint8Array(graph.nodes);
    blocked[source] = 1;
    for (const i of prefix) blocked[graph.arcs[i]!.to] = 1;
    const lastOfPrefix = prefix.at(-1);
    const start = lastOfPrefix === undefined ? source : graph.arcs[lastOfPrefix]!.to;
    const run = (settle: boolean): { label: Label; simple: boolean } | undefined => {
      const heap = new Heap<Label>();
      const settled = new Uint8Array(settle ? graph.arcs.length : 0);
      const extend = (arcIndex: number, before: number | undefined, cost: number, back: Label | null): void => {
        const arc = graph.arcs[arcIndex]!;
        if (blocked[arc.to] || !Number.isFinite(rest[arcIndex]!)) return;
        const next = cost + arc.cost + (before === undefined ? 0 : graph.between(before, arcIndex));
        heap.push(next + rest[arcIndex]!, { arc: arcIndex, cost: next, back });
      };
      for (const i of out[start]!) if (!banned.has(i)) extend(i, lastOfPrefix, prefixCost, null);
      for (let top = heap.pop(); top; top = heap.pop()) {
        const label = top.value;
        if (settle) {
          if (settled[label.arc]) continue;
          settled[label.arc] = 1;
        }
        const at = graph.arcs[label.arc]!.to;
        const seen = new Set<number>([start]);
        let simple = true;
        for (let l: Label | null = label; l; l = l.back) {
          const node = graph.arcs[l.arc]!.to;
          if (seen.has(node)) simple = false;
          seen.add(node);
        }
        if (!settle && !simple) continue;
        if (targets.has(at)) return { label, simple };
        for (const i of out[at]!) extend(i, label.arc, label.cost, label);
      }
      return undefined;
    };
    const fast = run(true);
    const found = !fast || fast.simple ? fast : run(false);
    return found && { arcs: [...prefix, ...unwind(found.label)], cost: found.label.cost };
  };

  const compare = (a: Candidate, b: Candidate): number => {
    if (a.cost !== b.cost) return a.cost - b.cost;
    for (let i = 0; i < Math.min(a.arcs.length, b.arcs.length); i++)
      if (a.arcs[i] !== b.arcs[i]) return a.arcs[i]! - b.arcs[i]!;
    return a.arcs.length - b.arcs.length;
  };
  const first = search([], 0, new Set());
  const candidates: Candidate[] = first ? [{ ...first, deviation: 0, banned: new Set() }] : [];
  const found: FoundRoute[] = [];
  while (candidates.length && found.length < k) {
    candidates.sort(compare);
    const best = candidates.shift()!;
    found.push({ arcs: best.arcs, cost: best.cost });
    let prefixCost = 0;
    for (let i = 0; i < best.arcs.length; i++) {
      if (i >= best.deviation) {
        const banned = new Set(i === best.deviation ? best.banned : []);
        banned.add(best.arcs[i]!);
        const other = search(best.arcs.slice(0, i), prefixCost, banned);
        if (other) candidates.push({ ...other, deviation: i, banned });
      }
      const before = best.arcs[i - 1];
      prefixCost += graph.arcs[best.arcs[i]!]!.cost + (before === undefined ? 0 : graph.between(before, best.arcs[i]!));
    }
  }
  return found;
};
