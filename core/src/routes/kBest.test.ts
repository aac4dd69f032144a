import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { kBestRoutes, type RouteGraph } from './index.js';

const graphOf = (text: string): { graph: RouteGraph; at: (name: string) => number } => {
  const names: string[] = [];
  const at = (name: string): number => {
    if (!names.includes(name)) names.push(name);
    return names.indexOf(name);
  };
  const arcs = text.split(', ').map((part) => {
    const [pair, cost] = part.split(' ') as [string, string];
    const [from, to] = pair.split('-') as [string, string];
    return { from: at(from), to: at(to), cost: Number(cost) };
  });
  return { graph: { nodes: names.length, arcs, between: null }, at };
};

/** Every way without a repeated node, by trying them all. */
const allRoutes = (
  graph: RouteGraph,
  source: number,
  targets: ReadonlySet<number>,
): { arcs: number[]; cost: number }[] => {
  const found: { arcs: number[]; cost: number }[] = [];
  const walk = (node: number, seen: ReadonlySet<number>, arcs: number[], cost: number): void => {
    graph.arcs.forEach((arc, i) => {
      if (arc.from !== node || seen.has(arc.to)) return;
      const before = arcs.at(-1);
      const next = cost + arc.cost + (before === undefined ? 0 : (graph.between?.(before, i) ?? 0));
      if (targets.has(arc.to)) found.push({ arcs: [...arcs, i], cost: next });
      else walk(arc.to, new Set([...seen, arc.to]), [...arcs, i], next);
    });
  };
  if (!targets.has(source)) walk(source, new Set([source]), [], 0);
  return found.sort((a, b) => a.cost - b.cost);
};

const complete = (n: number): RouteGraph => ({
  nodes: n,
  arcs: Array.from({ length: n * n }, (_, i) => ({ from: Math.floor(i / n), to: i % n, cost: 1 })).filter(
    (a) => a.from !== a.to,
  ),
  between: null,
});

describe('k best routes', () => {
  const { graph, at } = graphOf('C-D 3, C-E 2, D-F 4, E-D 1, E-F 2, E-G 3, F-G 2, F-H 1, G-H 2');

  test('when more routes are asked for than there are, all seven of the known graph should come, cheapest first', () => {
    expect(kBestRoutes(graph, at('C'), new Set([at('H')]), 20).map((r) => r.cost)).toEqual([5, 7, 8, 8, 8, 11, 11]);
  });

  test.each([
    [5, 16],
    [6, 65],
    [7, 326],
  ])('when every node of %i is joined to every other, %i simple ways should be found', (n, ways) => {
    expect(kBestRoutes(complete(n), 0, new Set([n - 1]), 1000)).toHaveLength(ways);
  });

  test('when the start is the goal, the goal is out of reach or nothing is asked for, no route should come', () => {
    expect(kBestRoutes(graph, at('C'), new Set([at('C')]), 3)).toEqual([]);
    expect(kBestRoutes(graph, at('H'), new Set([at('C')]), 3)).toEqual([]);
    expect(kBestRoutes(graph, at('C'), new Set([at('H')]), 0)).toEqual([]);
  });

  const smallMap = fc.record({
    nodes: fc.integer({ min: 2, max: 6 }),
    arcs: fc.array(fc.record({ from: fc.nat(5), to: fc.nat(5), cost: fc.integer({ min: 0, max: 9 }) }), {
      maxLength: 16,
    }),
    extra: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 7, maxLength: 7 }),
    targets: fc.array(fc.nat(5), { minLength: 1, maxLength: 2 }),
    k: fc.integer({ min: 1, max: 12 }),
  });

  test('when small maps are searched by trying everything, the costs should be the same, with a cost between steps or without', () => {
    fc.assert(
      fc.property(smallMap, fc.constantFrom('none', 'nothing', 'some'), ({ nodes, arcs, extra, targets, k }, costs) => {
        const inside = arcs.filter((a) => a.from < nodes && a.to < nodes && a.from !== a.to);
        const extraOf = (a: number, b: number): number => (costs === 'some' ? extra[(a * 3 + b) % 7]! : 0);
        const map: RouteGraph = { nodes, arcs: inside, between: costs === 'none' ? null : extraOf };
        const goal = new Set(targets.filter((t) => t < nodes));
        const found = kBestRoutes(map, 0, goal, k);
        expect(found.map((r) => r.cost)).toEqual(
          allRoutes(map, 0, goal)
            .slice(0, k)
            .map((r) => r.cost),
        );
        const written = found.map((r) => r.arcs.join(' '));
        expect(new Set(written).size).toBe(written.length);
        for (const route of found) {
          const visited = [0, ...route.arcs.map((a) => inside[a]!.to)];
          expect(new Set(visited).size).toBe(visited.length);
        }
      }),
      { numRuns: 400 },
    );
  });
});
