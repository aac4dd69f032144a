import { timecode, type TimeTable } from '@odograph/core';
import { memo, type MouseEvent } from 'react';
import { MARK_TEXT as T, type MarkHere } from '../marks/index.js';

/** Where marks hang: at the top of the line. */
const TOP = 1;
const TALL = 11;
/** As many marks are pegs to press; more are one drawing, in which the nearest is pressed. */
const PEGS = 150;
const REACH = 7;

const peg = (x: number): string =>
  `M${x} ${TOP + 8}V${TOP + TALL + 6}M${x - 4} ${TOP + 4}L${x} ${TOP}L${x + 4} ${TOP + 4}L${x} ${TOP + 8}Z`;

type Props = {
  readonly here: readonly MarkHere[];
  readonly inHandId: string | undefined;
  readonly table: TimeTable;
  readonly xOf: (frame: number) => number;
  readonly width: number;
  readonly onMark: (mark: MarkHere) => void;
};

/** The marks that wait, as pegs at the top of the line; the one in hand is heavier. Drawn anew only where one of them has changed. */
export const MarkTicks = memo(function MarkTicks({ here, inHandId, table, xOf, width, onMark }: Props) {
  const inHand = here.find((m) => m.moment.id === inHandId);
  const onPress = (event: MouseEvent<SVGRectElement>): void => {
    const x = event.nativeEvent.offsetX;
    const near = here.reduce<MarkHere | undefined>(
      (best, m) => (best && Math.abs(xOf(best.frame) - x) <= Math.abs(xOf(m.frame) - x) ? best : m),
      undefined,
    );
    if (near && Math.abs(xOf(near.frame) - x) <= REACH) onMark(near);
  };
  return (
    <g style={{ cursor: 'pointer' }} data-testid="marks">
      {here.length > PEGS ? (
        <>
          <path
            d={here.map((m) => `M${xOf(m.frame).toFixed(1)} ${TOP}V${TOP + TALL}`).join('')}
            stroke="var(--od-ink)"
            strokeWidth="1"
          />
          <rect x={0} y={0} width={width} height={TALL + 6} fill="transparent" onClick={onPress} />
        </>
      ) : (
        here.map((mark) => {
          const x = xOf(mark.frame);
          return (
            <g
              key={mark.moment.id}
              role="button"
              aria-label={T.name(timecode(table, mark.frame))}
              onClick={() => onMark(mark)}
            >
              <rect x={x - 6} y={0} width={12} height={TALL + 6} fill="transparent" />
              <path d={peg(x)} fill="var(--od-ground)" stroke="var(--od-ink)" strokeWidth="1.4" />
            </g>
          );
        })
      )}
      {inHand && (
        <path
          d={peg(xOf(inHand.frame))}
          fill="var(--od-inHand)"
          stroke="var(--od-inHand)"
          strokeWidth="2.5"
          pointerEvents="none"
        />
      )}
    </g>
  );
});
