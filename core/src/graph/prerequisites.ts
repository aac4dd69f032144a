import { KeyHeap } from './heap.js';

/** Something to be taught, and what has to come before it. */
export type Needing = { readonly id: string; readonly needs: readonly string[] };

/** What can be taught in which order; where it can't, what needs itself in the end, the way round. */
export type TeachingOrder =
  | { readonly kind: 'order'; readonly ids: readonly string[] }
  | { readonly kind: 'circle'; readonly through: readonly string[] };

/** A way round among things that all wait for another: the smallest id of it first. */
const circleAmong = (waiting: ReadonlyMap<string, ReadonlySet<string>>): readonly string[] => {
  const seen: string[] = [];
  let at = [...waiting.keys()].sort()[0]!;
  while (!seen.includes(at)) {
    seen.push(at);
    at = [...waiting.get(at)!].filter((need) => waiting.has(need)).sort()[0]!;
  }
  const round = seen.slice(seen.indexOf(at));
  const first = round.indexOf([...round].sort()[0]!);
  return [...round.slice(first), ...round.slice(0, first)];
};

/**
 * The order in which things can be taught, each after all that it needs (Kahn 1962); where several can be next, the smallest id. What is needed and isn't among the things is
 * one of them that needs nothing. O((things + needs) · log things).
 */
export const teachingOrder = (things: readonly Needing[]): TeachingOrder => {
  const needs = new Map<string, Set<string>>();
  const needsOf = (id: string): Set<string> => {
    const known = needs.get(id) ?? new Set<string>();
    needs.set(id, known);
    return known;
  };
  for (const { id, needs: some } of things) {
    const all = needsOf(id);
    for (const need of some) {
      all.add(need);
      needsOf(need);
    }
  }
  const sorted = [...needs.keys()].sort();
  const numbers = new Map(sorted.map((id, n) => [id, n]));
  const open = Int32Array.from(sorted, (id) => needs.get(id)!.size);
  const waiting: number[][] = sorted.map(() => []);
  sorted.forEach((id, n) => needs.get(id)!.forEach((need) => waiting[numbers.get(need)!]!.push(n)));
  const ready = new KeyHeap();
  open.forEach((left, n) => {
    if (left === 0) ready.push(n, n);
  });
  const ids: string[] = [];
  for (let n = ready.pop(); n >= 0; n = ready.pop()) {
    ids.push(sorted[n]!);
    for (const next of waiting[n]!) if (--open[next]! === 0) ready.push(next, next);
  }
  if (ids.length === sorted.length) return { kind: 'order', ids };
  return { kind: 'circle', through: circleAmong(new Map([...needs].filter(([id]) => open[numbers.get(id)!]! > 0))) };
};
