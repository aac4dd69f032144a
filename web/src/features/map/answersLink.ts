import { columnKey, type Column } from '@odograph/core';

/** How the address names a box of a table of answers. */
export const cellKey = (
  { action, bait }: { readonly action: string; readonly bait: boolean },
  column: Column,
): string => `${action}${bait ? ' (bait)' : ''} × ${columnKey(column)}`;

/** Leads to the table of answers of a place, with one box in hand. */
export const answersLink = (place: string, cell?: string): string =>
  `/map/answers?place=${encodeURIComponent(place)}${cell === undefined ? '' : `&cell=${encodeURIComponent(cell)}`}`;

/** Leads to a line of the map, at the place it starts from. */
export const lineLink = ({ from, id }: { readonly from: string; readonly id: string }, at = from): string =>
  `/map?place=${encodeURIComponent(at)}&line=${encodeURIComponent(id)}`;
