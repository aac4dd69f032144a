import type { MapLayout, PlacedPlace, PlaceId } from '@odograph/core';

type Placed = Pick<PlacedPlace, 'id' | 'x' | 'y'> & { readonly column: number };

/** Places column by column, from the top of each: the order in which they are gone through. */
export const columnwise = ({ places, columns }: Pick<MapLayout, 'places' | 'columns'>) => {
  const columnOf = (x: number): number => columns.findLastIndex((c) => c.x <= x);
  return places
    .map((p) => ({ ...p, column: columnOf(p.x) }))
    .sort((a, b) => a.column - b.column || a.y - b.y || (a.id < b.id ? -1 : 1));
};

/** Where an arrow key leads from a place: up and down in its column, left and right to the nearest height of the next column that has one; undefined at an end. */
export const neighbour = (inOrder: readonly Placed[], from: PlaceId, key: string): PlaceId | undefined => {
  const at = inOrder.findIndex((p) => p.id === from);
  const here = inOrder[at];
  if (!here) return undefined;
  if (key === 'ArrowUp' || key === 'ArrowDown') {
    const next = inOrder[at + (key === 'ArrowUp' ? -1 : 1)];
    return next?.column === here.column ? next.id : undefined;
  }
  if (key !== 'ArrowLeft' && key !== 'ArrowRight') return undefined;
  const beside = inOrder.filter((p) => (key === 'ArrowLeft' ? p.column < here.column : p.column > here.column));
  const column = key === 'ArrowLeft' ? beside.at(-1)?.column : beside[0]?.column;
  return beside
    .filter((p) => p.column === column)
    .reduce<Placed | undefined>(
      (best, p) => (best && Math.abs(best.y - here.y) <= Math.abs(p.y - here.y) ? best : p),
      undefined,
    )?.id;
};
