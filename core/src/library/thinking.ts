import { lineReaction, readPlace, type PlaceId } from '../attempts/index.js';
import {
  bandsFrom,
  componentsOf,
  deadEndsOf,
  digraphOf,
  hubsOf,
  islandsOf,
  loopsOf,
  prospectsOf,
  teachingOrder,
  type Band,
  type Digraph,
  type Hub,
  type Needing,
  type TeachingOrder,
} from '../graph/index.js';
import { lineId, wilson, type Height } from '../map/index.js';
import {
  coverageOf,
  eitherWaysOf,
  leaningLines,
  type EitherWay,
  type Hole,
  type SheetSource,
} from '../sheets/index.js';
import type { Words } from '../vocabulary/index.js';
import { pointsAhead, stepsOfBoth } from './bothSides.js';
import type { AnalysedLine, AnalysedPlace, Analysis } from './analysis.js';

export type AnalysedGroup = {
  readonly from: PlaceId;
  readonly action: string;
  readonly bait: boolean;
  readonly attempts: number;
  readonly successes: number;
  readonly low: number | null;
  readonly high: number | null;
};
export type AnalysedProspect = {
  readonly place: string;
  /** Chances by ending, with `never` and `unknown`. */ readonly endings: Readonly<Record<string, number>>;
  readonly steps: number;
  readonly points: number;
};
export type AnalysedBands = {
  readonly place: string;
  readonly endings: Readonly<Record<string, Band>>;
  readonly steps: Band;
  readonly points: Band;
};

/** What follows from a map: `docs/algorithms/thinking.md` says what each figure means. */
export type Thought = {
  readonly rates: readonly AnalysedGroup[];
  readonly chain: readonly AnalysedProspect[];
  /** The same with what the other side does. */ readonly chainOfBoth: readonly AnalysedProspect[];
  readonly bands: readonly AnalysedBands[];
  readonly hubs: readonly Hub[];
  readonly components: readonly (readonly string[])[];
  readonly islands: readonly (readonly string[])[];
  readonly deadEnds: readonly string[];
  readonly loops: { readonly isCut: boolean; readonly list: readonly (readonly string[])[] };
  readonly dilemmas: readonly EitherWay[];
  readonly prerequisites: TeachingOrder;
  readonly holes: readonly Hole[];
  readonly leansOnCloth: ReturnType<typeof leaningLines>;
};

type Lines = readonly Pick<AnalysedLine, 'from' | 'to' | 'count'>[];

/** The lines of a map as a graph: all of them are ways, how often each was gone counts where chances do. */
export const graphOfLines = (lines: Lines): Digraph =>
  digraphOf(lines.map(({ from, to, count }) => ({ from, to, weight: count })));

/** Where it is over: a submission, a restart. */
export const isEnding = (id: string): boolean => {
  const place = readPlace(id);
  return place !== undefined && place.kind !== 'state';
};

const chainOf = (graph: Digraph, pointsOf: (id: string) => number): readonly AnalysedProspect[] =>
  [...prospectsOf(graph, isEnding, pointsOf)].map(([place, p]) => ({
    ...{ place, steps: p.steps, points: p.points },
    endings: Object.fromEntries(p.endings),
  }));

const groupsOf = (lines: readonly AnalysedLine[]): readonly AnalysedGroup[] => {
  const groups = new Map<string, { readonly line: AnalysedLine; successes: number }>();
  for (const line of lines) {
    const key = `${line.from} ${line.action} ${line.bait}`;
    const group = groups.get(key) ?? { line, successes: 0 };
    group.successes += line.successes;
    groups.set(key, group);
  }
  return [...groups.values()].map(({ line: { from, action, bait, attempts }, successes }) => {
    const interval = wilson(successes, attempts);
    return { from, action, bait, attempts, successes, low: interval?.low ?? null, high: interval?.high ?? null };
  });
};

/** The components of more than one place, the largest first, then by their first place. */
const partsOf = (graph: Digraph): readonly (readonly string[])[] => {
  const { count, of } = componentsOf(graph);
  const parts: string[][] = Array.from({ length: count }, () => []);
  graph.ids.forEach((id, at) => parts[of[at]!]!.push(id));
  return parts.filter((p) => p.length > 1).sort((a, b) => b.length - a.length || (a[0]! < b[0]! ? -1 : 1));
};

/** What has to be known before what: of a place the place above it, of an entry the place it starts from. */
const needsOf = (places: readonly AnalysedPlace[], lines: readonly AnalysedLine[]): readonly Needing[] => [
  ...places.flatMap(({ id, parent, terminal }) => (terminal ? [] : [{ id, needs: parent === null ? [] : [parent] }])),
  ...lines.map(({ from, action }) => ({ id: `${from} ${action}`, needs: [from] })),
];

/** Loops of at most so many places are listed, and at most so many of them. */
const LOOPS = { longest: 3, most: 1000 };

/** Everything that follows from a map and what it was counted from. `starts`: places from which it is also said how far the chances can be believed. */
export const thoughtOf = (
  { lines, places }: Pick<Analysis, 'lines' | 'places'>,
  source: SheetSource,
  heights: ReadonlyMap<string, Height>,
  words: Words,
  starts: readonly string[],
): Thought => {
  const graph = graphOfLines(lines);
  const points = new Map(places.map((p) => [p.id as string, p.points]));
  const pointsOf = (id: string): number => points.get(id) ?? 0;
  const loops = loopsOf(graph, LOOPS);
  return {
    rates: groupsOf(lines),
    chain: chainOf(graph, pointsOf),
    chainOfBoth: chainOf(digraphOf(stepsOfBoth(lines, true)), (id) => pointsAhead(id as PlaceId)),
    bands: starts.flatMap((place) => {
      const bands = graph.ids.includes(place) ? bandsFrom(graph, place, isEnding, pointsOf) : undefined;
      return bands ? [{ ...bands, place, endings: Object.fromEntries(bands.endings) }] : [];
    }),
    hubs: hubsOf(graph),
    components: partsOf(graph),
    islands: islandsOf(graph),
    deadEnds: deadEndsOf(graph).filter((id) => !isEnding(id)),
    loops: { isCut: loops.isCut, list: loops.loops },
    dilemmas: eitherWaysOf(source),
    prerequisites: teachingOrder(needsOf(places, lines)),
    holes: coverageOf(source, heights, words),
    leansOnCloth: leaningLines(source.cases),
  };
};

/** What lines say about reactions beside their counts, in words that a program reads: `met` is *reaction n/worked*, `opened` is *reaction>entry*, each set apart by bars; null where there is nothing to say. */
export type ReactionTexts = { readonly met: string | null; readonly opened: string | null };

/** Of each line (`from action to`, a bait marked), what its rated attempts met, and which entries answered a reaction that stopped one of its attempts, and worked. */
export const reactionTexts = (source: SheetSource): ReadonlyMap<string, ReactionTexts> => {
  const byId = new Map(source.cases.map((c) => [c.attempt.id, c]));
  type One = { readonly met: Map<string, { n: number; worked: number }>; readonly opened: Set<string> };
  const lines = new Map<string, One>();
  const answersTo = new Map<string, typeof source.answers>();
  for (const answer of source.answers) answersTo.set(answer.toId, [...(answersTo.get(answer.toId) ?? []), answer]);
  for (const c of source.cases) {
    const met = lineReaction(c.attempt);
    if (c.whose !== 'own' || !met || met.isAction) continue;
    const key = lineId(c.from, c.action, c.attempt.intent === 'bait', c.to);
    const line = lines.get(key) ?? { met: new Map<string, { n: number; worked: number }>(), opened: new Set<string>() };
    lines.set(key, line);
    const isSuccess = c.attempt.result === 'success';
    if (c.isRated) {
      const { n, worked } = line.met.get(met.what) ?? { n: 0, worked: 0 };
      line.met.set(met.what, { n: n + 1, worked: worked + (isSuccess ? 1 : 0) });
    }
    if (!c.isCounted || isSuccess) continue;
    for (const { attemptId, reaction } of answersTo.get(c.attempt.id) ?? []) {
      const by = byId.get(attemptId);
      if (reaction === met.what && by?.isCounted && !by.isHeld && by.attempt.result === 'success')
        line.opened.add(`${met.what}>${by.action}`);
    }
  }
  return new Map(
    [...lines].map(([key, { met, opened }]) => [
      key,
      {
        met:
          [...met]
            .map(([what, { n, worked }]) => `${what} ${n}/${worked}`)
            .sort()
            .join('|') || null,
        opened: [...opened].sort().join('|') || null,
      },
    ]),
  );
};
