import { placeName, sightingHeight, stateId, timecode, type TimeTable, type Words } from '@odograph/core';
import { MARK_TEXT as M, type MarkHere, type Marks } from '../marks/index.js';
import type { Scale } from './useScale.js';

/** Where somebody was seen and nobody acted: rings on the line. */
export const Sightings = ({
  marks,
  table,
  words,
  scale: { xOf, yOf },
  onMark,
}: {
  readonly marks: Marks;
  readonly table: TimeTable;
  readonly words: Words;
  readonly scale: Scale;
  readonly onMark: (mark: MarkHere) => void;
}): React.JSX.Element => (
  <>
    {marks.sightings.map((mark) => {
      const height = sightingHeight(mark.moment, 'a', words);
      if (height === undefined) return null;
      const [x, y] = [xOf(mark.frame), yOf(height)];
      return (
        <g
          key={mark.moment.id}
          role="button"
          aria-label={M.sighted(placeName(stateId(mark.moment.state), words), timecode(table, mark.frame))}
          data-testid="sighting"
          style={{ cursor: 'pointer' }}
          onClick={() => onMark(mark)}
        >
          <rect x={x - 8} y={y - 8} width={16} height={16} fill="transparent" />
          <circle cx={x} cy={y} r={4} fill="var(--od-ground)" stroke="var(--od-ink)" strokeWidth="1.6" />
        </g>
      );
    })}
  </>
);
