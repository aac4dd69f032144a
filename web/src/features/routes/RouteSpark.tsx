import type { MapPicture } from '../../workers/map.protocol.js';
import type { ShownRoute } from './keptRoute.js';
import { ROUTE_SPARK_TEXT } from './routes.text.js';

const WIDTH = 220;
const HEIGHT = 40;

/** A route as a small line: where it climbs and where it falls; up is better. */
export const RouteSpark = ({
  route,
  picture,
}: {
  readonly route: ShownRoute;
  readonly picture: MapPicture;
}): React.JSX.Element => {
  const places = route.steps[0] ? [route.steps[0].line.from, ...route.steps.map((s) => s.line.to)] : [];
  const x = (i: number): number => 5 + (i / Math.max(1, places.length - 1)) * (WIDTH - 10);
  const y = (h: number): number => 4 + ((5 - h) / 10) * (HEIGHT - 8);
  const points = places.map((p, i) => [x(i), y(picture.heights[p]?.height ?? (p.startsWith('won:') ? 5 : 0))] as const);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={ROUTE_SPARK_TEXT.whatItClimbsUp}
      style={{ flexShrink: 0 }}
    >
      <path d={`M0 ${y(0)}H${WIDTH}`} stroke="var(--od-hairline)" />
      <path
        d={points.map(([px, py], i) => `${i ? 'L' : 'M'}${px.toFixed(1)} ${py.toFixed(1)}`).join('')}
        fill="none"
        stroke="var(--od-us)"
        strokeWidth="2"
      />
      {points.map(([px, py], i) => (
        <circle key={i} cx={px} cy={py} r="2.6" fill="var(--od-us)" />
      ))}
    </svg>
  );
};
