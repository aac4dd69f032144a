import { layoutMap, type MapLayout, type PlaceId } from '@odograph/core';
import { memo, useMemo, useRef, useState } from 'react';
import { useWords } from '../library/index.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';
import { cellKey } from './answersLink.js';
import { curveBetween, loopAt, placeTexts, type Curve, type Point } from './curves.js';
import { longText } from './lineText.js';
import { MAP_TEXT as T, UNFOLDED_TEXT } from './map.text.js';
import { Arrows, Columns, HeightAxis } from './MapAxes.js';
import { LineTexts, Lines } from './MapLines.js';
import { MapPlace } from './MapPlace.js';
import { columnwise, neighbour } from './neighbour.js';
import { AXIS, FOOT, LINE_HEIGHT, measure } from './sizes.js';
import { answerKey, drawForks, drawSaid, forkTexts, type Unfolded } from './unfolded.js';
import { UnfoldedHere, forkText } from './UnfoldedHere.js';

type Props = {
  readonly picture: MapPicture;
  readonly places: readonly PlaceId[];
  readonly lines: readonly MapLine[];
  readonly place: PlaceId | undefined;
  readonly target: PlaceId | undefined;
  readonly inHand: string | undefined;
  /** What lies open at the place picked. */ readonly unfolded: Unfolded | undefined;
  readonly width: number;
  readonly height: number;
  readonly onPick: (place: PlaceId, isTarget: boolean) => void;
  readonly onLine: (line: MapLine) => void;
  /** Back to the whole map. */ readonly onWhole: () => void;
};

const curvesOf = (layout: MapLayout, lines: readonly MapLine[]): ReadonlyMap<string, Curve> => {
  const at = new Map(layout.places.map((p) => [p.id, p]));
  const between = new Map<string, number>();
  return new Map(
    lines.flatMap((line): [string, Curve][] => {
      const [from, to] = [at.get(line.from), at.get(line.to)];
      if (!from || !to) return [];
      const pair = `${line.from} ${line.to}`;
      const nth = between.get(pair) ?? 0;
      between.set(pair, nth + 1);
      if (from === to) return [[line.id, loopAt(from, nth)]];
      const others = layout.places.flatMap((p) => (p === from || p === to ? [] : [p.box]));
      return [[line.id, curveBetween(from, to, nth, others)]];
    }),
  );
};

const NO_TEXTS: ReadonlyMap<string, Point> = new Map();
const NOTHING: Unfolded = { forks: [], said: [] };

/** What is written round the place picked, and the forks there: marks first, then lines, then what is only said. */
const useRound = (
  place: PlaceId | undefined,
  lines: readonly MapLine[],
  { forks, said }: Unfolded,
  layout: MapLayout,
  curves: ReadonlyMap<string, Curve>,
) => {
  const words = useWords();
  return useMemo(() => {
    // at rest the ink speaks: words come where somebody points, and round a place
    if (place === undefined) return { texts: NO_TEXTS, forkTexts: NO_TEXTS, forks: [], said: [] };
    const drawn = drawForks(forks, place, lines, curves, layout);
    const marks = forkTexts(
      drawn.map(({ fork, at }) => ({ id: cellKey(fork, fork.met), at, width: measure(forkText(fork, words)) + 2 })),
      layout.places.map((p) => p.box),
    );
    const saidLines = drawSaid(said, place, layout);
    const wishes = lines.flatMap((line) => {
      const curve = curves.get(line.id);
      if (!curve) return [];
      const texts = [words.name('action', line.action), longText(line)];
      return [{ id: line.id, curve, width: Math.max(...texts.map(measure)) + 4, height: texts.length * 15 }];
    });
    const saidWishes = saidLines.map(({ line, curve }) => ({
      ...{ id: `said ${line.action} ${line.to}`, curve, height: 15 },
      width: measure(UNFOLDED_TEXT.saidShort(words.name('action', line.action), line.by === 'planned')),
    }));
    const answerWishes = drawn.flatMap(({ fork, answers }) =>
      answers.map(({ action, curve }) => ({
        ...{ id: answerKey(fork, action), curve, height: 15 },
        width: measure(UNFOLDED_TEXT.answer(words.name('action', action))),
      })),
    );
    const texts = placeTexts([...wishes, ...answerWishes, ...saidWishes], marks.boxes);
    return { texts, forkTexts: new Map([...marks.texts, ...texts]), forks: drawn, said: saidLines };
  }, [place, lines, forks, said, layout, curves, words]);
};

/** The map as a picture: column = family, height = how good; lines are what was seen to happen. Drawn anew only where something of it has changed. */
export const MapPlot = memo(function MapPlot({
  picture,
  places,
  lines,
  place,
  target,
  inHand,
  unfolded,
  width,
  height,
  onPick,
  onLine,
  onWhole,
}: Props): React.JSX.Element {
  const words = useWords();
  const [hovered, setHovered] = useState<string | null>(null);
  const layout = useMemo(
    () =>
      layoutMap(places, lines, (id) => picture.heights[id]?.height, words, {
        width: width - AXIS,
        height: height - FOOT,
        lineHeight: LINE_HEIGHT,
        measure,
      }),
    [places, lines, picture, words, width, height],
  );
  const curves = useMemo(() => curvesOf(layout, lines), [layout, lines]);
  const round = useRound(place, lines, unfolded ?? NOTHING, layout, curves);
  const yOf = (h: number): number => layout.zeroY - h * layout.unitY;
  const ids = new Set(layout.places.map((p) => p.id));
  const dots = useRef(new Map<PlaceId, SVGGElement>());
  // Tab goes through them as they stand: column by column, from the top
  const inOrder = useMemo(() => columnwise(layout), [layout]);
  const onKey = (key: string, from: PlaceId): boolean => {
    if (key === 'Escape') onWhole();
    const to = neighbour(inOrder, from, key);
    if (to !== undefined) dots.current.get(to)?.focus();
    return key === 'Escape' || to !== undefined;
  };
  const of = { lines, curves, words, inHand, hovered };
  return (
    <svg
      width={layout.width + AXIS}
      height={height}
      role="group"
      aria-label={T.title}
      data-testid="map"
      style={{ display: 'block', fontFamily: "'Barlow Condensed', sans-serif" }}
    >
      <Arrows />
      <HeightAxis layout={layout} yOf={yOf} />
      <g transform={`translate(${AXIS} 0)`}>
        <Columns layout={layout} yOf={yOf} height={height} />
        <Lines {...of} ids={ids} isClose={place !== undefined} onHover={setHovered} onLine={onLine} />
        <LineTexts {...of} texts={round.texts} isClose={place !== undefined} />
        {place !== undefined && (
          <UnfoldedHere {...{ place, words }} forks={round.forks} said={round.said} texts={round.forkTexts} />
        )}
        {inOrder.map((p) => (
          <MapPlace
            key={p.id}
            ref={(dot) => {
              if (dot) dots.current.set(p.id, dot);
              return () => void dots.current.delete(p.id);
            }}
            place={p}
            words={words}
            stake={picture.heights[p.id]?.stake ?? 0}
            isPicked={p.id === place}
            isTarget={p.id === target}
            onPick={onPick}
            onKey={(key) => onKey(key, p.id)}
          />
        ))}
      </g>
    </svg>
  );
});
