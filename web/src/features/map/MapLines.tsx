import { placeName, type PlaceId, type Words } from '@odograph/core';
import { useMemo, useState } from 'react';
import { evidenceText } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { bundlesOf, triesOf } from './bundles.js';
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
const strength = (attempts: number): number => (attempts === 0 ? 0.45 : Math.min(1, 0.6 + 0.04 * attempts));

/** Weight: a line that was tried once is thin, and each doubling of its tries adds as much again. */
const weight = (attempts: number): number => 1.3 + 0.45 * Math.min(5, Math.log2(Math.max(1, attempts)));

/** So wide round a line that was pointed at the lines beside it stay open: a hand goes from one to the next. */
const OPEN_WIDTH = 48;

const dashOf = (line: MapLine, attempts: number): string | undefined =>
  attempts === 0 ? '1.5 4' : line.side === 'their' ? '7 4' : line.bait ? '9 3 2 3' : undefined;

const Stroke = ({
  path,
  line,
  attempts,
  isInHand,
  isHovered,
}: {
  readonly path: string;
  readonly line: MapLine;
  readonly attempts: number;
  readonly isInHand: boolean;
  readonly isHovered: boolean;
}): React.JSX.Element => {
  const tone = isInHand ? 'inHand' : line.side === 'their' ? 'them' : 'ink';
  return (
    <>
      <path d={path} fill="none" stroke="transparent" strokeWidth="12" />
      <path
        d={path}
        fill="none"
        stroke={`var(--od-${tone})`}
        strokeWidth={isInHand ? 3.5 : weight(attempts) + (isHovered ? 1 : 0)}
        strokeOpacity={isInHand ? 1 : strength(attempts)}
        markerEnd={`url(#arrow-${tone})`}
        strokeDasharray={dashOf(line, attempts)}
      />
    </>
  );
};

/** The lines as arrows: how much is known of one is its ink and its weight. Those that run beside each other are one stroke, until somebody points at it. */
export const Lines = ({
  lines,
  curves,
  words,
  inHand,
  hovered,
  ids,
  isClose,
  onHover,
  onLine,
}: Props & {
  readonly ids: ReadonlySet<PlaceId>;
  /** A place is picked: each line stands by itself. */ readonly isClose: boolean;
  readonly onHover: (lineId: string | null) => void;
  readonly onLine: (line: MapLine) => void;
}): React.JSX.Element => {
  const [open, setOpen] = useState<string | null>(null);
  const bundles = useMemo(() => bundlesOf(lines), [lines]);
  const done = (line: MapLine): string =>
    LINE_TEXT.done(words.name('action', line.action), line.side === 'their', line.bait);
  return (
    <>
      {bundles.map((bundle) => {
        const [first] = bundle.lines;
        if (!curves.has(first.id) || !ids.has(first.from) || !ids.has(first.to)) return null;
        const way = `${placeName(first.from, words)} → ${placeName(first.to, words)}`;
        const isOpen =
          isClose || bundle.lines.length === 1 || open === bundle.key || bundle.lines.some((l) => l.id === inHand);
        const pathOf = ({ id }: MapLine): string => curves.get(id)!.path;
        return (
          <g
            key={bundle.key}
            data-bundle={bundle.lines.length}
            onMouseEnter={() => setOpen(bundle.key)}
            onMouseLeave={() => setOpen(null)}
          >
            {isOpen ? (
              <>
                {open === bundle.key &&
                  bundle.lines.length > 1 &&
                  bundle.lines.map((line) => (
                    <path key={line.id} d={pathOf(line)} fill="none" stroke="transparent" strokeWidth={OPEN_WIDTH} />
                  ))}
                {bundle.lines.map((line) => (
                  <g
                    key={line.id}
                    data-line={line.id}
                    style={{ cursor: 'pointer' }}
                    onMouseEnter={() => onHover(line.id)}
                    onMouseLeave={() => onHover(null)}
                    onClick={() => onLine(line)}
                  >
                    <title>{`${done(line)}: ${way}. ${evidenceText(line)}`}</title>
                    <Stroke
                      {...{ line, path: pathOf(line), attempts: line.attempts }}
                      isInHand={inHand === line.id}
                      isHovered={hovered === line.id}
                    />
                  </g>
                ))}
              </>
            ) : (
              <g data-line={first.id} style={{ cursor: 'pointer' }} onClick={() => setOpen(bundle.key)}>
                <title>{`${LINE_TEXT.beside(bundle.lines.map(done))}: ${way}.`}</title>
                <Stroke
                  {...{ line: first, path: pathOf(first), attempts: triesOf(bundle) }}
                  isInHand={false}
                  isHovered={false}
                />
              </g>
            )}
          </g>
        );
      })}
    </>
  );
};

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
