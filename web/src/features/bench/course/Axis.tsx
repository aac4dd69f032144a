import { Caps } from '../keys/index.js';
import { UP_TEXT } from '../../../design/index.js';
import { OVERLAY_TEXT as O, type Overlay } from '../picture/index.js';
import { HEIGHT, LEFT, RIGHT } from './measures.js';

/** What is written at the line: better and worse for whom, and what lies behind it. */
export const Axis = ({
  who,
  width,
  yOf,
  overlay,
}: {
  /** The athlete whose course it is. */ readonly who: string;
  readonly width: number;
  readonly yOf: (height: number) => number;
  readonly overlay: Overlay;
}): React.JSX.Element => (
  <>
    {[5, 2.5, 0, -2.5, -5].map((h) => (
      <path
        key={h}
        d={`M${LEFT} ${yOf(h)}H${width - RIGHT}`}
        stroke="var(--od-hairline)"
        strokeWidth={h === 0 ? 1.5 : 0.7}
      />
    ))}
    <g fill="var(--od-inkSoft)" fontFamily="'Barlow Condensed', sans-serif" fontSize="14">
      <text x="12" y={yOf(5) + 11}>
        {UP_TEXT.better}
      </text>
      <text x="12" y={yOf(0) + 5} fill="var(--od-us)" fontWeight="600">
        {who.split(' ')[0]}
      </text>
      <text x="12" y={yOf(-5) - 8}>
        {UP_TEXT.worse}
      </text>
      <text
        x="12"
        y={HEIGHT - 7}
        role="button"
        aria-label={O.next(overlay.kind)}
        style={{ cursor: 'pointer' }}
        onClick={overlay.next}
        data-testid="overlay"
      >
        <Caps text={O.over(overlay.kind)} />
      </text>
    </g>
  </>
);
