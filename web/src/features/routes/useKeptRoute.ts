import type { KeptRoute } from '@odograph/core';
import { useMemo } from 'react';
import type { MapPicture } from '../../workers/map.protocol.js';
import { useLibrary } from '../library/index.js';
import { useMapPicture } from '../map/index.js';
import { linesSaid, shownRoute, type ShownRoute } from './shownRoute.js';
import { useGripChangesQuery } from './routes.api.js';

export type Kept = {
  readonly route: KeptRoute | undefined;
  readonly shown: ShownRoute | undefined;
  readonly picture: MapPicture | null;
};

/** A kept route with the lines it stands on, as the map has them now. */
export const useKeptRoute = (id: string | null | undefined): Kept => {
  const { routes } = useLibrary();
  const picture = useMapPicture();
  const route = routes.find((r) => r.id === id);
  const lineIds = useMemo(() => (route ? linesSaid(route) : []), [route]);
  const { data: changes } = useGripChangesQuery(
    { lineIds, revision: picture?.revision ?? 0 },
    { skip: !picture || lineIds.length === 0 },
  );
  const shown = useMemo(() => route && picture && shownRoute(route, picture, changes), [route, picture, changes]);
  return { route, shown: shown ?? undefined, picture };
};
