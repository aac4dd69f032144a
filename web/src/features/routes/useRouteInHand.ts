import { placeName, type KeptRoute } from '@odograph/core';
import { useSearchParams } from 'react-router';
import type { MapPicture } from '../../workers/map.protocol.js';
import { useWords } from '../library/index.js';
import { shownFound, type ShownRoute } from './shownRoute.js';
import { useKeptRoute } from './useKeptRoute.js';
import { goalName, useRoutes } from './useRoutes.js';

/** The route that the address asks to play: a kept one, or one of those found between two places. */
export type RouteInHand = {
  readonly route: ShownRoute | undefined;
  /** As it is kept; undefined for one that was only found. */ readonly kept: KeptRoute | undefined;
  readonly name: string;
  /** Where it was picked. */
  readonly back: string;
  readonly picture: MapPicture | null;
  readonly isLooking: boolean;
};

export const useRouteInHand = (): RouteInHand => {
  const [search] = useSearchParams();
  const words = useWords();
  const keptId = search.get('kept');
  const kept = useKeptRoute(keptId);
  const { from, to, picture, routes } = useRoutes();
  const found = from && to ? routes?.[Number(search.get('route') ?? 0)] : undefined;
  if (keptId !== null)
    return {
      route: kept.shown,
      kept: kept.route,
      name: kept.route?.name ?? '',
      back: kept.route ? `/routes/${keptId}` : '/routes',
      picture: kept.picture,
      isLooking: kept.route !== undefined && !kept.shown,
    };
  return {
    route: found && shownFound(found),
    kept: undefined,
    name: from && to ? `${placeName(from, words)} to ${goalName(to, words)}` : '',
    back: `/routes?from=${encodeURIComponent(from ?? '')}&to=${encodeURIComponent(to ?? '')}`,
    picture,
    isLooking: !picture || (routes === undefined && from !== null && to !== null),
  };
};
