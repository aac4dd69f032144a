import { lineOfStep, type KeptRoute, type PlaceId, type RouteStep } from '@odograph/core';
import { v7 as newId } from 'uuid';
import type { MapLine, MapPicture, MapRoute } from '../../workers/map.protocol.js';

/** A route as it is drawn and played: its steps with their lines. Kept ones carry what is said to each step. */
export type ShownStep = {
  readonly line: MapLine;
  readonly gripChanges: number;
  readonly kept?: RouteStep;
};
export type ShownRoute = { readonly steps: readonly ShownStep[] };

const NONE = { count: 0, successes: 0, partial: 0 } as const;
/** A line that nothing on the map says (any more): a step can stand there all the same. */
const lineWithoutEvidence = ({ id, from, action, to }: RouteStep): MapLine => ({
  id: `step ${id}`,
  from: from as PlaceId,
  action,
  bait: false,
  side: 'own',
  to: to as PlaceId,
  attempts: 0,
  worked: 0,
  count: 0,
  successes: 0,
  partial: 0,
  interval: undefined,
  competition: NONE,
  training: NONE,
  picked: 0,
  shown: 0,
  proposed: 0,
  given: 0,
  thrown: 0,
  attemptIds: [],
});

const lineOf = (step: RouteStep, picture: MapPicture): MapLine | undefined =>
  picture.lines.find((l) => l.id === lineOfStep(step));

export const shownRoute = (route: KeptRoute, picture: MapPicture, changes: readonly number[] = []): ShownRoute => ({
  steps: route.steps.map((kept, i) => ({
    kept,
    line: lineOf(kept, picture) ?? lineWithoutEvidence(kept),
    gripChanges: changes[i] ?? 0,
  })),
});

/** A found route as one that is kept, nothing said to its steps yet. */
export const keptOf = (route: MapRoute, name: string): KeptRoute => ({
  id: newId(),
  version: 0,
  name,
  steps: route.steps.map(({ line }) => ({
    id: newId(),
    from: line.from,
    action: line.action,
    to: line.to,
    clipId: null,
    cue: '',
    note: '',
  })),
});
