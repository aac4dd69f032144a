import { placeName, readPlace, splitLabel, type PlaceId } from '@odograph/core';
import { UP_TEXT } from '../../design/index.js';
import { useWords } from '../library/index.js';
import type { ShownRoute } from './keptRoute.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import { ROUTE_PROFILE_TEXT } from './routes.text.js';

type Props = {
  readonly route: ShownRoute;
  readonly picture: MapPicture;
  readonly width: number;
  readonly height: number;
  /** The step in hand, if one is. */
  readonly step?: number;
  readonly onStep?: (step: number) => void;
};

const LEFT = 64;
const RIGHT = 96;
const TOP = 46;
const BOTTOM = 44;
/** Height in pixels of the band when nothing is known of a step. */
const BAND = 46;

/** A route as its profile: steps stand on the line, up is better, the band round it is as tall as the uncertainty of the step. */
export const RouteProfile = ({ route, picture, width, height, step, onStep }: Props): React.JSX.Element => {
  const words = useWords();
  const places: PlaceId[] = route.steps[0] ? [route.steps[0].line.from, ...route.steps.map((s) => s.line.to)] : [];
  const heightOf = (id: PlaceId): number => picture.heights[id]?.height ?? (id.startsWith('won:') ? 5 : 0);
  const x = (i: number): number => LEFT + (i / Math.max(1, places.length - 1)) * (width - LEFT - RIGHT);
  const lowest = Math.min(-1, ...places.map((p) => Math.floor(heightOf(p) - 0.5)));
  const y = (h: number): number => TOP + ((5 - h) / (5 - lowest)) * (height - TOP - BOTTOM);
  const points = places.map((p, i) => ({ x: x(i), y: y(heightOf(p)), id: p }));
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label={ROUTE_PROFILE_TEXT.profileOfTheRoute}
      style={{ display: 'block', fontFamily: "'Barlow Condensed', sans-serif" }}
    >
      {[5, 0, lowest].map((h) => (
        <path
          key={h}
          d={`M${LEFT - 24} ${y(h)}H${width}`}
          stroke="var(--od-hairline)"
          strokeWidth={h === 0 ? 1.4 : 0.7}
        />
      ))}
      <g fontSize="13" fill="var(--od-inkSoft)">
        <text x="0" y={y(5) + 10}>
          {UP_TEXT.better}
        </text>
        <text x="0" y={y(lowest) - 3}>
          {UP_TEXT.worse}
        </text>
      </g>
      {route.steps.map(({ line }, i) => {
        const [a, b] = [points[i]!, points[i + 1]!];
        const half = line.interval ? ((line.interval.high - line.interval.low) * BAND) / 2 : BAND / 2;
        const isHere = i === step;
        const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
        const name = words.name('action', line.action);
        return (
          <g
            key={line.id}
            {...(onStep
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-label': `Step ${i + 1}: ${name}`,
                  'aria-current': isHere ? ('step' as const) : undefined,
                  style: { cursor: 'pointer' },
                }
              : {})}
            onClick={() => onStep?.(i)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              event.stopPropagation();
              onStep?.(i);
            }}
          >
            <path
              d={`M${a.x} ${a.y}L${mx} ${my - half}L${b.x} ${b.y}L${mx} ${my + half}Z`}
              fill={isHere ? 'var(--od-inHand)' : 'var(--od-us)'}
              fillOpacity="0.16"
            />
            <path
              d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
              stroke={isHere ? 'var(--od-inHand)' : 'var(--od-us)'}
              strokeWidth={isHere ? 4.5 : 2.6}
              strokeLinecap="round"
            />
            <text
              x={mx}
              y={y(lowest) + 16}
              textAnchor="middle"
              fontSize="15"
              fontWeight={isHere ? 600 : 500}
              fill={isHere ? 'var(--od-inHand)' : 'var(--od-ink)'}
            >
              {splitLabel(name).map((text, k) => (
                <tspan key={text} x={mx} dy={k === 0 ? 0 : 15}>
                  {text}
                </tspan>
              ))}
            </text>
          </g>
        );
      })}
      {points.map((p) => {
        const isEnd = readPlace(p.id)?.kind !== 'state';
        return (
          <g key={p.id}>
            {isEnd ? (
              <rect x={p.x - 5} y={p.y - 5} width="10" height="10" fill="var(--od-ink)" />
            ) : (
              <circle cx={p.x} cy={p.y} r="5" fill="var(--od-ink)" />
            )}
            <text
              fontSize="15"
              fontWeight="500"
              fill="var(--od-ink)"
              stroke="var(--od-ground)"
              strokeWidth="4"
              style={{ paintOrder: 'stroke' }}
            >
              {splitLabel(placeName(p.id, words)).map((text, k, all) => (
                <tspan key={text} x={p.x + 9} y={p.y - 8 - (all.length - 1 - k) * 15}>
                  {text}
                </tspan>
              ))}
            </text>
          </g>
        );
      })}
    </svg>
  );
};
