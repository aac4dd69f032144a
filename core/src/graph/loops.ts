import { componentsOf } from './components.js';
import { reversed, type Digraph } from './digraph.js';

/** Ways that come back to where they began, over places that are all different: the places, the one with the smallest id first. */
export type Loops = {
  readonly loops: readonly (readonly string[])[];
  /** Whether there are more than were asked for, or may be longer ones: a way round that is longer, even if it meets itself. */ readonly isCut: boolean;
};

/** How many steps it is at least from each place of its part (`of`) to `end`, over places not before it; −1 = more than `most`. Gives the places that have a number, so that it can be taken away. */
const stepsTo = (
  back: Digraph,
  of: ArrayLike<number>,
  end: number,
  most: number,
  steps: Int32Array,
): readonly number[] => {
  steps[end] = 0;
  const queue = [end];
  for (let i = 0; i < queue.length; i++) {
    const at = queue[i]!;
    if (steps[at] === most) continue;
    for (let arc = back.starts[at]!; arc < back.starts[at + 1]!; arc++) {
      const before = back.to[arc]!;
      if (before < end || steps[before]! >= 0 || of[before] !== of[end]) continue;
      steps[before] = steps[at]! + 1;
      queue.push(before);
    }
  }
  return queue;
};

/**
 * Loops of two places and more, the shortest first, then in the order of their places; each once. No longer than `longest` places and no more than `most`.
 * A way from a place to itself is none. The search looks only where a way back is short enough, so that nothing is gone in vain.
 */
export const loopsOf = (graph: Digraph, { longest = 4, most = 1000 } = {}): Loops => {
  const { ids, starts, to } = graph;
  const back = reversed(graph);
  const { of, count } = componentsOf(graph);
  const isBegun = new Uint8Array(count);
  const steps = new Int32Array(ids.length).fill(-1);
  const onPath = new Uint8Array(ids.length);
  const byLength: number[][][] = Array.from({ length: longest + 1 }, () => []);
  let isCut = false;
  for (let first = 0; first < ids.length; first++) {
    // from the first place of each part it is looked all the way: so a longer loop is never overlooked
    const isFirst = isBegun[of[first]!] === 0;
    isBegun[of[first]!] = 1;
    const near = stepsTo(back, of, first, isFirst ? Infinity : longest + 1, steps);
    const path = [first];
    const next = [starts[first]!];
    onPath[first] = 1;
    while (path.length) {
      const at = path.at(-1)!;
      const arc = next[path.length - 1]!++;
      if (arc >= starts[at + 1]!) {
        onPath[path.pop()!] = 0;
        next.pop();
        continue;
      }
      const end = to[arc]!;
      if (end === first) {
        if (path.length > 1 && path.length <= longest && byLength[path.length]!.length <= most)
          byLength[path.length]!.push([...path]);
        continue;
      }
      if (end < first || onPath[end] || of[end] !== of[first] || steps[end]! < 0) continue;
      if (path.length + steps[end]! > longest) {
        isCut = true;
        continue;
      }
      onPath[end] = 1;
      path.push(end);
      next.push(starts[end]!);
    }
    for (const at of near) steps[at] = -1;
  }
  const all = byLength.flat();
  return { loops: all.slice(0, most).map((loop) => loop.map((at) => ids[at]!)), isCut: isCut || all.length > most };
};
