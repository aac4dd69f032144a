import { placeName, type PlaceId, type Words } from '@odograph/core';
import { evidenceText } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import type { Curve, Point } from './curves.js';
import { longText } from './lineText.js';
import { LINE_TEXT } from './map.text.js';

type Props = {
  readonly lines: readonly MapLine[];
  readonly curves: ReadonlyMap<string, Curve>;
  readonly words: Words;
  readonly inHand: string | undefined;
  readonly hovered: string | null;
};

/** Ink strength: nothing known is faint, ten rated attempts are full. */
const strength = (line: MapLine): number => (line.attempts === 0 ? 0.45 : Math.min(1, 0.6 + 0.04 * line.attempts));

/** Weight: a line that was tried once is thin, and each doubling of its tries adds as much again. */
const weight = (line: MapLine): number => 1.3 + 0.45 * Math.min(5, Math.log2(Math.max(1, line.attempts)));

/** The lines as arrows: how much is known of one is its ink and its weight. */
export const Lines = ({
  lines,
  curves,
  words,
  inHand,
  hovered,
  ids,
  onHover,
  onLine,
}: Props & {
  readonly ids: ReadonlySet<PlaceId>;
  readonly onHover: (lineId: string | null) => void;
  readonly onLine: (line: MapLine) => void;
}): React.JSX.Element => (
  <>
    {lines.map((line) => {
      const curve = curves.get(line.id);
      if (!curve || !ids.has(line.from) || !ids.has(line.to)) return null;
      const isInHand = inHand === line.id;
      const isTheirs = line.side === 'their';
      const tone = isInHand ? 'inHand' : isTheirs ? 'them' : 'ink';
      return (
        <g
          key={line.id}
          data-line={line.id}
          style={{ cursor: 'pointer' }}
          onMouseEnter={() => onHover(line.id)}
          onMouseLeave={() => onHover(null)}
          onClick={() => onLine(line)}
        >
          <title>{`${LINE_TEXT.done(words.name('action', line.action), isTheirs, line.bait)}: ${placeName(line.from, words)} → ${placeName(line.to, words)}. ${evidenceText(line)}`}</title>
          <path d={curve.path} fill="none" stroke="transparent" strokeWidth="12" />
          <path
            d={curve.path}
            fill="none"
            stroke={`var(--od-${tone})`}
            strokeWidth={isInHand ? 3.5 : weight(line) + (hovered === line.id ? 1 : 0)}
            strokeOpacity={isInHand ? 1 : strength(line)}
            markerEnd={`url(#arrow-${tone})`}
            {...(line.attempts === 0
              ? { strokeDasharray: '1.5 4' }
              : isTheirs
                ? { strokeDasharray: '7 4' }
                : line.bait
                  ? { strokeDasharray: '9 3 2 3' }
                  : {})}
          />
        </g>
      );
    })}
  </>
);

/** What is said of lines, in words: round the place picked, and of the line pointed at or in hand. */
export const LineTexts = ({
  lines,
  curves,
  words,
  inHand,
  hovered,
  texts,
  isClose,
}: Props & { readonly texts: ReadonlyMap<string, Point>; readonly isClose: boolean }): React.JSX.Element => (
  <>
    {lines.map((line) => {
      const isAsked = hovered === line.id || inHand === line.id;
      const at = texts.get(line.id) ?? (isAsked ? curves.get(line.id)?.at(0.5) : undefined);
      if (!at || !(isClose || isAsked)) return null;
      return (
        <g
          key={line.id}
          pointerEvents="none"
          textAnchor="middle"
          fontSize="13.5"
          style={{ paintOrder: 'stroke' }}
          stroke="var(--od-ground)"
          strokeWidth="4"
          strokeLinejoin="round"
          fill="var(--od-ink)"
        >
          <text x={at.x} y={at.y - 3} fontWeight="600">
            {LINE_TEXT.done(words.name('action', line.action), line.side === 'their', line.bait)}
          </text>
          <text x={at.x} y={at.y + 11}>
            {longText(line)}
          </text>
        </g>
      );
    })}
  </>
);
