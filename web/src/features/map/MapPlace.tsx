import { placeName, splitLabel, type PlaceId, type PlacedPlace, type Words } from '@odograph/core';
import type { KeyboardEvent, Ref } from 'react';
import { LINE_HEIGHT } from './sizes.js';

/** A place at its height with its name: what is won full, what is lost empty. */
export const MapPlace = ({
  ref,
  place: p,
  words,
  stake,
  isPicked,
  isTarget,
  onPick,
  onKey,
}: {
  readonly ref: Ref<SVGGElement>;
  readonly place: PlacedPlace;
  readonly words: Words;
  /** How much hangs on it: the dot grows with it. */ readonly stake: number;
  readonly isPicked: boolean;
  readonly isTarget: boolean;
  readonly onPick: (id: PlaceId, isTarget: boolean) => void;
  /** Another key than those that pick; true where it did something. */ readonly onKey: (key: string) => boolean;
}): React.JSX.Element => {
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' || event.key === ' ') onPick(p.id, event.shiftKey);
    else if (!onKey(event.key)) return;
    event.preventDefault();
  };
  const colour = isPicked || isTarget ? 'var(--od-inHand)' : 'var(--od-ink)';
  const name = placeName(p.id, words);
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      aria-label={name}
      aria-pressed={isPicked}
      data-place={p.id}
      style={{ cursor: 'pointer' }}
      onClick={(event) => onPick(p.id, event.shiftKey)}
      onKeyDown={onKeyDown}
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
};
