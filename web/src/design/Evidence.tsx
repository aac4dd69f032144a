import { Box } from '@chakra-ui/react';
import type { Interval, Result } from '@odograph/core';
import { EVIDENCE_TEXT as T } from './design.text.js';

type Counts = {
  readonly attempts: number;
  readonly worked: number;
  readonly count: number;
  readonly successes: number;
  readonly picked: number;
  readonly shown: number;
  readonly proposed: number;
  readonly given: number;
  readonly thrown: number;
  readonly interval: Interval | undefined;
};

const percent = (rate: number): string => `${Math.round(rate * 100)}`;

/** Where a line leads, for whoever reads of it: to the place in view, or away from it. */
type Where = 'here' | 'there';

/** How often an entry worked, wherever it ended, and how often it led to one place: two facts. Both are of all attempts at it. */
const ratedText = ({ attempts, worked, count, successes }: Counts, where: Where): string => {
  const led = count === attempts ? '' : T.led(where, count, attempts);
  const byWorking = led && successes !== count ? T.byWorking(successes) : '';
  return T.rated(worked, attempts, `${led}${byWorking}`);
};

/** What is known of a line, in words. */
export const evidenceText = (line: Counts, where: Where = 'there'): string => {
  const also = [line.picked ? T.picked(line.picked) : '', line.shown ? T.shown(line.shown) : ''].filter(Boolean);
  const rated = line.attempts ? [ratedText(line, where)] : [];
  const parts = [...rated, ...also];
  if (line.given) parts.push(T.given(line.given));
  if (line.thrown) parts.push(T.thrown(line.thrown));
  if (line.proposed) parts.push(T.proposed(line.proposed));
  if (!line.attempts && !line.picked) parts.push(T.unknown);
  return parts.join('; ');
};

/** The interval as a band on a scale from never to always. */
export const IntervalBand = ({
  interval,
  width = 96,
}: {
  readonly interval: Interval | undefined;
  readonly width?: number;
}): React.JSX.Element => {
  const label = interval ? T.band(percent(interval.low), percent(interval.high)) : T.noRate;
  return (
    <Box as="span" display="inline-flex" alignItems="center" gap="2" title={label}>
      <svg width={width} height="12" role="img" aria-label={label}>
        <path d={`M0.5 1V11M${width - 0.5} 1V11M0 6H${width}`} stroke="var(--od-field)" fill="none" />
        {interval && (
          <rect
            x={interval.low * width}
            y="3"
            width={Math.max(2, (interval.high - interval.low) * width)}
            height="6"
            fill="var(--od-ink)"
            opacity="0.75"
          />
        )}
      </svg>
      <Box as="span" fontSize="13px" color="inkSoft" fontVariantNumeric="tabular-nums" whiteSpace="nowrap">
        {interval ? `${percent(interval.low)}–${percent(interval.high)} %` : T.noRate}
      </Box>
    </Box>
  );
};

const SHAPES: Record<Result, React.JSX.Element> = {
  success: <circle cx="7" cy="7" r="5.5" fill="currentColor" />,
  partial: (
    <>
      <circle cx="7" cy="7" r="5.25" fill="none" stroke="currentColor" strokeWidth="1.5" />
      <path d="M7 1.75A5.25 5.25 0 0 0 7 12.25Z" fill="currentColor" />
    </>
  ),
  failed: <circle cx="7" cy="7" r="5.25" fill="none" stroke="currentColor" strokeWidth="1.5" />,
  abandoned: <path d="M2 7a5.25 5.25 0 0 1 10 0" fill="none" stroke="currentColor" strokeWidth="1.5" />,
  shown: <path d="M7 1L13 7L7 13L1 7Z" fill="none" stroke="currentColor" strokeWidth="1.5" />,
};

/** A result as a small mark; a word always stands beside it. */
export const ResultMark = ({ result }: { readonly result: Result }): React.JSX.Element => (
  <svg width="14" height="14" aria-hidden style={{ display: 'inline', verticalAlign: '-2px' }}>
    {SHAPES[result]}
  </svg>
);

/** How far it came: four rungs, none filled at 0. */
export const DepthLadder = ({ depth, word }: { readonly depth: number; readonly word: string }): React.JSX.Element => (
  <svg
    width="12"
    height="18"
    role="img"
    aria-label={T.howFar(word)}
    style={{ display: 'inline', verticalAlign: '-3px' }}
  >
    <path d="M1.5 1V17M10.5 1V17" stroke="currentColor" strokeWidth="1.2" />
    {[1, 2, 3, 4].map((rung) => (
      <path
        key={rung}
        d={`M2 ${17.5 - rung * 4}H10`}
        stroke="currentColor"
        strokeWidth={rung <= depth ? 3 : 0.7}
        opacity={rung <= depth ? 1 : 0.6}
      />
    ))}
  </svg>
);
