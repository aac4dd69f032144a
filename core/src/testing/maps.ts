import fc from 'fast-check';
import { type Arc, type Digraph } from '../graph/index.js';

/** So many small maps an analysis is held against brute force on. */
export const MAPS = { numRuns: 1000 };
export const arc = (from: string, to: string, weight = 1): Arc => ({ from, to, weight });
export const both = (a: string, b: string): readonly Arc[] => [arc(a, b), arc(b, a)];
/** Small maps: up to seven places, ways between any two, some of them never counted. */
export const someArcs = fc.array(
  fc.record({
    from: fc.constantFrom(...'abcdefg'),
    to: fc.constantFrom(...'abcdefg'),
    weight: fc.nat({ max: 4 }),
  }),
  { maxLength: 24 },
);
export const waysOf = ({ ids, starts, to, weight }: Digraph): readonly Arc[] =>
  ids.flatMap((from, at) =>
    Array.from(to.subarray(starts[at], starts[at + 1]), (end, i) => arc(from, ids[end]!, weight[starts[at]! + i])),
  );
/** Which place can be reached from which, itself included. */
export const closure = (graph: Digraph): ReadonlyMap<string, ReadonlySet<string>> => {
  const ways = waysOf(graph);
  return new Map(
    graph.ids.map((id) => {
      const reached = new Set([id]);
      for (let size = 0; size !== reached.size;) {
        size = reached.size;
        for (const { from, to } of ways) if (reached.has(from)) reached.add(to);
      }
      return [id, reached];
    }),
  );
};
