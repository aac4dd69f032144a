import { placeFamily, placeName, readPlace, stateId, type PlaceId } from '../attempts/index.js';
import { RowTable, Tally, heightsOf, type CountingView } from '../map/index.js';
import { unseenOf, type Plan } from '../plans/index.js';
import { bestRoutes, lineCost, type RouteGoal } from '../routes/index.js';
import { housePoints } from '../scoring/index.js';
import type { Words } from '../vocabulary/index.js';
import { loggedOf, wordsOf, type Library } from './library.js';

export type AnalysedPlace = {
  readonly id: PlaceId;
  readonly name: string;
  readonly role: string;
  readonly family: string;
  /** The place above it; null where there is none. */ readonly parent: PlaceId | null;
  readonly height: number | null;
  readonly stake: number;
  readonly terminal: boolean;
  readonly points: number;
};
export type AnalysedLine = {
  readonly from: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly to: PlaceId;
  readonly count: number;
  readonly attempts: number;
  readonly successes: number;
  readonly partial: number;
  readonly competition: number;
  readonly training: number;
  readonly picked: number;
  readonly shown: number;
  readonly proposed: number;
  readonly given: number;
  readonly thrown: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly cost: number | null;
};
export type RouteQuestion = { readonly from: string; readonly to: string };
export type AnalysedRoute = {
  readonly places: readonly string[];
  readonly actions: readonly string[];
  readonly cost: number;
  readonly chance: number;
};
export type Analysis = {
  readonly totals: {
    readonly attempts: number;
    readonly lines: number;
    readonly shown: number;
    readonly picked: number;
    readonly unplaced: number;
    readonly drafts: number;
    readonly proposed: number;
  };
  readonly places: readonly AnalysedPlace[];
  readonly lines: readonly AnalysedLine[];
  readonly routes: readonly { readonly from: string; readonly to: string; readonly best: readonly AnalysedRoute[] }[];
};

/** Name of the goal *any submission won* in a route question. */
export const ANY_SUBMISSION = 'any submission';

/** The whole analysis of a library: places with heights, lines with evidence and cost, the three best routes for each question. */
export const analyse = (
  library: Library,
  questions: readonly RouteQuestion[] = [],
  view: CountingView = { includePicked: false },
): Analysis => {
  const words = wordsOf(library);
  return analyseRows(RowTable.of(loggedOf(library), words), words, questions, view);
};

/** The place above one: the same role of the position's parent; null where there is none. */
export const parentOf = (id: string, words: Words): PlaceId | null => {
  const place = readPlace(id);
  const parent = place?.kind === 'state' ? words.position(place.position)?.parent : undefined;
  return place?.kind === 'state' && parent !== undefined ? stateId({ position: parent, role: place.role }) : null;
};

type Books = { readonly lines: ReturnType<Tally['book']>['lines'] };

const analysedPlace = (
  id: PlaceId,
  height: ReturnType<ReturnType<typeof heightsOf>['get']>,
  words: Words,
): AnalysedPlace => {
  const place = readPlace(id)!;
  return {
    id,
    name: placeName(id, words),
    role: place.kind === 'state' ? place.role : '',
    family: placeFamily(id, words),
    parent: parentOf(id, words),
    height: height?.height ?? null,
    stake: height?.stake ?? 0,
    terminal: place.kind !== 'state',
    points: housePoints(id),
  };
};

const analysedLine = (l: Books['lines'][number]): AnalysedLine => ({
  from: l.from,
  action: l.action,
  bait: l.bait,
  to: l.to,
  count: l.count,
  attempts: l.attempts,
  successes: l.successes,
  partial: l.partial,
  competition: l.competition.count,
  training: l.training.count,
  picked: l.picked,
  shown: l.shown,
  proposed: l.proposed,
  given: l.given,
  thrown: l.thrown,
  low: l.interval?.low ?? null,
  high: l.interval?.high ?? null,
  // no route goes over what is only shown to draw a reaction
  cost: l.bait ? null : (lineCost(l) ?? null),
});

const analysedRoutes = ({ from, to }: RouteQuestion, { lines }: Books): Analysis['routes'][number] => {
  const goal: RouteGoal = to === ANY_SUBMISSION ? { kind: 'any submission' } : { kind: 'place', place: to as PlaceId };
  const best = bestRoutes(lines, from as PlaceId, goal, 3).map((r): AnalysedRoute => ({
    places: [from, ...r.steps.map((s) => s.line.to)],
    actions: r.steps.map((s) => s.line.action),
    cost: r.cost,
    chance: r.chance,
  }));
  return { from, to, best };
};

/** The same out of attempts that are rows already. */
export const analyseRows = (
  table: RowTable,
  words: Words,
  questions: readonly RouteQuestion[] = [],
  view: CountingView = { includePicked: false },
): Analysis => {
  const book = new Tally(table, view).book();
  const heights = heightsOf(table, words, view);
  const ids = [...new Set(book.lines.flatMap((l) => [l.from, l.to]))].sort();
  return {
    totals: {
      attempts: book.attempts,
      lines: book.lines.length,
      shown: book.shown,
      picked: book.picked,
      unplaced: book.unplaced,
      drafts: book.drafts,
      proposed: book.proposed,
    },
    places: ids.map((id) => analysedPlace(id, heights.get(id), words)),
    lines: book.lines.map(analysedLine),
    routes: questions.map((question) => analysedRoutes(question, book)),
  };
};

const NOTHING_SEEN = {
  ...{ count: 0, attempts: 0, successes: 0, partial: 0, competition: 0, training: 0, picked: 0, shown: 0 },
  ...{ proposed: 0, given: 0, thrown: 0, low: null, high: null, cost: null },
} as const;

/** The map with the lines that are only planned, and the places to which only they lead; they have no figures. */
export const withPlanned = (analysis: Analysis, plans: readonly Pick<Plan, 'lines'>[], words: Words): Analysis => {
  const planned = unseenOf(plans, analysis.lines);
  if (!planned.length) return analysis;
  const known = new Set<string>(analysis.places.map((p) => p.id));
  const more = new Set(planned.flatMap(({ from, to }) => [from, to]).filter((id) => !known.has(id)));
  const lines = planned.map(({ from, to, ...line }): AnalysedLine => ({
    ...{ ...NOTHING_SEEN, ...line },
    ...{ from: from as PlaceId, to: to as PlaceId },
  }));
  return {
    ...analysis,
    places: [...analysis.places, ...[...more].map((id) => analysedPlace(id as PlaceId, undefined, words))].sort(
      (a, b) => (a.id < b.id ? -1 : 1),
    ),
    lines: [...analysis.lines, ...lines],
  };
};
