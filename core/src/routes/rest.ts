import type { Arcs, RouteGraph } from './arcs.js';
import { KeyHeap } from '../graph/index.js';

/** Least cost from each node to a target, from one Dijkstra backwards. O(arcs · log arcs). */
const restByNode = ({ from, cost, into }: Arcs, nodes: number, targets: ReadonlySet<number>): Float64Array => {
  const rest = new Float64Array(nodes).fill(Number.POSITIVE_INFINITY);
  const done = new Uint8Array(nodes);
  const heap = new KeyHeap();
  for (const target of targets) {
    rest[target] = 0;
    heap.push(0, target);
  }
  for (let node = heap.pop(); node >= 0; node = heap.pop()) {
    if (done[node]) continue;
    done[node] = 1;
    for (let i = into.starts[node]!; i < into.starts[node + 1]!; i++) {
      const arc = into.list[i]!;
      const before = from[arc]!;
      const next = rest[node]! + cost[arc]!;
      if (targets.has(before) || next >= rest[before]!) continue;
      rest[before] = next;
      heap.push(next, before);
    }
  }
  return rest;
};

/** The same where pairs of arcs cost extra: one Dijkstra backwards over arcs. O(pairs · log arcs). */
const restByArc = (
  { from, to, cost, into }: Arcs,
  between: NonNullable<RouteGraph['between']>,
  targets: ReadonlySet<number>,
): Float64Array => {
  const rest = new Float64Array(to.length).fill(Number.POSITIVE_INFINITY);
  const done = new Uint8Array(to.length);
  const heap = new KeyHeap();
  for (let arc = 0; arc < to.length; arc++)
    if (targets.has(to[arc]!)) {
      rest[arc] = 0;
      heap.push(0, arc);
    }
  for (let next = heap.pop(); next >= 0; next = heap.pop()) {
    const node = from[next]!;
    if (done[next] || targets.has(node)) continue;
    done[next] = 1;
    const behind = heap.key + cost[next]!;
    for (let i = into.starts[node]!; i < into.starts[node + 1]!; i++) {
      const before = into.list[i]!;
      // no pair makes it cheaper: most are passed by unasked
      if (behind >= rest[before]!) continue;
      const whole = behind + between(before, next);
      if (whole >= rest[before]!) continue;
      rest[before] = whole;
      heap.push(whole, before);
    }
  }
  return rest;
};

/** What it costs at least from the head of an arc to a target, counting what follows the arc: `least[of[arc]]`; infinite where none is reached. */
export type Rest = { readonly least: Float64Array; readonly of: Int32Array };

export const restOf = (arcs: Arcs, { nodes, between }: RouteGraph, targets: ReadonlySet<number>): Rest =>
  between
    ? { least: restByArc(arcs, between, targets), of: arcs.numbers }
    : { least: restByNode(arcs, nodes, targets), of: arcs.to };
