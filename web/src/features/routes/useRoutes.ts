import { placeName, type PlaceId, type Words } from '@odograph/core';
import { useSearchParams } from 'react-router';
import { useMapPicture } from '../map/index.js';
import type { MapPicture, MapRoute, RouteQuestion } from '../../workers/map.protocol.js';
import { useBestRoutesQuery } from './routes.api.js';

/** How *any submission* stands in the address. */
export const ANY = 'any';
const MOST = 3;

export const goalName = (to: string, words: Words): string => (to === ANY ? 'any submission' : placeName(to, words));

export type Asked = {
  readonly from: string | null;
  readonly to: string | null;
  readonly picture: MapPicture | null;
  readonly routes: readonly MapRoute[] | undefined;
  readonly question: RouteQuestion;
  readonly failed: boolean;
};

/** The question in the address, and the routes that answer it. */
export const useRoutes = (): Asked => {
  const [search] = useSearchParams();
  const picture = useMapPicture();
  const from = search.get('from'),
    to = search.get('to');
  const question: RouteQuestion = {
    from: from as PlaceId,
    goal: to === ANY ? { kind: 'any submission' } : { kind: 'place', place: to as PlaceId },
    most: MOST,
  };
  const { currentData, isError } = useBestRoutesQuery(
    { question, revision: picture?.revision ?? 0 },
    { skip: !picture || !from || !to },
  );
  return { from, to, picture, question, routes: currentData, failed: isError };
};
