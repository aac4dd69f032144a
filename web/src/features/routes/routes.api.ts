import type { EvidenceReach } from '@odograph/core';
import { mapWorker } from '../../workers/map.client.js';
import type { MapRoute, RouteQuestion } from '../../workers/map.protocol.js';
import { serverApi } from '../server/index.js';

/** Routes as the map's worker finds them; `revision` says of which map. */
export const routesApi = serverApi.injectEndpoints({
  overrideExisting: 'throw',
  endpoints: (build) => ({
    bestRoutes: build.query<readonly MapRoute[], { readonly question: RouteQuestion; readonly revision: number }>({
      queryFn: async ({ question }) => {
        try {
          return { data: await mapWorker().routes(question) };
        } catch (error) {
          return { error: { status: 'CUSTOM_ERROR', error: String(error) } };
        }
      },
    }),
    reach: build.query<
      EvidenceReach | null,
      { readonly question: Omit<RouteQuestion, 'most'>; readonly revision: number }
    >({
      queryFn: async ({ question }) => {
        try {
          return { data: await mapWorker().reach(question) };
        } catch (error) {
          return { error: { status: 'CUSTOM_ERROR', error: String(error) } };
        }
      },
    }),
    gripChanges: build.query<readonly number[], { readonly lineIds: readonly string[]; readonly revision: number }>({
      queryFn: async ({ lineIds }) => {
        try {
          return { data: await mapWorker().gripChanges(lineIds) };
        } catch (error) {
          return { error: { status: 'CUSTOM_ERROR', error: String(error) } };
        }
      },
    }),
  }),
});

export const { useBestRoutesQuery, useGripChangesQuery, useReachQuery } = routesApi;
