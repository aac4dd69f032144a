import {
  BARE_ROUTE,
  BARE_STEP,
  columnsOf,
  isLineStep,
  lineOfStep,
  placeName,
  stepsOf,
  waysOf,
  type KeptRoute,
  type LineStep,
  type PlaceId,
  type RouteStep,
  type Way,
  type Words,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import type { MapLine, MapPicture, MapRoute } from '../../workers/map.protocol.js';
import { STEP_KIND_TEXT } from './routes.text.js';

/** A step as it is drawn and played. One that says a line of the map has it; kept ones carry what is said to them. */
export type ShownStep = {
  readonly id: string;
  readonly line: MapLine | undefined;
  readonly gripChanges: number;
  readonly kept?: RouteStep;
};
/** A route as it is drawn and played: all its steps, and every way from one to another. */
export type ShownRoute = {
  readonly steps: readonly ShownStep[];
  readonly ways: readonly Way[];
  /** How far along each step stands, the first at 0. */ readonly columns: ReadonlyMap<string, number>;
};

const NONE = { count: 0, successes: 0, partial: 0 } as const;
/** A line that nothing on the map says (any more): a step can stand there all the same. */
const lineWithoutEvidence = ({ id, from, action, to }: LineStep): MapLine => ({
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

/** The lines that the main line of a route says, in their order. */
export const linesSaid = (route: KeptRoute): readonly string[] =>
  stepsOf(route, null).filter(isLineStep).map(lineOfStep);

/** `changes`: how many grips change before each line of the main line, as `linesSaid` lists them. */
export const shownRoute = (route: KeptRoute, picture: MapPicture, changes: readonly number[] = []): ShownRoute => {
  const lines = new Map(picture.lines.map((l) => [l.id, l]));
  let said = 0;
  return {
    steps: route.steps.map((kept): ShownStep => {
      if (!isLineStep(kept)) return { id: kept.id, kept, line: undefined, gripChanges: 0 };
      const line = lines.get(lineOfStep(kept)) ?? lineWithoutEvidence(kept);
      return { id: kept.id, kept, line, gripChanges: (kept.branch === null ? changes[said++] : undefined) ?? 0 };
    }),
    ways: waysOf(route),
    columns: columnsOf(route),
  };
};

/** A route that was found, as it is drawn and played: one line of steps. */
export const shownFound = ({ steps }: MapRoute): ShownRoute => {
  // no bare numbers: in addresses those say where on the main line a step stands
  const shown = steps.map(({ line, gripChanges }, i): ShownStep => ({ id: `found ${i}`, line, gripChanges }));
  return {
    steps: shown,
    ways: shown.slice(1).map((step, i) => ({
      ...{ from: shown[i]!.id, to: step.id, on: null, branchId: null, isBack: false },
    })),
    columns: new Map(shown.map((step, i) => [step.id, i])),
  };
};

/** The steps of the main line, in their order. */
export const mainOf = ({ steps }: ShownRoute): readonly ShownStep[] => steps.filter((s) => !s.kept?.branch);

/** Where a step begins, and where it leads; a step that is no line is where it is said to be. */
export const beginsAt = ({ line, kept }: ShownStep): PlaceId | undefined =>
  line?.from ?? (kept?.from as PlaceId | null | undefined) ?? undefined;
export const endsAt = ({ line, kept }: ShownStep): PlaceId | undefined =>
  line?.to ?? ((kept?.to ?? kept?.from) as PlaceId | null | undefined) ?? undefined;

/** What a step is called. */
export const stepName = ({ line, kept }: ShownStep, words: Words): string => {
  if (line) return words.name('action', line.action);
  if (!kept) return '';
  return kept.title || (kept.from === null ? STEP_KIND_TEXT[kept.kind] : placeName(kept.from, words));
};

/** A line of the map as a step, nothing said to it yet. */
export const stepOfLine = ({ from, action, to }: Pick<MapLine, 'from' | 'action' | 'to'>): RouteStep => ({
  ...BARE_STEP,
  ...{ id: newId(), from, action, to },
});

/** A found route as one that is kept, nothing said to its steps yet. */
export const keptOf = (route: MapRoute, name: string): KeptRoute => ({
  ...{ id: newId(), version: 0, name },
  steps: route.steps.map(({ line }) => stepOfLine(line)),
  ...BARE_ROUTE,
});

/** How many steps stand on the main line. */
export const mainSteps = (route: KeptRoute): number => stepsOf(route, null).length;
