import { atPixels, pictureAngle, type Drawing, type PictureSize, type Point, type Shape } from '@odograph/core';
import { memo } from 'react';
import { DRAWN_TEXT as T, SHAPE_TEXT } from './drawn.text.js';

type Props = {
  readonly shape: Shape;
  readonly size: PictureSize;
  readonly isMirrored: boolean;
  readonly isPicked?: boolean;
};

/** Colours that are seen on any picture: each line lies on a dark one. Whose it is also shows in the line: theirs is broken. */
const COLOUR = { a: '#7fd8cf', b: '#f0bf6a', none: '#fff8e6' } as const;
const UNDER = 'rgba(12, 14, 12, 0.85)';

const path = (points: readonly { readonly x: number; readonly y: number }[], isClosed: boolean): string =>
  `${points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')}${isClosed ? 'Z' : ''}`;

/** The head of an arrow, as a path. */
const head = (from: Point, to: Point, long: number): string => {
  const way = Math.atan2(to.y - from.y, to.x - from.x);
  const side = (turn: number): string => `${to.x - long * Math.cos(way + turn)} ${to.y - long * Math.sin(way + turn)}`;
  return `M${side(0.45)}L${to.x} ${to.y}L${side(-0.45)}`;
};

/** The arc of an angle, a little way from its joint. */
const arc = ([a, b, c]: readonly Point[], radius: number): string => {
  const on = (to: Point): Point => {
    const long = Math.hypot(to.x - b!.x, to.y - b!.y) || 1;
    return { x: b!.x + ((to.x - b!.x) / long) * radius, y: b!.y + ((to.y - b!.y) / long) * radius };
  };
  const [from, to] = [on(a!), on(c!)];
  const isLeft = (from.x - b!.x) * (to.y - b!.y) - (from.y - b!.y) * (to.x - b!.x) > 0;
  return `M${from.x} ${from.y}A${radius} ${radius} 0 0 ${isLeft ? 1 : 0} ${to.x} ${to.y}`;
};

const linesOf = ({ kind }: Shape, at: readonly Point[], unit: number): readonly string[] => {
  const [first, second] = at;
  switch (kind) {
    case 'arrow':
      return first && second ? [path(at, false), head(first, second, unit)] : [];
    case 'line':
      return [path(at, false)];
    case 'region':
      return [path(at, true)];
    case 'circle': {
      const radius = first && second ? Math.hypot(second.x - first.x, second.y - first.y) : 0;
      const half = `a${radius} ${radius} 0 1 0 `;
      return radius ? [`M${first!.x - radius} ${first!.y}${half}${2 * radius} 0${half}${-2 * radius} 0`] : [];
    }
    case 'angle':
      return at.length === 3 ? [path(at, false), arc(at, unit)] : [path(at, false)];
    default:
      return [];
  }
};

/** What is written beside a shape. */
const saidOf = (shape: Shape, size: PictureSize): string => {
  const angle = shape.kind === 'angle' && shape.points.length === 3 ? T.angle(pictureAngle(shape.points, size)) : '';
  return [angle, shape.text].filter(Boolean).join(' · ');
};

/** A shape in words, for those who don't see it. */
const shapeSaid = (shape: Shape, size: PictureSize): string =>
  [SHAPE_TEXT[shape.kind], ...(shape.order === null ? [] : [String(shape.order)]), saidOf(shape, size)]
    .filter(Boolean)
    .join(' ');

/** Drawings in words. */
export const drawnSaid = (drawings: readonly Drawing[], size: PictureSize): string =>
  drawings.flatMap((d) => d.shapes.map((shape) => shapeSaid(shape, size))).join(', ');

/** A shape on the picture, in the picture's own pixels; mirrored with it, while words stay readable. */
export const Drawn = memo(({ shape, size, isMirrored, isPicked = false }: Props): React.JSX.Element => {
  const at = shape.points.map((p) => atPixels(p, size, isMirrored));
  const unit = size.height / 20;
  const colour = COLOUR[shape.whose ?? 'none'];
  const lines = linesOf(shape, at, unit);
  const [first] = at;
  // theirs is broken, but for the head of an arrow
  const isBroken = shape.whose === 'b' && lines.length > 0;
  const line = {
    fill: 'none',
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
    vectorEffect: 'non-scaling-stroke',
  } as const;
  const text = {
    fontFamily: 'var(--chakra-fonts-heading)',
    fontWeight: 600,
    fontSize: unit,
    fill: colour,
    stroke: UNDER,
    strokeWidth: unit / 6,
    paintOrder: 'stroke',
  } as const;
  const said = saidOf(shape, size);
  const saysAt = (shape.kind === 'angle' ? at[1] : shape.kind === 'region' ? first : at.at(-1)) ?? first;
  return (
    <g data-shape={shape.kind} data-picked={isPicked || undefined}>
      {shape.kind === 'region' && <path d={path(at, true)} fill={colour} opacity={0.22} />}
      {lines.length > 0 && <path d={lines.join('')} {...line} stroke={UNDER} strokeWidth={6} />}
      {[...(isBroken ? lines.slice(1) : []), isBroken ? lines[0]! : lines.join('')].filter(Boolean).map((d, i, all) => (
        <path
          key={i}
          d={d}
          {...line}
          stroke={colour}
          strokeWidth={isPicked ? 5 : 3}
          {...(isBroken && i === all.length - 1 ? { strokeDasharray: '9 6' } : {})}
        />
      ))}
      {shape.kind === 'number' && first && (
        <>
          <circle cx={first.x} cy={first.y} r={unit * 0.8} fill={UNDER} stroke={colour} strokeWidth={2} />
          <text {...text} x={first.x} y={first.y} textAnchor="middle" dominantBaseline="central">
            {shape.order}
          </text>
        </>
      )}
      {said && saysAt && (
        <text {...text} x={saysAt.x + unit * 0.6} y={saysAt.y - unit * 0.6}>
          {said}
        </text>
      )}
      {isPicked && first && <circle cx={first.x} cy={first.y} r={unit * 0.4} fill={colour} stroke={UNDER} />}
    </g>
  );
});
Drawn.displayName = 'Drawn';
