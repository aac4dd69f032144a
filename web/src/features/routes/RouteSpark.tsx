import { profileOf } from './profile.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import type { ShownRoute } from './shownRoute.js';
import { ROUTE_SPARK_TEXT } from './routes.text.js';

const WIDTH = 220;
const HEIGHT = 40;

/** A route as a small line: where it climbs and where it falls, and what branches off; up is better. */
export const RouteSpark = ({
  route,
  picture,
}: {
  readonly route: ShownRoute;
  readonly picture: MapPicture;
}): React.JSX.Element => {
  const { start, steps, columns } = profileOf(route, picture);
  const x = (column: number): number => 5 + (column / columns) * (WIDTH - 10);
  const y = (h: number): number => 4 + ((5 - h) / 10) * (HEIGHT - 8);
  const dots = [...(start ? [start] : []), ...steps.filter((s) => s.isMain).map((s) => s.to)];
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={ROUTE_SPARK_TEXT.whatItClimbsUp}
      style={{ flexShrink: 0 }}
    >
      <path d={`M0 ${y(0)}H${WIDTH}`} stroke="var(--od-hairline)" />
      {steps.map(({ step, from, to, isMain }) => (
        <path
          key={step.id}
          d={`M${x(from.column).toFixed(1)} ${y(from.height).toFixed(1)}L${x(to.column).toFixed(1)} ${y(to.height).toFixed(1)}`}
          stroke="var(--od-us)"
          strokeWidth={isMain ? 2 : 1.2}
        />
      ))}
      {dots.map((p) => (
        <circle key={p.column} cx={x(p.column)} cy={y(p.height)} r="2.6" fill="var(--od-us)" />
      ))}
    </svg>
  );
};
