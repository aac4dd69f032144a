import { timecode, type TimeTable } from '@odograph/core';
import { MARK_TEXT as T } from './bench.text.js';
import type { MarkHere, Marks } from './useMarks.js';

/** Where marks hang: at the top of the line. */
const TOP = 1;
const TALL = 11;

/** The marks that wait, as pegs at the top of the line; the one in hand is heavier. */
export const MarkTicks = ({
  marks,
  table,
  xOf,
  onMark,
}: {
  readonly marks: Marks;
  readonly table: TimeTable;
  readonly xOf: (frame: number) => number;
  readonly onMark: (mark: MarkHere) => void;
}): React.JSX.Element => (
  <g style={{ cursor: 'pointer' }} data-testid="marks">
    {marks.here.map((mark) => {
      const x = xOf(mark.frame);
      const isInHand = marks.inHand?.moment.id === mark.moment.id;
      return (
        <g
          key={mark.moment.id}
          role="button"
          aria-label={T.name(timecode(table, mark.frame))}
          onClick={() => onMark(mark)}
        >
          <rect x={x - 6} y={0} width={12} height={TALL + 6} fill="transparent" />
          <path
            d={`M${x} ${TOP + 8}V${TOP + TALL + 6}M${x - 4} ${TOP + 4}L${x} ${TOP}L${x + 4} ${TOP + 4}L${x} ${TOP + 8}Z`}
            fill={isInHand ? 'var(--od-inHand)' : 'var(--od-ground)'}
            stroke={isInHand ? 'var(--od-inHand)' : 'var(--od-ink)'}
            strokeWidth={isInHand ? 2.5 : 1.4}
          />
        </g>
      );
    })}
  </g>
);
