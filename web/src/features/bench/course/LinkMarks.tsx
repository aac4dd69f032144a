import type { Link } from '@odograph/core';
import { LINK_TEXT as T } from './course.text.js';
import { type OnBench } from '../desk/index.js';

/** On the line, where one attempt leads to the next: a gap as dots between them, a seam as two strokes across, where what is told does not fit together. */
export const LinkMarks = ({
  bench,
  links,
  xOfS,
  y,
}: {
  readonly bench: OnBench;
  readonly links: readonly Link[];
  /** The place on the line of a second of footage time. */ readonly xOfS: (footageS: number) => number;
  readonly y: number;
}): React.JSX.Element => {
  const at = new Map(bench.timed.map((t) => [t.attempt.id, t]));
  return (
    <g data-testid="links" fill="none" stroke="var(--od-inkSoft)">
      {links.map((link) => {
        const [p, q] = [at.get(link.from), at.get(link.to)];
        if (!p || !q) return null;
        const [x1, x2] = [xOfS(p.endS), xOfS(q.startS)];
        if (link.kind === 'seam')
          return (
            <g key={link.to} data-link="seam">
              <title>{T.seamHere}</title>
              <path d={`M${x2 - 7} ${y + 4}l4 -9M${x2 - 2} ${y + 4}l4 -9`} strokeWidth="1.6" stroke="var(--od-ink)" />
            </g>
          );
        if (link.kind !== 'gap' && link.kind !== 'set') return null;
        return (
          <g key={link.to} data-link={link.kind}>
            <title>{link.kind === 'set' ? T.setHere : T.gapHere}</title>
            <path
              d={`M${x1 + 2} ${y}H${Math.max(x1 + 3, x2 - 2)}`}
              strokeWidth={link.kind === 'set' ? 2.5 : 2}
              strokeDasharray={link.kind === 'set' ? '6 3' : '1 5'}
              strokeLinecap="round"
              {...(link.kind === 'set' ? { stroke: 'var(--od-inHand)' } : {})}
            />
          </g>
        );
      })}
    </g>
  );
};
