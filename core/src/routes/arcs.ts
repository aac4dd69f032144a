/**
 * A graph for route searching: dense node numbers, arcs in arrays. Arc costs are not negative; where `between` is given, a following arc costs extra, depending on the pair.
 */
export type RouteGraph = {
  readonly nodes: number;
  readonly arcs: readonly { readonly from: number; readonly to: number; readonly cost: number }[];
  /** Extra cost of taking arc `next` right after arc `before`; not negative. Null where no pair costs extra. */
  readonly between: ((before: number, next: number) => number) | null;
};

/** Arcs by a node that they have in common: those of node n are list[starts[n]] … list[starts[n + 1] − 1], in the order of their numbers. */
export type ByNode = { readonly starts: Int32Array; readonly list: Int32Array };

const byNode = (nodes: number, ends: Int32Array): ByNode => {
  const starts = new Int32Array(nodes + 1);
  for (const node of ends) starts[node + 1]!++;
  for (let n = 0; n < nodes; n++) starts[n + 1]! += starts[n]!;
  const next = starts.slice(0, nodes);
  const list = new Int32Array(ends.length);
  for (let arc = 0; arc < ends.length; arc++) list[next[ends[arc]!]!++] = arc;
  return { starts, list };
};

/** The arcs of a graph in typed arrays. */
export type Arcs = {
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly cost: Float64Array;
  /** 0, 1, 2 … */ readonly numbers: Int32Array;
  readonly out: ByNode;
  readonly into: ByNode;
};

export const arcsOf = ({ nodes, arcs }: RouteGraph): Arcs => {
  const [from, to] = [new Int32Array(arcs.length), new Int32Array(arcs.length)];
  const [cost, numbers] = [new Float64Array(arcs.length), new Int32Array(arcs.length)];
  for (let i = 0; i < arcs.length; i++) {
    const arc = arcs[i]!;
    from[i] = arc.from;
    to[i] = arc.to;
    cost[i] = arc.cost;
    numbers[i] = i;
  }
  return { from, to, cost, numbers, out: byNode(nodes, from), into: byNode(nodes, to) };
};
