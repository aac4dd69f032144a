import { layoutMap, placeName, splitLabel, type MapLayout, type PlaceId } from '@odograph/core';
import { useMemo, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { evidenceText } from '../../design/index.js';
import { useWords } from '../library/index.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';
import { curveBetween, loopAt, placeTexts, type Curve } from './curves.js';
import { MAP_TEXT as T } from './map.text.js';
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

/** Ink strength: nothing known is faint, ten rated attempts are full. */
const strength = (line: MapLine): number => (line.attempts === 0 ? 0.45 : Math.min(1, 0.6 + 0.04 * line.attempts));

const bandText = ({ interval }: MapLine): string =>
  interval ? `, ${Math.round(interval.low * 100)}–${Math.round(interval.high * 100)} %` : '';
const unratedText = (line: MapLine): string =>
  line.picked ? `seen ${line.picked}, highlights only` : `shown ${line.shown}`;

/** How often it led there by working, of all attempts, and the interval of that; a line without a rate says why. */
const shortText = (line: MapLine): string =>
  line.attempts ? `${line.successes}/${line.attempts}${bandText(line)}` : unratedText(line);
const longText = (line: MapLine): string => {
  const { attempts, count, successes } = line;
  if (!attempts) return unratedText(line);
  const what = count === attempts ? 'worked' : count === successes ? 'led there' : 'led there by working';
  return `${what} ${successes} of ${attempts}${bandText(line)}`;
};

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
    const wishes = lines.flatMap((line) => {
      const curve = curves.get(line.id);
      if (!curve) return [];
      const said = place === undefined ? [shortText(line)] : [words.name('action', line.action), longText(line)];
      return [{ id: line.id, curve, width: Math.max(...said.map(measure)) + 4, height: said.length * 15 }];
    });
    return placeTexts(
      wishes,
      layout.places.map((p) => p.box),
    );
  }, [lines, curves, layout, place, words]);
  const yOf = (h: number): number => layout.zeroY - h * layout.unitY;
  const pick = (event: MouseEvent | KeyboardEvent, id: PlaceId): void => onPick(id, event.shiftKey);
  const ids = new Set(layout.places.map((p) => p.id));
  return (
    <svg
      width={layout.width + AXIS}
      height={height}
      role="group"
      aria-label={T.title}
      data-testid="map"
      style={{ display: 'block', fontFamily: "'Barlow Condensed', sans-serif" }}
    >
      <defs>
        {(['ink', 'inHand', 'them'] as const).map((tone) => (
          <marker
            key={tone}
            id={`arrow-${tone}`}
            viewBox="0 0 8 8"
            refX="6.5"
            refY="4"
            markerWidth="9"
            markerHeight="9"
            orient="auto-start-reverse"
            markerUnits="userSpaceOnUse"
          >
            <path d="M0 1L7 4L0 7Z" fill={`var(--od-${tone})`} />
          </marker>
        ))}
      </defs>
      {Array.from({ length: 11 }, (_, i) => 5 - i).map((h) => (
        <g key={h}>
          <path
            d={`M${AXIS - 14} ${yOf(h)}H${layout.width + AXIS}`}
            stroke="var(--od-hairline)"
            strokeWidth={h === 0 ? 1.6 : 0.6}
          />
          <text x={AXIS - 18} y={yOf(h) + 4} textAnchor="end" fontSize="13" fill="var(--od-inkSoft)">
            {h > 0 ? `+${h}` : h === 0 ? '0' : `−${-h}`}
          </text>
        </g>
      ))}
      <g fontSize="16" fontWeight="600" fill="var(--od-ink)">
        <text x="14" y={yOf(5) + 22} transform={`rotate(-90 14 ${yOf(5) + 22})`} textAnchor="end">
          {T.axisBetter}
        </text>
        <text x="14" y={yOf(-5) - 22} transform={`rotate(-90 14 ${yOf(-5) - 22})`} textAnchor="start">
          {T.axisWorse}
        </text>
      </g>
      <g transform={`translate(${AXIS} 0)`}>
        {layout.columns.map((column, i) => (
          <g key={column.family}>
            {i > 0 && <path d={`M${column.x} ${yOf(5)}V${yOf(-5)}`} stroke="var(--od-hairline)" strokeWidth="0.6" />}
            <text
              x={column.x + column.width / 2}
              y={height - 10}
              textAnchor="middle"
              fontSize="16"
              fill="var(--od-inkSoft)"
            >
              {column.family === 'reset' ? 'restart' : column.family}
            </text>
          </g>
        ))}
        {lines.map((line) => {
          const curve = curves.get(line.id);
          if (!curve || !ids.has(line.from) || !ids.has(line.to)) return null;
          const isInHand = inHand === line.id;
          const isTheirs = line.side === 'their';
          const tone = isInHand ? 'inHand' : isTheirs ? 'them' : 'ink';
          return (
            <g
              key={line.id}
              data-line={line.id}
              style={{ cursor: 'pointer' }}
              onMouseEnter={() => setHovered(line.id)}
              onMouseLeave={() => setHovered(null)}
              onClick={() => onLine(line)}
            >
              <title>{`${isTheirs ? 'them: ' : ''}${words.name('action', line.action)}${line.bait ? ' (bait)' : ''}: ${placeName(line.from, words)} → ${placeName(line.to, words)}. ${evidenceText(line)}`}</title>
              <path d={curve.path} fill="none" stroke="transparent" strokeWidth="12" />
              <path
                d={curve.path}
                fill="none"
                stroke={`var(--od-${tone})`}
                strokeWidth={isInHand ? 3.5 : hovered === line.id ? 2.6 : 1.5}
                strokeOpacity={isInHand ? 1 : strength(line)}
                markerEnd={`url(#arrow-${tone})`}
                {...(line.attempts === 0
                  ? { strokeDasharray: '1.5 4' }
                  : isTheirs
                    ? { strokeDasharray: '7 4' }
                    : line.bait
                      ? { strokeDasharray: '9 3 2 3' }
                      : {})}
              />
            </g>
          );
        })}
        {lines.map((line) => {
          const isClose = place !== undefined;
          const isAsked = hovered === line.id || inHand === line.id;
          const at = texts.get(line.id) ?? (isAsked ? curves.get(line.id)?.at(0.5) : undefined);
          if (!at) return null;
          const isLong = isClose || isAsked;
          return (
            <g
              key={line.id}
              pointerEvents="none"
              textAnchor="middle"
              fontSize="13.5"
              style={{ paintOrder: 'stroke' }}
              stroke="var(--od-ground)"
              strokeWidth="4"
              strokeLinejoin="round"
              fill="var(--od-ink)"
            >
              {isLong && (
                <text x={at.x} y={at.y - 3} fontWeight="600">
                  {line.side === 'their' && 'them: '}
                  {words.name('action', line.action)}
                  {line.bait && ' (bait)'}
                </text>
              )}
              <text x={at.x} y={at.y + (isLong ? 11 : 5)}>
                {isLong ? longText(line) : shortText(line)}
              </text>
            </g>
          );
        })}
        {layout.places.map((p) => {
          const isPicked = p.id === place,
            isTarget = p.id === target;
          const stake = picture.heights[p.id]?.stake ?? 0;
          const colour = isPicked || isTarget ? 'var(--od-inHand)' : 'var(--od-ink)';
          const name = placeName(p.id, words);
          return (
            <g
              key={p.id}
              role="button"
              tabIndex={0}
              aria-label={name}
              aria-pressed={isPicked}
              data-place={p.id}
              style={{ cursor: 'pointer' }}
              onClick={(event) => pick(event, p.id)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                pick(event, p.id);
              }}
            >
              {p.kind === 'won' || p.kind === 'lost' ? (
                <rect
                  x={p.x - 5.5}
                  y={p.y - 5.5}
                  width="11"
                  height="11"
                  fill={p.kind === 'won' ? colour : 'var(--od-ground)'}
                  stroke={colour}
                  strokeWidth="2"
                />
              ) : (
                <ellipse
                  cx={p.x}
                  cy={p.y}
                  rx={Math.min(7, 4.5 + stake * 0.6)}
                  ry="4.5"
                  fill={p.kind === 'reset' ? 'var(--od-ground)' : colour}
                  stroke={colour}
                  strokeWidth="2"
                />
              )}
              {isTarget && <circle cx={p.x} cy={p.y} r="10" fill="none" stroke={colour} strokeWidth="2" />}
              <text
                fontSize="14"
                fontWeight={isPicked || isTarget ? 600 : 500}
                fill={colour}
                stroke="var(--od-ground)"
                strokeWidth="3.5"
                strokeLinejoin="round"
                style={{ paintOrder: 'stroke' }}
              >
                {splitLabel(name).map((text, i, all) => (
                  <tspan key={text} x={p.x + 13} y={p.y + 5 + (i - (all.length - 1) / 2) * LINE_HEIGHT}>
                    {text}
                  </tspan>
                ))}
              </text>
            </g>
          );
        })}
      </g>
    </svg>
  );
};
