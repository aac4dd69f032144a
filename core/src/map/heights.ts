import { defaultHeight, flipPlace, type PlaceId } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { NONE, RowTable, isBait, isHeld, isThorough, kindOf, type Logged } from './rows.js';
import { WHOLE, sidesOf, type CountingView } from './view.js';

/** How good a place is for whoever is in it (−5 … +5), and how much is at stake there (weighted mean distance of what follows). */
export type Height = { readonly height: number; readonly stake: number };

/** How strongly the default holds against what was seen: as much as this many competition attempts. */
const DEFAULT_WEIGHT = 8;
const SETTING_WEIGHT = { competition: 1, training: 0.5, demonstration: 0 } as const;

/**
 * Heights of all places in sight: (k·d + Σ w·v) / (k + Σ w) over the rated attempts that start there, and, with the sign turned, over those
 * that start in the other side's view of it. v is the default height of the finish, so one new attempt moves one place and its flip only.
 * Baits and attempts that keep the state by a grip or a hold do not count. Sum zero: height(flip s) = −height(s).
 */
export const heightsOf = (table: RowTable, words: Words, view: CountingView = WHOLE): ReadonlyMap<PlaceId, Height> => {
  const seen = new Map<PlaceId, { weight: number; sum: number; stake: number }>();
  const places = new Set<PlaceId>();
  const text = (place: number): PlaceId => table.places.texts[place] as PlaceId;
  const note = (place: PlaceId, value: number, weight: number): void => {
    const own = defaultHeight(place, words) ?? 0;
    const old = seen.get(place) ?? { weight: 0, sum: 0, stake: 0 };
    seen.set(place, {
      weight: old.weight + weight,
      sum: old.sum + weight * value,
      stake: old.stake + weight * Math.abs(value - own),
    });
  };
  const whose = sidesOf(table, view);
  const column = (name: Parameters<RowTable['column']>[0]): Int32Array => table.column(name);
  for (let row = 0; row < table.length; row++) {
    const flags = column('flags')[row]!;
    const kind = kindOf(flags);
    if ((kind !== 'counted' && kind !== 'shown') || whose(row) === 'neither') continue;
    const from = text(column('from')[row]!);
    for (const place of [from, text(column('to')[row]!)]) {
      places.add(place);
      places.add(flipPlace(place));
    }
    const footage = table.footage[column('footage')[row]!]!;
    const isRated = isThorough(flags) || view.includePicked;
    const end = column('value')[row]!;
    if (kind === 'shown' || isBait(flags) || isHeld(flags) || !isRated || end === NONE) continue;
    const value = defaultHeight(text(end), words);
    if (value === undefined) continue;
    const weight = SETTING_WEIGHT[footage.setting];
    note(from, value, weight);
    note(flipPlace(from), -value, weight);
  }
  return new Map(
    [...places].sort().flatMap((place): [PlaceId, Height][] => {
      const own = defaultHeight(place, words);
      if (own === undefined) return [];
      const s = seen.get(place);
      const height = s ? (DEFAULT_WEIGHT * own + s.sum) / (DEFAULT_WEIGHT + s.weight) : own;
      return [[place, { height, stake: s?.weight ? s.stake / s.weight : 0 }]];
    }),
  );
};

export const buildHeights = (
  logged: readonly Logged[],
  words: Words,
  view: CountingView = WHOLE,
): ReadonlyMap<PlaceId, Height> => heightsOf(RowTable.of(logged, words), words, view);
