import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { MAPS, arc, both, closure, someArcs, waysOf } from '../testing/maps.js';
import {
  UNKNOWN,
  betweenness,
  componentsOf,
  deadEndsOf,
  digraphOf,
  hubsOf,
  islandsOf,
  loopsOf,
  prospectsOf,
  teachingOrder,
  type Arc,
} from './index.js';

describe('the graph', () => {
  test('ways between the same places should be one, and shuffled ways give the same graph', () => {
    fc.assert(
      fc.property(someArcs, (arcs) => {
        const graph = digraphOf(arcs);
        expect(digraphOf([...arcs].reverse())).toEqual(graph);
        for (const { from, to, weight } of waysOf(graph))
          expect(arcs.filter((a) => a.from === from && a.to === to).reduce((sum, a) => sum + a.weight, 0)).toBe(weight);
      }),
      MAPS,
    );
  });
});

describe('parts of a map', () => {
  test('on small maps, places should be in one part just where each reaches the other, and ways between parts lead to smaller numbers', () => {
    fc.assert(
      fc.property(someArcs, (arcs) => {
        const graph = digraphOf(arcs);
        const { of } = componentsOf(graph);
        const reach = closure(graph);
        graph.ids.forEach((a, i) =>
          graph.ids.forEach((b, j) => {
            expect(of[i] === of[j]).toBe(reach.get(a)!.has(b) && reach.get(b)!.has(a));
            if (reach.get(a)!.has(b)) expect(of[i]!).toBeGreaterThanOrEqual(of[j]!);
          }),
        );
        const ends = graph.ids.filter((id) => arcs.every((a) => a.from !== id || a.to === id));
        expect(deadEndsOf(graph)).toEqual(ends);
      }),
      MAPS,
    );
  });

  test('islands should hold just what is joined by ways in any direction, the largest first', () => {
    fc.assert(
      fc.property(someArcs, (arcs) => {
        const graph = digraphOf(arcs);
        const joined = closure(digraphOf(arcs.flatMap((a) => [a, { ...a, from: a.to, to: a.from }])));
        const islands = islandsOf(graph);
        expect(islands.flat().sort()).toEqual(graph.ids);
        for (const island of islands) for (const id of island) expect([...joined.get(id)!].sort()).toEqual(island);
        expect(islands.map((i) => i.length)).toEqual(islands.map((i) => i.length).sort((a, b) => b - a));
      }),
      MAPS,
    );
  });

  test('200,000 places in a row should not overflow, nor an empty map or a single place', () => {
    const name = (n: number): string => String(n).padStart(6, '0');
    const row = digraphOf(Array.from({ length: 200_000 }, (_, n) => arc(name(n), name(n + 1))));
    expect(componentsOf(row).count).toBe(200_001);
    expect([deadEndsOf(row), islandsOf(row).length]).toEqual([[name(200_000)], 1]);
    expect(loopsOf(row)).toEqual({ loops: [], isCut: false });
    const prospect = prospectsOf(row, (id) => id === name(200_000)).get(name(0))!;
    expect([prospect.steps, [...prospect.endings]]).toEqual([200_000, [[name(200_000), 1]]]);
    for (const places of [[], ['a']]) {
      const graph = digraphOf([], places);
      expect([componentsOf(graph).count, deadEndsOf(graph), hubsOf(graph).length]).toEqual([
        places.length,
        places,
        places.length,
      ]);
      expect([...prospectsOf(graph, () => false).values()].map((p) => [...p.endings])).toEqual(
        places.map(() => [[UNKNOWN, 1]]),
      );
    }
  });
});

describe('loops', () => {
  /** All ways round, found by going everywhere. */
  const everyLoop = (arcs: readonly Arc[], longest: number): readonly string[] => {
    const found = new Set<string>();
    const go = (path: readonly string[]): void => {
      for (const { from, to } of arcs) {
        if (from !== path.at(-1)) continue;
        if (to === path[0] && path.length > 1) found.add(path.join(''));
        else if (to > path[0]! && !path.includes(to) && path.length < longest) go([...path, to]);
      }
    };
    for (const first of 'abcdefg') go([first]);
    return [...found].sort((a, b) => a.length - b.length || (a < b ? -1 : 1));
  };

  test('on small maps, they should be all that there are, each once, the shortest first', () => {
    fc.assert(
      fc.property(someArcs, fc.integer({ min: 2, max: 7 }), fc.integer({ min: 1, max: 40 }), (arcs, longest, most) => {
        const all = everyLoop(arcs, longest);
        const { loops, isCut } = loopsOf(digraphOf(arcs), { longest, most });
        expect(loops.map((l) => l.join(''))).toEqual(all.slice(0, most));
        if (everyLoop(arcs, 7).length > loops.length) expect(isCut).toBe(true);
      }),
      MAPS,
    );
  });
});

test('a loop far longer than those that are listed should not be overlooked', () => {
  const ring = [...'cfdegb'].map((from, i, all) => ({ from, to: all[(i + 1) % all.length]!, weight: 0 }));
  expect(loopsOf(digraphOf(ring), { longest: 2, most: 1 })).toEqual({ loops: [], isCut: true });
  expect(loopsOf(digraphOf(ring), { longest: 6 })).toMatchObject({ isCut: false, loops: [[...'bcfdeg']] });
  // beside a short one that is listed
  const [out, back] = [
    { from: 'a', to: 'b', weight: 0 },
    { from: 'b', to: 'a', weight: 0 },
  ];
  expect(loopsOf(digraphOf([...ring, out, back]), { longest: 2 })).toEqual({ loops: [['a', 'b']], isCut: true });
});

describe('hubs', () => {
  const of = (arcs: readonly Arc[]): readonly number[] => [...betweenness(digraphOf(arcs))].map((x) => x / 2);

  test('on a row of five and a star of six, the middle should have what is known', () => {
    expect(of([...both('a', 'b'), ...both('b', 'c'), ...both('c', 'd'), ...both('d', 'e')])).toEqual([0, 3, 4, 3, 0]);
    expect(of([...'bcdef'].flatMap((leaf) => both('a', leaf)))).toEqual([10, 0, 0, 0, 0, 0]);
  });

  test('on the karate club, the first and the last should have the published shares', () => {
    // Zachary 1977, as every collection of graphs has it
    const LEAVES = [
      ...['2 3 4 5 6 7 8 9 11 12 13 14 18 20 22 32', '3 4 8 14 18 20 22 31', '4 8 9 10 14 28 29 33', '8 13 14', '7 11'],
      ...['7 11 17', '17', '', '31 33 34', '34', '', '', '', '34', '33 34', '33 34', '', '', '33 34', '34', '33 34'],
      ...['', '33 34', '26 28 30 33 34', '26 28 32', '32', '30 34', '34', '32 34', '33 34', '33 34', '33 34', '34'],
    ];
    const name = (n: number | string): string => String(n).padStart(2, '0');
    const arcs = LEAVES.flatMap((ends, i) =>
      ends ? ends.split(' ').flatMap((end) => both(name(i + 1), name(end))) : [],
    );
    expect(arcs.length).toBe(2 * 78);
    const shares = new Map(hubsOf(digraphOf(arcs)).map((h) => [h.place, h.share]));
    expect(shares.get('01')).toBeCloseTo(0.4376352814, 9);
    expect(shares.get('34')).toBeCloseTo(0.3040749759, 9);
  });

  test('on small maps, it should be the share of shortest ways, counted one by one', () => {
    fc.assert(
      fc.property(someArcs, (arcs) => {
        const graph = digraphOf(arcs);
        const ways = waysOf(graph);
        const found = new Map(graph.ids.map((id) => [id, 0]));
        for (const from of graph.ids) {
          // all shortest ways from here, by going one step at a time
          let paths: readonly string[] = [from];
          const seen = new Set([from]);
          while (paths.length) {
            const next = paths.flatMap((p) =>
              ways.flatMap((w) => (w.from === p.at(-1) && !seen.has(w.to) ? [p + w.to] : [])),
            );
            for (const to of new Set(next.map((p) => p.at(-1)!))) {
              const some = next.filter((p) => p.endsWith(to));
              for (const p of some) for (const id of p.slice(1, -1)) found.set(id, found.get(id)! + 1 / some.length);
            }
            next.forEach((p) => seen.add(p.at(-1)!));
            paths = next;
          }
        }
        [...betweenness(graph)].forEach((x, at) => expect(x).toBeCloseTo(found.get(graph.ids[at]!)!, 9));
      }),
      MAPS,
    );
  });
});

describe('the order in which things can be taught', () => {
  const someThings = fc.array(
    fc.record({ id: fc.constantFrom(...'abcdefg'), needs: fc.array(fc.constantFrom(...'abcdefg'), { maxLength: 3 }) }),
    { maxLength: 7 },
  );

  test('on small sets, each should come after all that it needs, the smallest first, or a real way round be named', () => {
    fc.assert(
      fc.property(someThings, (things) => {
        const found = teachingOrder(things);
        expect(teachingOrder([...things].reverse())).toEqual(found);
        const needsOf = (id: string): readonly string[] => things.flatMap((t) => (t.id === id ? t.needs : []));
        if (found.kind === 'circle') {
          found.through.forEach((id, i) =>
            expect(needsOf(id)).toContain(found.through[(i + 1) % found.through.length]),
          );
          return;
        }
        const open = new Set(things.flatMap((t) => [t.id, ...t.needs]));
        for (const id of found.ids) {
          const ready = [...open].filter((o) => needsOf(o).every((need) => !open.has(need))).sort();
          expect(id).toBe(ready[0]);
          open.delete(id);
        }
        expect(open.size).toBe(0);
      }),
      MAPS,
    );
  });
});
