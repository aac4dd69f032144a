import { memo } from 'react';
import type { ClipView } from '../../library/index.js';

type Props = {
  readonly clips: readonly ClipView[];
  readonly selectedId: string | undefined;
  readonly lanes: ReadonlyMap<string, number>;
  readonly xOf: (frame: number) => number;
  readonly top: number;
  readonly lane: number;
  readonly onSelect: (clipId: string) => void;
};

/** The clips as brackets under the course, in lanes where they overlap; drawn anew only where one of them has changed. */
export const ClipBrackets = memo(function ClipBrackets({ clips, selectedId, lanes, xOf, top, lane, onSelect }: Props) {
  return clips.map((view) => {
    const isSelected = view.clip.id === selectedId;
    const y = top + (lanes.get(view.clip.id) ?? 0) * lane;
    const [x1, x2] = [xOf(view.clip.in.frame), xOf(view.clip.out.frame)];
    const acts = view.attempt.subject;
    return (
      <g key={view.clip.id} onClick={() => onSelect(view.clip.id)} style={{ cursor: 'pointer' }}>
        <rect
          x={x1}
          y={y - 3}
          width={Math.max(2, x2 - x1)}
          height={lane}
          fill={isSelected ? 'var(--od-inHandSoft)' : 'transparent'}
        />
        <path
          d={`M${x1} ${y + 8}V${y}H${x2}V${y + 8}`}
          fill="none"
          stroke={isSelected ? 'var(--od-inHand)' : acts === 'a' ? 'var(--od-us)' : 'var(--od-them)'}
          strokeWidth={isSelected ? 3 : 1.6}
          {...(view.missing.length ? { strokeDasharray: '2 3' } : acts === 'b' ? { strokeDasharray: '7 4' } : {})}
        />
      </g>
    );
  });
});
