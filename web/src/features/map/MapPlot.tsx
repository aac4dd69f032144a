import { layoutMap, type MapLayout, type PlaceId } from '@odograph/core';
import { useMemo, useRef, useState } from 'react';
import { useWords } from '../library/index.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';
import { curveBetween, loopAt, placeTexts, type Curve, type Point } from './curves.js';
import { longText } from './lineText.js';
import { MAP_TEXT as T } from './map.text.js';
import { Arrows, Columns, HeightAxis } from './MapAxes.js';
import { LineTexts, Lines } from './MapLines.js';
import { MapPlace } from './MapPlace.js';
import { columnwise, neighbour } from './neighbour.js';
import { AXIS, FOOT, LINE_HEIGHT, measure } from './sizes.js';

type Props = {
  readonly picture: MapPicture;
  readonly places: readonly PlaceId[];
  readonly lines: readonly MapLine[];
  readonly place: PlaceId | undefined;
  readonly target: PlaceId | undefined;
  readonly inHand: string | undefined;
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
      return [[line.id, from === to ? loopAt(from, nth) : curveBetween(from, to, nth)]];
    }),
  );
};

const NO_TEXTS: ReadonlyMap<string, Point> = new Map();

/** The map as a picture: column = family, height = how good; lines are what was seen to happen. */
export const MapPlot = ({
  picture,
  places,
  lines,
  place,
  target,
  inHand,
  width,
  height,
  onPick,
  onLine,
  onWhole,
}: Props): React.JSX.Element => {
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
  const texts = useMemo(() => {
    // at rest the ink speaks: words come where somebody points, and round a place
    if (place === undefined) return NO_TEXTS;
    const wishes = lines.flatMap((line) => {
      const curve = curves.get(line.id);
      if (!curve) return [];
      const said = [words.name('action', line.action), longText(line)];
      return [{ id: line.id, curve, width: Math.max(...said.map(measure)) + 4, height: said.length * 15 }];
    });
    return placeTexts(
      wishes,
      layout.places.map((p) => p.box),
    );
  }, [lines, curves, layout, place, words]);
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
        <Lines {...of} ids={ids} onHover={setHovered} onLine={onLine} />
        <LineTexts {...of} texts={texts} isClose={place !== undefined} />
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
};
