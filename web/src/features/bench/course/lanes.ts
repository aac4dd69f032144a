type Span = { readonly id: string; readonly from: number; readonly to: number };

const MOST = 3;

/** Lanes (0 …) for stretches so that those that overlap stand under each other, as long as there are lanes; first free lane by first frame, ties by id. */
export const lanesOf = (spans: readonly Span[]): ReadonlyMap<string, number> => {
  const ends: number[] = [];
  const lanes = new Map<string, number>();
  for (const span of [...spans].sort((a, b) => a.from - b.from || (a.id < b.id ? -1 : 1))) {
    const free = ends.findIndex((end) => end <= span.from);
    const lane = free >= 0 ? free : Math.min(ends.length, MOST - 1);
    ends[lane] = span.to;
    lanes.set(span.id, lane);
  }
  return lanes;
};
