import type { CourseRun } from '@odograph/core';

type Props = {
  readonly runs: readonly CourseRun[];
  readonly fromS: number;
  readonly toS: number;
  readonly width: number;
  readonly height: number;
  readonly label: string;
};

/** The odograph line of a footage, small: where it is drawn, it is logged. */
export const Spark = ({ runs, fromS, toS, width, height, label }: Props): React.JSX.Element => {
  const x = (atS: number): number => ((atS - fromS) / (toS - fromS)) * width;
  const y = (h: number): number => 2 + ((5 - h) / 10) * (height - 4);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <path d={`M0 ${y(0)}H${width}`} stroke="var(--od-hairline)" />
      {runs.map((run, i) => (
        <path
          key={i}
          d={`M${run.points.map((p) => `${x(p.atS).toFixed(1)} ${y(p.height).toFixed(1)}`).join('L')}`}
          fill="none"
          stroke="var(--od-us)"
          strokeWidth="2"
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
};
