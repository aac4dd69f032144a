import type { MapLayout } from '@odograph/core';
import { UP_TEXT } from '../../design/index.js';
import { MAP_AXES_TEXT } from './map.text.js';
import { AXIS } from './sizes.js';

type Props = { readonly layout: MapLayout; readonly yOf: (height: number) => number };

/** The tips of lines, one for each tone. */
export const Arrows = (): React.JSX.Element => (
  <defs>
    {(['ink', 'inHand', 'them'] as const).map((tone) => (
      <marker
        key={tone}
        id={`arrow-${tone}`}
        viewBox="0 0 8 8"
        refX="6.5"
        refY="4"
        markerWidth="9"
        markerHeight="9"
        orient="auto-start-reverse"
        markerUnits="userSpaceOnUse"
      >
        <path d="M0 1L7 4L0 7Z" fill={`var(--od-${tone})`} />
      </marker>
    ))}
  </defs>
);

/** How good: the heights at the left, and their rules across. */
export const HeightAxis = ({ layout, yOf }: Props): React.JSX.Element => (
  <>
    {Array.from({ length: 11 }, (_, i) => 5 - i).map((h) => (
      <g key={h}>
        <path
          d={`M${AXIS - 14} ${yOf(h)}H${layout.width + AXIS}`}
          stroke="var(--od-hairline)"
          strokeWidth={h === 0 ? 1.6 : 0.6}
        />
        <text x={AXIS - 18} y={yOf(h) + 4} textAnchor="end" fontSize="13" fill="var(--od-inkSoft)">
          {h > 0 ? `+${h}` : h === 0 ? '0' : `−${-h}`}
        </text>
      </g>
    ))}
    <g fontSize="16" fontWeight="600" fill="var(--od-ink)">
      <text x="14" y={yOf(5) + 22} transform={`rotate(-90 14 ${yOf(5) + 22})`} textAnchor="end">
        {UP_TEXT.better}
      </text>
      <text x="14" y={yOf(-5) - 22} transform={`rotate(-90 14 ${yOf(-5) - 22})`} textAnchor="start">
        {UP_TEXT.worse}
      </text>
    </g>
  </>
);

/** The families, one a column. */
export const Columns = ({ layout, yOf, height }: Props & { readonly height: number }): React.JSX.Element => (
  <>
    {layout.columns.map((column, i) => (
      <g key={column.family}>
        {i > 0 && <path d={`M${column.x} ${yOf(5)}V${yOf(-5)}`} stroke="var(--od-hairline)" strokeWidth="0.6" />}
        <text
          x={column.x + column.width / 2}
          y={height - 10}
          textAnchor="middle"
          fontSize="16"
          fill="var(--od-inkSoft)"
        >
          {column.family === 'reset' ? MAP_AXES_TEXT.restart : column.family}
        </text>
      </g>
    ))}
  </>
);
