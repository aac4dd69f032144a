import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { arc, closure, someArcs, waysOf } from '../testing/maps.js';
import {
  NEVER,
  UNKNOWN,
  bandsFrom,
  digraphOf,
  prospectFrom,
  prospectsOf,
  visitsFrom,
  type Arc,
  type Digraph,
} from './index.js';

describe('how it goes on', () => {
  const isEnd = (id: string): boolean => id.startsWith('end');
  const row = (size: number, p: number): readonly Arc[] =>
    Array.from({ length: size - 1 }, (_, i) => i + 1).flatMap((i) => {
      const name = (n: number): string =>
        n === 0 ? 'end low' : n === size ? 'end top' : `p${String(n).padStart(3, '0')}`;
      return [arc(name(i), name(i + 1), p), arc(name(i), name(i - 1), 1 - p)];
    });

  test('the drunkard’s walk should have its visits, steps and endings', () => {
    const graph = digraphOf(row(4, 0.5));
    const all = prospectsOf(graph, isEnd);
    const VISITS = [
      [1.5, 1, 0.5],
      [1, 2, 1],
      [0.5, 1, 1.5],
    ];
    ['p001', 'p002', 'p003'].forEach((id, i) => {
      [...visitsFrom(graph, id, isEnd).values()].forEach((v, j) => expect(v).toBeCloseTo(VISITS[i]![j]!, 12));
      expect(all.get(id)!.steps).toBeCloseTo([3, 4, 3][i]!, 12);
      expect(all.get(id)!.endings.get('end top')).toBeCloseTo([0.25, 0.5, 0.75][i]!, 12);
    });
  });

  test('the gambler’s ruin should have the chance and the steps that its formula gives', () => {
    const first = prospectFrom(digraphOf(row(20, 18 / 38)), 'p010', isEnd);
    expect(first.endings.get('end top')).toBeCloseTo(0.258533412957, 10);
    expect(first.steps).toBeCloseTo(91.7573030765, 8);
    const second = prospectsOf(digraphOf(row(100, 0.49)), isEnd).get('p050')!;
    expect(second.endings.get('end top')).toBeCloseTo(0.119174919856, 10);
    expect(second.steps).toBeCloseTo(1904.1254007224, 6);
  });

  test('deuce and craps should come out as they are known', () => {
    const deuce = digraphOf([
      ...[arc('deuce', 'ahead', 6), arc('deuce', 'behind', 4), arc('ahead', 'end won', 6), arc('ahead', 'deuce', 4)],
      ...[arc('behind', 'deuce', 6), arc('behind', 'end lost', 4)],
    ]);
    const played = prospectFrom(deuce, 'deuce', isEnd);
    expect([played.endings.get('end won'), played.steps]).toEqual([
      expect.closeTo(9 / 13, 12),
      expect.closeTo(50 / 13, 12),
    ]);
    const points = [4, 5, 6, 8, 9, 10].flatMap((point) => {
      const ways = 6 - Math.abs(7 - point);
      const at = `point ${point}`;
      return [arc('come out', at, ways), arc(at, 'end won', ways), arc(at, 'end lost', 6), arc(at, at, 30 - ways)];
    });
    const craps = prospectFrom(
      digraphOf([...points, arc('come out', 'end won', 8), arc('come out', 'end lost', 4)]),
      'come out',
      isEnd,
    );
    expect([craps.endings.get('end won'), craps.steps]).toEqual([
      expect.closeTo(244 / 495, 12),
      expect.closeTo(557 / 165, 12),
    ]);
  });

  test('a closed trap beside a win should be half a win and half never; what nothing was recorded beyond is unknown', () => {
    const graph = digraphOf([
      arc('a', 'end', 1),
      arc('a', 'trap'),
      arc('trap', 'pit'),
      arc('pit', 'trap'),
      arc('b', 'open', 3),
      arc('b', 'end'),
    ]);
    const all = prospectsOf(graph, isEnd);
    expect([...all.get('a')!.endings]).toEqual([
      ['end', 0.5],
      [NEVER, 0.5],
    ]);
    expect([...all.get('b')!.endings]).toEqual([
      ['end', 0.25],
      [UNKNOWN, 0.75],
    ]);
    expect([...all.get('pit')!.endings]).toEqual([[NEVER, 1]]);
  });

  test('points should be those of the places entered, and none for staying where one is', () => {
    const graph = digraphOf([arc('a', 'a', 9), arc('a', 'b'), arc('b', 'a'), arc('b', 'end')]);
    // a → b for sure in the end, then half back: b is entered twice on average, a once
    expect(prospectsOf(graph, isEnd, (id) => ({ a: 1, b: 3, end: 10 })[id]!).get('a')!.points).toBeCloseTo(
      6 + 1 + 10,
      12,
    );
  });

  /** An independent answer: the walk gone on until next to nothing of it is left. */
  const gone = (graph: Digraph, start: string): { readonly ends: Map<string, number>; readonly steps: number } => {
    const ways = waysOf(graph).filter((w) => w.weight > 0);
    const out = new Map(graph.ids.map((id) => [id, ways.filter((w) => w.from === id)]));
    const reach = closure(digraphOf(ways, graph.ids));
    const endOf = (id: string): string | undefined => {
      if (isEnd(id)) return id;
      if (!out.get(id)!.length) return UNKNOWN;
      return [...reach.get(id)!].some((r) => isEnd(r) || !out.get(r)!.length) ? undefined : NEVER;
    };
    const ends = new Map<string, number>();
    let [here, steps] = [new Map([[start, 1]]), 0];
    for (let round = 0; round < 20_000 && here.size; round++) {
      const next = new Map<string, number>();
      let left = 0;
      for (const [id, p] of here) {
        const end = endOf(id);
        if (end !== undefined) {
          ends.set(end, (ends.get(end) ?? 0) + p);
          continue;
        }
        left += p;
        const total = out.get(id)!.reduce((sum, w) => sum + w.weight, 0);
        for (const w of out.get(id)!) next.set(w.to, (next.get(w.to) ?? 0) + (p * w.weight) / total);
      }
      steps += left;
      if (left < 1e-14) break;
      here = next;
    }
    return { ends, steps };
  };
  const someWalks = someArcs.map((arcs) =>
    arcs.map((a) => ({ ...a, to: a.to >= 'f' ? `end ${a.to}` : a.to, from: a.from })),
  );

  test('on small maps it should be what the walk comes to when it is gone, from all places and from one, and sum up to 1', () => {
    fc.assert(
      fc.property(someWalks, (arcs) => {
        const graph = digraphOf(arcs);
        const all = prospectsOf(graph, isEnd, (id) => id.length);
        for (const [id, { endings, steps, points }] of all) {
          const sum = [...endings.values()].reduce((a, b) => a + b, 0);
          expect(sum).toBeCloseTo(1, 10);
          const { ends, steps: far } = gone(graph, id);
          for (const [end, p] of ends) expect(endings.get(end) ?? 0).toBeCloseTo(p, 9);
          expect(steps).toBeCloseTo(far, 6);
          const one = prospectFrom(graph, id, isEnd, (to) => to.length);
          expect([one.steps, one.points]).toEqual([expect.closeTo(steps, 8), expect.closeTo(points, 8)]);
          for (const [end, p] of endings) expect(one.endings.get(end)).toBeCloseTo(p, 10);
        }
      }),
      { numRuns: 300 },
    );
  });

  test('a thousand times the counts should change nothing, nor a place split in two that are the same', () => {
    fc.assert(
      fc.property(someWalks, (arcs) => {
        const before = prospectsOf(digraphOf(arcs), isEnd);
        const more = prospectsOf(digraphOf(arcs.map((a) => ({ ...a, weight: a.weight * 1000 }))), isEnd);
        // one half of what came to b comes to a copy of it
        const split = arcs.flatMap((a): Arc[] => {
          const froms = a.from === 'b' ? ['b', 'b copy'] : [a.from];
          const tos = a.to === 'b' ? ['b', 'b copy'] : [a.to];
          return froms.flatMap((from) => tos.map((to) => ({ from, to, weight: (a.weight * 2) / tos.length })));
        });
        const two = prospectsOf(digraphOf(split), isEnd);
        for (const [id, { endings, steps }] of before)
          for (const other of [more, two]) {
            expect(other.get(id)!.steps).toBeCloseTo(steps, 8);
            for (const [end, p] of endings) expect(other.get(id)!.endings.get(end) ?? 0).toBeCloseTo(p, 9);
          }
      }),
      { numRuns: 300 },
    );
  });

  test('staying where one is should multiply the visits by 1 / (1 − q)', () => {
    const graph = (stay: number): Digraph => digraphOf([arc('a', 'b', 1 - stay), arc('a', 'a', stay), arc('b', 'end')]);
    expect(visitsFrom(graph(0.75), 'a', isEnd).get('a')).toBeCloseTo(4, 12);
  });

  test('bands should hold what was counted, be narrower the more was counted, and be the same from one seed', () => {
    const graph = (times: number): Digraph =>
      digraphOf([
        arc('a', 'b', 3 * times),
        arc('a', 'end lost', times),
        arc('b', 'end won', 2 * times),
        arc('b', 'a', 2 * times),
      ]);
    const [few, many] = [1, 100].map((times) => bandsFrom(graph(times), 'a', isEnd, () => 1, { draws: 200 })!);
    const counted = prospectFrom(graph(1), 'a', isEnd).endings.get('end won')!;
    for (const { endings } of [few!, many!]) {
      expect(endings.get('end won')!.low).toBeLessThan(counted);
      expect(endings.get('end won')!.high).toBeGreaterThan(counted);
    }
    const width = ({ endings }: NonNullable<typeof few>): number =>
      endings.get('end won')!.high - endings.get('end won')!.low;
    expect(width(many!)).toBeLessThan(width(few!) / 4);
    expect(bandsFrom(graph(1), 'a', isEnd, () => 1, { draws: 200 })).toEqual(few);
    expect(bandsFrom(graph(1), 'a', isEnd, () => 1, { draws: 200, isGoingOn: (n) => n < 5 })).toBeUndefined();
    // one step that was seen once is no certainty
    const once = bandsFrom(digraphOf([arc('a', 'end won')]), 'a', isEnd, () => 0)!;
    expect(once.endings.get('end won')).toEqual({ low: expect.any(Number), high: 1 });
    expect(once.endings.get('end won')!.low).toBeLessThan(0.2);
  });
});
