import { defaultHeight, finishOf, flipPlace, finishId, standingOf, stateId, type PlaceId } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import type { CountingView, Logged } from './lines.js';

/** How good a place is for whoever is in it (−5 … +5), and how much is at stake there (mean distance of what follows). */
export type Height = { readonly height: number; readonly stake: number };

/** How strongly the default holds against what was seen: as much as this many competition attempts. */
const DEFAULT_WEIGHT = 8;
const SETTING_WEIGHT = { competition: 1, training: 0.5, demonstration: 0 } as const;

/**
 * Heights of all places in sight: (k·d + Σ w·v) / (k + Σ w) over the rated attempts that start there, and, with the sign turned, over those
 * that start in the other side's view of it. v is the default height of the finish, so one new attempt moves one place and its flip only.
 * Baits and attempts that keep the state by a grip or a hold do not count. Sum zero: height(flip s) = −height(s).
 */
export const buildHeights = (
  logged: readonly Logged[],
  words: Words,
  view: CountingView = { includePicked: false },
): ReadonlyMap<PlaceId, Height> => {
  const seen = new Map<PlaceId, { weight: number; sum: number; stake: number; n: number }>();
  const places = new Set<PlaceId>();
  const note = (place: PlaceId, value: number, weight: number): void => {
    const own = defaultHeight(place, words) ?? 0;
    const old = seen.get(place) ?? { weight: 0, sum: 0, stake: 0, n: 0 };
    seen.set(place, {
      weight: old.weight + weight,
      sum: old.sum + weight * value,
      stake: old.stake + Math.abs(value - own),
      n: old.n + 1,
    });
  };
  for (const { attempt, footage } of logged) {
    const standing = standingOf(attempt, footage, words);
    if (standing.kind !== 'counted' && standing.kind !== 'shown') continue;
    for (const place of [standing.from, standing.to]) {
      places.add(place);
      places.add(flipPlace(place));
    }
    const does = words.action(attempt.action!)?.does;
    if (
      standing.kind === 'shown' ||
      attempt.intent === 'bait' ||
      ((does === 'grip' || does === 'hold') && standing.from === standing.to)
    )
      continue;
    if (footage.logged !== 'throughout' && !view.includePicked) continue;
    const end = finishOf(attempt, words)!.finish;
    const to = end.kind === 'reset' ? end.restart && stateId(end.restart) : finishId(end);
    const value = to === null ? undefined : defaultHeight(to, words);
    if (value === undefined) continue;
    const weight = SETTING_WEIGHT[footage.setting];
    note(standing.from, value, weight);
    note(flipPlace(standing.from), -value, weight);
  }
  return new Map(
    [...places].sort().flatMap((place): [PlaceId, Height][] => {
      const own = defaultHeight(place, words);
      if (own === undefined) return [];
      const s = seen.get(place);
      return [
        [
          place,
          s
            ? { height: (DEFAULT_WEIGHT * own + s.sum) / (DEFAULT_WEIGHT + s.weight), stake: s.stake / s.n }
            : { height: own, stake: 0 },
        ],
      ];
    }),
  );
};
