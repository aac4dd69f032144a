import { bandsFrom, digraphOf, housePoints, isEnding, pointsAhead, prospectFrom, type PlaceId } from '@odograph/core';
import { expose } from 'comlink';
import type { Chances, ChancesWorker } from './chances.protocol.js';

const DRAWS = 200;
/** It is told so often how far it is. */
const TELL_EVERY = 10;

const worker: ChancesWorker = {
  chances: ({ place, sides, arcs }, onShare): Chances | null => {
    const points = sides === 'both' ? pointsAhead : housePoints;
    const pointsOf = (id: string): number => points(id as PlaceId);
    const graph = digraphOf(arcs);
    if (!graph.ids.includes(place)) return null;
    const prospect = prospectFrom(graph, place, isEnding, pointsOf);
    const bands = bandsFrom(graph, place, isEnding, pointsOf, {
      draws: DRAWS,
      isGoingOn: (done) => {
        if (done % TELL_EVERY === 0) onShare(done / DRAWS);
        return true;
      },
    });
    if (!bands) return null;
    const endings = [...prospect.endings]
      .map(([ending, at]) => ({ ending, at, band: bands.endings.get(ending)! }))
      .sort((a, b) => b.at - a.at || (a.ending < b.ending ? -1 : 1));
    return {
      endings,
      steps: { at: prospect.steps, band: bands.steps },
      points: { at: prospect.points, band: bands.points },
    };
  },
};

expose(worker);
