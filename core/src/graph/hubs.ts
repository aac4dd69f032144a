import type { Digraph } from './digraph.js';

/**
 * On how many shortest ways between two other places each place lies (Brandes 2001): summed over all pairs, in each the share of the shortest ways that go through it. Ways
 * have all the same length, ways between the same two places are one, and one from a place to itself is none. Divided by (n − 1)(n − 2) it is a share of all pairs.
 * O(places · ways), in typed arrays.
 */
export const betweenness = ({ ids, starts, to }: Digraph): Float64Array => {
  const n = ids.length;
  const [total, share] = [new Float64Array(n), new Float64Array(n)];
  const [ways, far] = [new Float64Array(n), new Int32Array(n)];
  const order = new Int32Array(n);
  far.fill(-1);
  for (let source = 0; source < n; source++) {
    let size = 1;
    order[0] = source;
    far[source] = 0;
    ways[source] = 1;
    for (let i = 0; i < size; i++) {
      const at = order[i]!;
      const beyond = far[at]! + 1;
      for (let arc = starts[at]!, end = starts[at + 1]!; arc < end; arc++) {
        const next = to[arc]!;
        if (far[next]! < 0) {
          far[next] = beyond;
          order[size++] = next;
          ways[next] = ways[at]!;
        } else if (far[next] === beyond) ways[next]! += ways[at]!;
      }
    }
    // back from the farthest: each place has what lies behind it in full by then
    for (let i = size - 1; i >= 0; i--) {
      const at = order[i]!;
      const beyond = far[at]! + 1;
      let sum = 0;
      for (let arc = starts[at]!, end = starts[at + 1]!; arc < end; arc++) {
        const next = to[arc]!;
        if (far[next] === beyond) sum += (1 + share[next]!) / ways[next]!;
      }
      share[at] = ways[at]! * sum;
      if (at !== source) total[at]! += share[at];
    }
    for (let i = 0; i < size; i++) far[order[i]!] = -1;
  }
  return total;
};

/** A place with how much of a crossroads it is, 0 … 1. */
export type Hub = { readonly place: string; readonly share: number };

/** Places by how much of a crossroads they are, most first; ties by id. */
export const hubsOf = (graph: Digraph): readonly Hub[] => {
  const n = graph.ids.length;
  const pairs = Math.max(1, (n - 1) * (n - 2));
  const total = betweenness(graph);
  return graph.ids
    .map((place, at) => ({ place, share: total[at]! / pairs }))
    .sort((a, b) => b.share - a.share || (a.place < b.place ? -1 : 1));
};
