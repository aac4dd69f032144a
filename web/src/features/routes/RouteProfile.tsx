import { placeName, readPlace, splitLabel, type PlaceId } from '@odograph/core';
import { useMemo } from 'react';
import { UP_TEXT } from '../../design/index.js';
import { useWords } from '../library/index.js';
import { profileOf, type ProfileJoin, type ProfilePoint, type ProfileStep } from './profile.js';
import { stepName, type ShownRoute } from './shownRoute.js';
import type { MapPicture } from '../../workers/map.protocol.js';
import { ROUTE_PROFILE_TEXT } from './routes.text.js';

type Props = {
  readonly route: ShownRoute;
  readonly picture: MapPicture;
  readonly width: number;
  readonly height: number;
  /** The step in hand, if one is, by its id. */
  readonly step?: string | undefined;
  readonly onStep?: (stepId: string) => void;
};

const LEFT = 64;
const RIGHT = 96;
const TOP = 46;
const BOTTOM = 44;
/** Height in pixels of the band when nothing is known of a step. */
const BAND = 46;

type At = (point: ProfilePoint) => { readonly x: number; readonly y: number };

/** The heights that are drawn across, and which way is up. */
const Ground = ({
  y,
  lowest,
  width,
}: {
  readonly y: (h: number) => number;
  readonly lowest: number;
  readonly width: number;
}): React.JSX.Element => (
  <>
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
  </>
);

/** Where a branch goes on: a thin line to where that step begins; back, in a bow. */
const Join = ({
  join: { from, to, isBack },
  at,
}: {
  readonly join: ProfileJoin;
  readonly at: At;
}): React.JSX.Element => {
  const [a, b] = [at(from), at(to)];
  const path = isBack
    ? `M${a.x} ${a.y}C${a.x} ${a.y + 46} ${b.x} ${b.y + 46} ${b.x} ${b.y + 7}`
    : `M${a.x} ${a.y}L${b.x} ${b.y}`;
  return <path d={path} fill="none" stroke="var(--od-us)" strokeWidth="1.4" strokeDasharray="2 4" />;
};

/** A step as a stroke, with a band round it as tall as its interval; a branch is thinner, with its name beside it. */
const StepStroke = ({
  of: { step, from, to, isMain },
  name,
  label,
  at,
  foot,
  isHere,
  onStep,
}: {
  readonly of: ProfileStep;
  readonly name: string;
  readonly label: string;
  readonly at: At;
  /** Where the names of the main line stand. */ readonly foot: number;
  readonly isHere: boolean;
  readonly onStep: ((stepId: string) => void) | undefined;
}): React.JSX.Element => {
  const [a, b] = [at(from), at(to)];
  const interval = step.line?.interval;
  const half = ((interval ? interval.high - interval.low : 1) * BAND) / (isMain ? 2 : 3);
  const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
  const colour = isHere ? 'var(--od-inHand)' : 'var(--od-us)';
  const press = onStep && {
    role: 'button',
    tabIndex: 0,
    'aria-label': label,
    'aria-current': isHere ? ('step' as const) : undefined,
    style: { cursor: 'pointer' },
    onClick: () => onStep(step.id),
    onKeyDown: (event: React.KeyboardEvent) => {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      event.stopPropagation();
      onStep(step.id);
    },
  };
  return (
    <g {...press}>
      {step.line && (
        <path
          d={`M${a.x} ${a.y}L${mx} ${my - half}L${b.x} ${b.y}L${mx} ${my + half}Z`}
          fill={colour}
          fillOpacity={isMain ? 0.16 : 0.1}
        />
      )}
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="transparent" strokeWidth="14" />
      <path
        d={`M${a.x} ${a.y}L${b.x} ${b.y}`}
        stroke={colour}
        strokeWidth={isHere ? 4.5 : isMain ? 2.6 : 1.8}
        strokeDasharray={step.line ? undefined : '5 4'}
        strokeLinecap="round"
      />
      <text
        x={mx}
        y={isMain ? foot : my + 4}
        textAnchor="middle"
        fontSize={isMain ? 15 : 14}
        fontWeight={isHere ? 600 : 500}
        fill={isHere ? 'var(--od-inHand)' : 'var(--od-ink)'}
        {...(isMain ? {} : { stroke: 'var(--od-ground)', strokeWidth: 4, style: { paintOrder: 'stroke' } })}
      >
        {splitLabel(name).map((text, k) => (
          <tspan key={text} x={mx} dy={k === 0 ? 0 : 15}>
            {text}
          </tspan>
        ))}
      </text>
    </g>
  );
};

/** Names of places stand above their dots; where one stands close above another in a column, that other one's below. */
const NAME_ROOM = 44;
const namesBelow = (dots: readonly ProfilePoint[], at: At): ReadonlySet<ProfilePoint> => {
  const below = new Set<ProfilePoint>();
  const lowestAbove = new Map<number, number>();
  for (const dot of [...dots].filter((d) => d.place).sort((a, b) => at(a).y - at(b).y)) {
    const above = lowestAbove.get(dot.column);
    if (above !== undefined && at(dot).y - above < NAME_ROOM) below.add(dot);
    lowestAbove.set(dot.column, at(dot).y);
  }
  return below;
};

/** A place on it, with its name. */
const Dot = ({
  id,
  x,
  y,
  isBelow,
}: {
  readonly id: PlaceId;
  readonly x: number;
  readonly y: number;
  readonly isBelow: boolean;
}): React.JSX.Element => {
  const words = useWords();
  return (
    <g>
      {readPlace(id)?.kind === 'state' ? (
        <circle cx={x} cy={y} r="5" fill="var(--od-ink)" />
      ) : (
        <rect x={x - 5} y={y - 5} width="10" height="10" fill="var(--od-ink)" />
      )}
      <text
        fontSize="15"
        fontWeight="500"
        fill="var(--od-ink)"
        stroke="var(--od-ground)"
        strokeWidth="4"
        style={{ paintOrder: 'stroke' }}
      >
        {splitLabel(placeName(id, words)).map((text, k, all) => (
          <tspan key={text} x={x + 9} y={isBelow ? y + 16 + k * 15 : y - 8 - (all.length - 1 - k) * 15}>
            {text}
          </tspan>
        ))}
      </text>
    </g>
  );
};

/** A route as its profile: steps stand on the line, up is better; branches leave it at their step and rise or fall by what they gain or cost. */
export const RouteProfile = ({ route, picture, width, height, step, onStep }: Props): React.JSX.Element => {
  const words = useWords();
  const { start, steps, joins, columns } = useMemo(() => profileOf(route, picture), [route, picture]);
  const points = [...(start ? [start] : []), ...steps.map((s) => s.to)];
  const lowest = Math.min(-1, ...points.map((p) => Math.floor(p.height - 0.5)));
  const y = (h: number): number => TOP + ((5 - h) / (5 - lowest)) * (height - TOP - BOTTOM);
  const at: At = (p) => ({ x: LEFT + (p.column / columns) * (width - LEFT - RIGHT), y: y(p.height) });
  // what several steps end at is named once
  const dots = new Map(points.map((p) => [`${p.column} ${p.place}`, p]));
  const below = namesBelow([...dots.values()], at);
  let nth = 0;
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label={ROUTE_PROFILE_TEXT.profileOfTheRoute}
      style={{ display: 'block', fontFamily: "'Barlow Condensed', sans-serif" }}
    >
      <Ground y={y} lowest={lowest} width={width} />
      {joins.map((join) => (
        <Join key={join.id} join={join} at={at} />
      ))}
      {[...steps]
        .sort((a, b) => Number(b.isMain) - Number(a.isMain))
        .map((of) => {
          const name = stepName(of.step, words);
          return (
            <StepStroke
              key={of.step.id}
              of={of}
              name={name}
              label={of.isMain ? ROUTE_PROFILE_TEXT.step(++nth, name) : ROUTE_PROFILE_TEXT.inBranch(name)}
              at={at}
              foot={y(lowest) + 16}
              isHere={of.step.id === step}
              onStep={onStep}
            />
          );
        })}
      {[...dots.values()].map((p) => {
        const { x, y: top } = at(p);
        return p.place ? (
          <Dot key={`${p.column} ${p.place}`} id={p.place} x={x} y={top} isBelow={below.has(p)} />
        ) : (
          <circle key={`${p.column} ${p.height}`} cx={x} cy={top} r="3" fill="var(--od-inkSoft)" />
        );
      })}
    </svg>
  );
};
