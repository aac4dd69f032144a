import type { CourseRun } from '@odograph/core';
import type { Scale } from './useScale.js';

/** The course it took for the first athlete: the thin line on which the clips lie. */
export const Course = ({
  runs,
  xOf,
  scale: { yOf },
}: {
  readonly runs: readonly CourseRun[];
  /** Where a second of the footage lies. */ readonly xOf: (footageS: number) => number;
  readonly scale: Scale;
}): React.JSX.Element => (
  <g fill="none" stroke="var(--od-inkSoft)" strokeWidth="1.4" strokeLinejoin="round" pointerEvents="none">
    {runs.map((run) => (
      <path
        key={run.points[0]!.attemptId}
        d={run.points.map((p, i) => `${i ? 'L' : 'M'}${xOf(p.atS)} ${yOf(p.height)}`).join('')}
      />
    ))}
  </g>
);
