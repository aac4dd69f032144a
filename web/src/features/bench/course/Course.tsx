import { angleClock, courseOf, fileSeconds, type Words } from '@odograph/core';
import { useMemo } from 'react';
import type { OnBench } from '../desk/index.js';
import type { Scale } from './useScale.js';

/** The course it took for the first athlete, each stretch in the stroke of whoever acted. */
export const Course = ({
  bench,
  words,
  scale: { xOfS, yOf },
}: {
  readonly bench: OnBench;
  readonly words: Words;
  readonly scale: Scale;
}): React.JSX.Element | null => {
  const clock = angleClock(bench.angle, bench.file);
  const runs = useMemo(() => courseOf(bench.timed, 'a', words), [bench.timed, words]);
  const subjects = useMemo(() => new Map(bench.clips.map((v) => [v.attempt.id, v.attempt.subject])), [bench.clips]);
  if (clock.rate <= 0) return null;
  const x = (footageS: number): number => xOfS(fileSeconds(clock, footageS));
  return (
    <>
      {runs.flatMap((run, r) =>
        run.points.slice(1).map((to, i) => {
          const from = run.points[i]!;
          const acts = subjects.get(to.attemptId) === 'b' ? 'b' : 'a';
          return (
            <path
              key={`${r} ${i}`}
              d={`M${x(from.atS)} ${yOf(from.height)}L${x(to.atS)} ${yOf(to.height)}`}
              stroke={acts === 'a' ? 'var(--od-us)' : 'var(--od-them)'}
              strokeWidth="2.6"
              strokeLinecap="round"
              {...(acts === 'b' ? { strokeDasharray: '7 5' } : {})}
            />
          );
        }),
      )}
    </>
  );
};
