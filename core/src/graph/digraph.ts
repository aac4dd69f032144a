/** A way from one place to another; how often it was gone. */
export type Arc = { readonly from: string; readonly to: string; readonly weight: number };

/**
 * Places by number, in the order of their ids, and the ways between them: those of place n are `to[starts[n]] … to[starts[n + 1] − 1]`, in the order of their numbers. Ways
 * between the same two places are one, their weights added up.
 */
export type Digraph = {
  readonly ids: readonly string[];
  readonly starts: Int32Array;
  readonly to: Int32Array;
  readonly weight: Float64Array;
};

/** The graph of some ways, and of places that none leads to or from. Shuffled input gives the same graph. O(ways · log ways). */
export const digraphOf = (arcs: readonly Arc[], places: Iterable<string> = []): Digraph => {
  const ids = [...new Set([...places, ...arcs.flatMap(({ from, to }) => [from, to])])].sort();
  const numbers = new Map(ids.map((id, n) => [id, n]));
  const count = ids.length;
  const weights = new Map<number, number>();
  for (const { from, to, weight } of arcs) {
    const key = numbers.get(from)! * count + numbers.get(to)!;
    weights.set(key, (weights.get(key) ?? 0) + weight);
  }
  const keys = Float64Array.from(weights.keys()).sort();
  const starts = new Int32Array(count + 1);
  const to = new Int32Array(keys.length);
  const weight = new Float64Array(keys.length);
  keys.forEach((key, i) => {
    starts[Math.floor(key / count) + 1]!++;
    to[i] = key % count;
    weight[i] = weights.get(key)!;
  });
  for (let n = 0; n < count; n++) starts[n + 1]! += starts[n]!;
  return { ids, starts, to, weight };
};

/** The same places with every way turned round. */
export const reversed = ({ ids, starts, to, weight }: Digraph): Digraph => {
  const into = new Int32Array(ids.length + 1);
  for (const end of to) into[end + 1]!++;
  for (let n = 0; n < ids.length; n++) into[n + 1]! += into[n]!;
  const next = into.slice(0, ids.length);
  const back = new Int32Array(to.length);
  const weights = new Float64Array(to.length);
  for (let from = 0; from < ids.length; from++)
    for (let arc = starts[from]!; arc < starts[from + 1]!; arc++) {
      const at = next[to[arc]!]!++;
      back[at] = from;
      weights[at] = weight[arc]!;
    }
  return { ids, starts: into, to: back, weight: weights };
};
