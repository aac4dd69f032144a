import type { Fork, MapLayout, PlaceId } from '@odograph/core';
import type { MapLine } from '../../workers/map.protocol.js';
import { cellKey } from './answersLink.js';
import { curveBetween, overlaps, type Box, type Curve, type Point, type Spot } from './curves.js';

/** A way out of a place that nobody has been seen to go: told beside an attempt, or a step of a route that is kept. */
export type SaidLine = { readonly action: string; readonly to: PlaceId; readonly by: 'said' | 'planned' };

/** What lies open at the place picked: where its lines split, and the ways that are only said. */
export type Unfolded = { readonly forks: readonly Fork[]; readonly said: readonly SaidLine[] };

/** A fork on the picture: where its mark lies, and its answers with the curves that lead on from there. */
export type DrawnFork = {
  readonly fork: Fork;
  readonly at: Point;
  readonly answers: readonly { readonly action: string; readonly curve: Curve }[];
};

/** Where on its line the mark of a fork may lie, the best first. */
const PARTS = [0.6, 0.45, 0.75, 0.32, 0.86, 0.2] as const;
const MOST_ANSWERS = 2;

/** Where it may lie beside the place of a loop. */
const ROUND: readonly Point[] = [-14, -38, 18].flatMap((y) => [36, 60, 84, 12].map((left) => ({ x: -left, y })));
/** Half the side of a mark. */
const MARK = 10;
const markBox = ({ x, y }: Point): Box => ({ x: x - MARK, y: y - MARK, width: 2 * MARK, height: 2 * MARK });
const spotAt = ({ x, y }: Point): Spot => ({ x, y, box: { x: x - 8, y: y - 8, width: 16, height: 16 } });

/** Under what the words of an answer stand. */
export const answerKey = (fork: Fork, action: string): string => `answer ${cellKey(fork, fork.met)} ${action}`;

/** The forks that lie on a line that is drawn, with their answers that lead to a place that is drawn. */
export const drawForks = (
  forks: readonly Fork[],
  place: PlaceId,
  lines: readonly MapLine[],
  curves: ReadonlyMap<string, Curve>,
  layout: MapLayout,
): readonly DrawnFork[] => {
  const places = new Map(layout.places.map((p) => [p.id, p]));
  const from = places.get(place);
  const boxes: Box[] = layout.places.map((p) => p.box);
  return forks.flatMap((fork): DrawnFork[] => {
    const line = lines.find(
      (l) =>
        l.side === 'own' && l.from === place && l.to === fork.to && l.action === fork.action && l.bait === fork.bait,
    );
    const curve = line && curves.get(line.id);
    if (!line || !curve || !from) return [];
    // round a loop there is no room: its marks lie beside the place
    const spots =
      line.to === place
        ? ROUND.map(({ x, y }) => ({ x: from.x + x, y: from.y + y }))
        : PARTS.map((part) => curve.at(part));
    const at = spots.find((spot) => !boxes.some((b) => overlaps(b, markBox(spot))));
    if (!at) return [];
    boxes.push(markBox(at));
    return [
      {
        fork,
        at,
        answers: fork.answers.slice(0, MOST_ANSWERS).flatMap(({ action, to }, i) => {
          const end = places.get(to);
          return end ? [{ action, curve: curveBetween(spotAt(at), end, i) }] : [];
        }),
      },
    ];
  });
};

const HIGH = 15;

/** The words beside the marks of forks: to the right, else to the left, above or below, where they cover nothing; without room there are none. And the room that marks and words take up. */
export const forkTexts = (
  wishes: readonly { readonly id: string; readonly at: Point; readonly width: number }[],
  taken: readonly Box[],
): { readonly texts: ReadonlyMap<string, Point>; readonly boxes: readonly Box[] } => {
  const boxes: Box[] = [...taken, ...wishes.map(({ at }) => markBox(at))];
  const texts = new Map<string, Point>();
  for (const { id, at, width } of wishes) {
    const free = [
      { x: at.x + MARK + 2, y: at.y },
      { x: at.x - MARK - 2 - width, y: at.y },
      { x: at.x - width / 2, y: at.y - MARK - HIGH / 2 },
      { x: at.x - width / 2, y: at.y + MARK + HIGH / 2 },
    ].find(({ x, y }) => !boxes.some((b) => overlaps(b, { x, y: y - HIGH / 2, width, height: HIGH })));
    if (!free) continue;
    texts.set(id, free);
    boxes.push({ x: free.x, y: free.y - HIGH / 2, width, height: HIGH });
  }
  return { texts, boxes };
};

/** The ways that are only said, where both their places are drawn. */
export const drawSaid = (
  said: readonly SaidLine[],
  place: PlaceId,
  layout: MapLayout,
): readonly { readonly line: SaidLine; readonly curve: Curve }[] => {
  const places = new Map(layout.places.map((p) => [p.id, p]));
  const from = places.get(place);
  return said.flatMap((line, i) => {
    const to = places.get(line.to);
    return from && to && from !== to ? [{ line, curve: curveBetween(from, to, 1.5 + (i % 3) * 0.5) }] : [];
  });
};
