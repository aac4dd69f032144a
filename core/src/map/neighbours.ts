import type { PlaceId } from '../attempts/index.js';
import type { Line } from './types.js';

/** What of a line choosing needs. */
type Seen = Pick<Line, 'id' | 'from' | 'to' | 'count' | 'picked' | 'shown'>;

/** How much a line carries: everything seen behind it, rated or not. */
export const weightOf = (line: Pick<Line, 'count' | 'picked' | 'shown'>): number =>
  line.count + line.picked + line.shown;

export type Extent = { readonly places: number; readonly lines: number };

/** All places, those that carry most first; ties by id. */
export const placesByWeight = (lines: readonly Seen[]): readonly PlaceId[] => {
  const weight = new Map<PlaceId, number>();
  for (const line of lines)
    for (const place of new Set([line.from, line.to])) weight.set(place, (weight.get(place) ?? 0) + weightOf(line));
  return [...weight].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1)).map(([place]) => place);
};

/** Look at the whole: the places that carry most and the lines between them that carry most; ties by id. */
export const mostCarrying = <L extends Seen>(
  lines: readonly L[],
  most: Extent,
): { readonly places: readonly PlaceId[]; readonly lines: readonly L[] } => {
  const places = placesByWeight(lines).slice(0, most.places);
  const chosen = new Set(places);
  const shown = lines
    .filter((l) => chosen.has(l.from) && chosen.has(l.to))
    .sort((a, b) => weightOf(b) - weightOf(a) || (a.id < b.id ? -1 : 1))
    .slice(0, most.lines);
  return { places: places.sort(), lines: shown };
};

/** A place picked: it, what can be reached from it and what leads to it; where that is too much, what carries most. Ties by id. */
export const neighboursOf = <L extends Seen>(
  lines: readonly L[],
  place: PlaceId,
  most = Number.POSITIVE_INFINITY,
): { readonly places: readonly PlaceId[]; readonly lines: readonly L[] } => {
  const near = lines
    .filter((l) => l.from === place || l.to === place)
    .sort((a, b) => weightOf(b) - weightOf(a) || (a.id < b.id ? -1 : 1))
    .slice(0, most)
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  return { places: [...new Set([place, ...near.flatMap((l) => [l.from, l.to])])].sort(), lines: near };
};
