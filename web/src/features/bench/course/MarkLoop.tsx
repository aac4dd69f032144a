import type { Marks } from '../marks/index.js';
import { COURSE, TOP } from './measures.js';

/** The stretch round the mark in hand that becomes its clip; an end that nobody said is broken. */
export const MarkLoop = ({
  marks,
  xOf,
}: {
  readonly marks: Marks;
  readonly xOf: (frame: number) => number;
}): React.JSX.Element | null => {
  if (!marks.inHand) return null;
  const { inFrame, outFrame } = marks.around(marks.inHand);
  const [x1, x2, y] = [xOf(inFrame), xOf(outFrame), COURSE + TOP];
  return (
    <g stroke="var(--od-inHand)" strokeWidth="2.5" fill="none" pointerEvents="none" data-testid="mark-loop">
      <path d={`M${x1} ${y - 12}V${y}H${x2}`} />
      <path d={`M${x2} ${y}V${y - 12}`} {...(marks.isEndAssumed ? { strokeDasharray: '3 3' } : {})} />
    </g>
  );
};
