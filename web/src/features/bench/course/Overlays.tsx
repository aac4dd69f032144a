import { ACTIVITY_STEP_S, burstSpans, isLeftOut } from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useId, useMemo } from 'react';
import { KIND_TEXT, isSameStretch, type Stretches } from '../stretches/index.js';
import { type StretchInHand } from '../desk/index.js';
import { areaPath } from './levels.js';
import { type Overlay } from '../picture/index.js';
import { OVERLAYS_TEXT } from './course.text.js';

type Props = {
  readonly spans: Stretches;
  readonly bottom: number;
  readonly xOf: (frame: number) => number;
};

const keyOf = ({ span, stands }: StretchInHand): string => `${span.fromMs} ${stands?.kind ?? ''}`;

/** How tall the strongest movement is drawn. */
const MOVES = 22;
/** From this width on a stretch has room for its name. */
const NAME_WIDTH = 64;

/** How tall the loudest sound is drawn, and from which level on: half decibels above silence. */
const SOUNDS = 34;
const SOUND_STEP_S = 0.01;
const LOUDEST = 200;

/** Behind the course: what is laid over it, and stretches of which something is said or asked. */
export const Overlays = ({
  look,
  overlay,
  spans,
  top,
  bottom,
  xOfS,
  xOf,
  notReady,
}: Props & {
  readonly look: Look | undefined;
  readonly overlay: Overlay;
  readonly top: number;
  /** What cannot be shown yet. */
  readonly notReady: { readonly fromFrame: number; readonly toFrame: number } | null;
  readonly xOfS: (fileS: number) => number;
}): React.JSX.Element => {
  const hatch = useId();
  const { kind, sound, captions } = overlay;
  const paths = useMemo((): readonly [string, string] => {
    if (!look) return ['', ''];
    const axis = { fromS: look.fromS, toS: look.toS, xOfS, bottom };
    if (kind === 'sound')
      return [
        sound
          ? areaPath(
              { values: sound, fromS: look.fromS, stepS: SOUND_STEP_S },
              { ...axis, tall: SOUNDS, most: LOUDEST },
            )
          : '',
        '',
      ];
    if (kind !== 'activity') return ['', ''];
    const most = look.activity.reduce((a, b) => Math.max(a, b), 1);
    const levels = { values: look.activity, fromS: look.fromS, stepS: ACTIVITY_STEP_S };
    const area = (fromS: number, toS: number): string => areaPath(levels, { ...axis, fromS, toS, tall: MOVES, most });
    return [
      area(look.fromS, look.toS),
      burstSpans({ fromS: look.fromS, activity: Uint8Array.from(look.activity) })
        .map(({ fromS, toS }) => area(fromS, toS))
        .join(''),
    ];
  }, [look, kind, sound, xOfS, bottom]);
  const band = ({ span, stands }: StretchInHand): React.JSX.Element | null => {
    const frames = spans.framesOf(span);
    if (!frames) return null;
    const [x1, x2] = [xOf(frames.inFrame), xOf(frames.outFrame)];
    const isInHand = spans.inHand !== undefined && isSameStretch(spans.inHand.span, span);
    const isOut = stands !== null && isLeftOut(stands);
    const name = stands ? KIND_TEXT[stands.kind] : '';
    return (
      <g key={keyOf({ span, stands })} data-span={stands?.kind ?? 'asked'} pointerEvents="none">
        {isOut && <rect x={x1} y={top} width={Math.max(2, x2 - x1)} height={bottom - top} fill={`url(#${hatch})`} />}
        <path
          d={`M${x1} ${bottom - 6}V${bottom}H${x2}V${bottom - 6}`}
          fill="none"
          stroke={isInHand ? 'var(--od-inHand)' : 'var(--od-inkSoft)'}
          strokeWidth={isInHand ? 3 : 1.5}
          {...(stands ? {} : { strokeDasharray: '3 3' })}
        />
        {x2 - x1 >= NAME_WIDTH && (
          <text
            x={x1 + 5}
            y={top + 12}
            fontSize="13"
            fontFamily="'Barlow Condensed', sans-serif"
            fill="var(--od-inkSoft)"
          >
            {name}
          </text>
        )}
      </g>
    );
  };
  return (
    <g>
      <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="7" height="7" fill="var(--od-ground)" opacity="0.75" />
        <path d="M0 0V7" stroke="var(--od-hairline)" strokeWidth="4" />
      </pattern>
      <path d={paths[0]} fill="var(--od-hairline)" opacity="0.6" pointerEvents="none" data-testid={`over-${kind}`} />
      <path d={paths[1]} fill="var(--od-field)" pointerEvents="none" data-testid="bursts" />
      {kind === 'cuts' && (
        <g stroke="var(--od-ink)" strokeWidth="1" pointerEvents="none" data-testid="over-cuts-ticks">
          {look?.cuts.map((frame) => (
            <path key={frame} d={`M${xOf(frame)} ${top}V${bottom}`} strokeDasharray="2 4" />
          ))}
        </g>
      )}
      {kind === 'captions' && (
        <g stroke="var(--od-inkSoft)" strokeWidth="3" pointerEvents="none" data-testid="over-captions-ticks">
          {captions.map(({ fromS, toS, text }) => (
            <path
              key={`${fromS} ${text}`}
              d={`M${xOfS(fromS)} ${bottom - 3}H${Math.max(xOfS(fromS) + 1.5, xOfS(toS))}`}
            />
          ))}
        </g>
      )}
      {notReady && (
        <rect
          x={xOf(notReady.fromFrame)}
          y={top}
          width={xOf(notReady.toFrame) - xOf(notReady.fromFrame)}
          height={bottom - top}
          fill={`url(#${hatch})`}
          pointerEvents="none"
          data-testid="not-ready"
        />
      )}
      {spans.shown.map(band)}
    </g>
  );
};

/** Before the course, where the pointer finds them: the feet of the stretches, to be taken in hand. */
export const StretchFeet = ({
  spans,
  bottom,
  xOf,
  onStretch,
}: Props & { readonly onStretch: (inHand: StretchInHand) => void }): React.JSX.Element => (
  <g style={{ cursor: 'pointer' }}>
    {spans.shown.map((inHand) => {
      const frames = spans.framesOf(inHand.span);
      if (!frames) return null;
      const [x1, x2] = [xOf(frames.inFrame), xOf(frames.outFrame)];
      return (
        <rect
          key={keyOf(inHand)}
          x={x1}
          y={bottom - 9}
          width={Math.max(4, x2 - x1)}
          height={12}
          fill="transparent"
          role="button"
          aria-label={inHand.stands ? KIND_TEXT[inHand.stands.kind] : OVERLAYS_TEXT.littleMovesHere}
          onClick={() => onStretch(inHand)}
        />
      );
    })}
  </g>
);
