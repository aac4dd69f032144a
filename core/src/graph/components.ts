import { reversed, type Digraph } from './digraph.js';

/** Places that can all be reached from each other, by number; components are numbered so that ways between them lead to smaller numbers. */
export type Components = { readonly count: number; readonly of: Int32Array };

/** Strongly connected components (Tarjan 1972), without recursion: a long row of places does not overflow. O(places + ways). */
export const componentsOf = ({ ids, starts, to }: Digraph): Components => {
  const n = ids.length;
  const [of, low, order] = [new Int32Array(n).fill(-1), new Int32Array(n), new Int32Array(n).fill(-1)];
  const [open, path, next] = [new Int32Array(n), new Int32Array(n), starts.slice(0, n)];
  let [count, met, openSize] = [0, 0, 0];
  for (let root = 0; root < n; root++) {
    if (order[root]! >= 0) continue;
    let depth = 0;
    path[0] = root;
    order[root] = low[root] = met++;
    open[openSize++] = root;
    while (depth >= 0) {
      const at = path[depth]!;
      if (next[at]! < starts[at + 1]!) {
        const end = to[next[at]!++]!;
        if (order[end]! < 0) {
          order[end] = low[end] = met++;
          open[openSize++] = end;
          path[++depth] = end;
        } else if (of[end]! < 0) low[at] = Math.min(low[at]!, order[end]!);
        continue;
      }
      if (low[at] === order[at]) {
        let end: number;
        do {
          end = open[--openSize]!;
          of[end] = count;
        } while (end !== at);
        count++;
      }
      depth--;
      if (depth >= 0) low[path[depth]!] = Math.min(low[path[depth]!]!, low[at]!);
    }
  }
  return { count, of };
};

/** Places from which one of some can be reached, those included. O(places + ways). */
export const reaching = (graph: Digraph, ends: Iterable<number>): Uint8Array => {
  const { starts, to } = reversed(graph);
  const reached = new Uint8Array(graph.ids.length);
  const queue: number[] = [];
  for (const end of ends)
    if (!reached[end]) {
      reached[end] = 1;
      queue.push(end);
    }
  for (let i = 0; i < queue.length; i++) {
    const at = queue[i]!;
    for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) {
      const before = to[arc]!;
      if (!reached[before]) {
        reached[before] = 1;
        queue.push(before);
      }
    }
  }
  return reached;
};

/** Parts of a map between which no way leads in either direction, the largest first, then by their first place; each in the order of ids. O(places + ways). */
export const islandsOf = ({ ids, starts, to }: Digraph): readonly (readonly string[])[] => {
  const parent = Int32Array.from(ids.keys());
  const rootOf = (at: number): number => {
    let root = at;
    while (parent[root] !== root) root = parent[root]!;
    for (let here = at; here !== root;) {
      const up = parent[here]!;
      parent[here] = root;
      here = up;
    }
    return root;
  };
  for (let from = 0; from < ids.length; from++)
    for (let arc = starts[from]!; arc < starts[from + 1]!; arc++) {
      const [a, b] = [rootOf(from), rootOf(to[arc]!)];
      // the smaller number leads: what comes out does not depend on the order of the ways
      if (a !== b) parent[Math.max(a, b)] = Math.min(a, b);
    }
  const parts = new Map<number, string[]>();
  ids.forEach((id, at) => {
    const part = parts.get(rootOf(at));
    if (part) part.push(id);
    else parts.set(rootOf(at), [id]);
  });
  return [...parts.values()].sort((a, b) => b.length - a.length || (a[0]! < b[0]! ? -1 : 1));
};

/** Places from which no way leads to another place, in the order of ids. */
export const deadEndsOf = ({ ids, starts, to }: Digraph): readonly string[] =>
  ids.filter((_, at) => {
    for (let arc = starts[at]!; arc < starts[at + 1]!; arc++) if (to[arc] !== at) return false;
    return true;
  });
