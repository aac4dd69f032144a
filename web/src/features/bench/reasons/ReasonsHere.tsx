import { Box, Flex } from '@chakra-ui/react';
import {
  detailId,
  sayLink,
  sayPart,
  takenAway,
  becauseOf,
  type Attempt,
  type BecauseLink,
  type PartId,
  type Words,
} from '@odograph/core';
import { Bare } from '../../../design/index.js';
import { laidOut } from './arcs.js';
import { PanelHead } from './PanelHead.js';
import { KIND_TEXT, REASONS_TEXT as T } from './reasons.text.js';
import type { ReasonsHand } from './reasonsHand.js';

const ROW = 30;
const LANE = 11;

const ArcsBeside = ({
  links,
  rows,
}: {
  readonly links: readonly BecauseLink[];
  readonly rows: readonly PartId[];
}): React.JSX.Element => {
  const arcs = laidOut(
    links.flatMap(({ id, from, to }) => {
      const [a, b] = [rows.indexOf(from.part), rows.indexOf(to.part)];
      // what another attempt made possible comes in from above
      return b < 0 ? [] : [{ id, from: from.attemptId === null ? a : -1, to: b }];
    }),
  );
  const width = 14 + LANE * Math.max(1, ...arcs.map((a) => a.lane + 1));
  const middle = (row: number): number => (row < 0 ? 0 : row * ROW + ROW / 2);
  return (
    <svg width={width} height={rows.length * ROW} aria-hidden style={{ flexShrink: 0 }}>
      {arcs.map(({ id, from, to, lane }) => {
        const { isSure, kind } = links.find((l) => l.id === id)!;
        const isAgainst = kind === 'prevents' || kind === 'delays';
        const x = width - 8 - LANE * (lane + 1);
        const [y, end] = [middle(from), middle(to)];
        const colour = 'var(--od-inHand)';
        return (
          <g key={id} data-arc={id} fill="none" stroke={colour} strokeWidth="1.5">
            <path
              d={`M ${width - 8} ${y} C ${x} ${y}, ${x} ${end}, ${width - 8} ${end}`}
              strokeDasharray={isSure ? undefined : '3 3'}
            />
            {/* what keeps something away ends in a bar, all else in an arrow */}
            <path
              d={
                isAgainst
                  ? `M ${width - 8} ${end - 5} L ${width - 8} ${end + 5}`
                  : `M ${width - 13} ${end - 4} L ${width - 7} ${end} L ${width - 13} ${end + 4}`
              }
            />
          </g>
        );
      })}
    </svg>
  );
};

/** Whether a detail falls where the one that is pointed at is taken away, may fall, or comes back; as text beside it, not by colour alone. */
const stateIn = (id: string, taken: ReturnType<typeof takenAway>): keyof typeof T.state | null =>
  taken.falls.has(id) ? 'falls' : taken.mayFall.has(id) ? 'mayFall' : taken.comesBack.has(id) ? 'comesBack' : null;

type Props = {
  readonly attempt: Attempt;
  readonly attempts: readonly Attempt[];
  readonly rows: readonly PartId[];
  readonly hand: ReasonsHand;
  readonly words: Words;
  readonly onPoint: (at: number) => void;
  /** A link that was drawn from one row to another by the pointer. */ readonly onEnd: (at: number) => void;
  /** Absent for those who only look. */ readonly onChange: ((links: readonly BecauseLink[]) => void) | undefined;
  readonly onClose: () => void;
};

/** The links one below the other; whoever may write says of each whether it is sure, or takes it off. */
const LinksBelow = ({
  attempt,
  attempts,
  words,
  onChange,
}: Pick<Props, 'attempt' | 'attempts' | 'words' | 'onChange'>): React.JSX.Element => (
  <Box as="ul" listStyleType="none" aria-label={T.links} marginTop="3" fontSize="14px">
    {attempt.links.map((link) => {
      const said = sayLink(link, attempt, attempts, words);
      return (
        <Flex as="li" key={link.id} gap="2" paddingBlock="1" borderTopWidth="1px" alignItems="baseline">
          <Box flex="1">{said}</Box>
          {onChange && (
            <>
              <Bare
                type="button"
                tabIndex={-1}
                color="inkSoft"
                aria-label={T.turn(said)}
                onClick={() => onChange(attempt.links.map((l) => (l === link ? { ...l, isSure: !l.isSure } : l)))}
              >
                {link.isSure ? T.sure : T.guess}
              </Bare>
              <Bare
                type="button"
                tabIndex={-1}
                aria-label={T.remove(said)}
                onClick={() => onChange(attempt.links.filter((l) => l !== link))}
              >
                ×
              </Bare>
            </>
          )}
        </Flex>
      );
    })}
  </Box>
);

/** The details of an attempt one below the other, with what made what possible as arcs beside them. */
export const ReasonsHere = ({
  attempt,
  attempts,
  rows,
  hand,
  words,
  onPoint,
  onEnd,
  onChange,
  onClose,
}: Props): React.JSX.Element => {
  const here = rows[hand.at];
  const links = attempt.links.map((link) => becauseOf(attempt.id, link));
  const taken = takenAway(here === undefined ? [] : [detailId(attempt.id, here)], links);
  const says = [
    T.falls(taken.falls.size - 1),
    taken.mayFall.size ? T.mayFall(taken.mayFall.size) : '',
    taken.comesBack.size ? T.comesBack(taken.comesBack.size) : '',
  ].join('');
  const text = (part: PartId | undefined): string => (part === undefined ? '' : (sayPart(attempt, part, words) ?? ''));
  return (
    <Box flex="1" minHeight="0" overflowY="auto" padding="4" data-testid="reasons">
      <PanelHead title={T.title} onClose={onClose} />
      {rows.length === 0 ? (
        <Box color="inkSoft">{T.empty}</Box>
      ) : (
        <>
          <Box
            color={hand.begun ? 'inHand' : 'inkSoft'}
            fontSize="14px"
            marginBottom="2"
            role="status"
            minHeight="42px"
          >
            {hand.begun
              ? T.from(text(rows[hand.begun.from]), KIND_TEXT[hand.begun.kind])
              : attempt.links.length
                ? says
                : T.pick}
          </Box>
          <Flex>
            <ArcsBeside links={attempt.links} rows={rows} />
            <Box as="ul" listStyleType="none" flex="1" minWidth="0" aria-label={T.label}>
              {rows.map((part, i) => {
                const state = i === hand.at ? null : stateIn(detailId(attempt.id, part), taken);
                return (
                  <Box as="li" key={part} height={`${ROW}px`}>
                    <Bare
                      type="button"
                      tabIndex={-1}
                      width="100%"
                      height="100%"
                      textAlign="left"
                      paddingInline="1.5"
                      overflow="hidden"
                      whiteSpace="nowrap"
                      textOverflow="ellipsis"
                      title={text(part)}
                      aria-pressed={i === hand.at}
                      background={i === hand.at ? 'inHandSoft' : undefined}
                      color={state === 'falls' ? 'inkSoft' : undefined}
                      textDecoration={state === 'falls' ? 'line-through' : undefined}
                      // the picture keeps the hand, so that the keys go on working
                      onMouseDown={(e) => e.preventDefault()}
                      onPointerDown={() => onPoint(i)}
                      onPointerUp={() => onEnd(i)}
                      onClick={(e) => e.detail === 0 && onPoint(i)}
                    >
                      {text(part)}
                      {state && (
                        <Box as="span" color="inkSoft" fontSize="13px" marginLeft="2" display="inline-block">
                          {T.state[state]}
                        </Box>
                      )}
                    </Bare>
                  </Box>
                );
              })}
            </Box>
          </Flex>
          {attempt.links.length > 0 && <LinksBelow {...{ attempt, attempts, words, onChange }} />}
        </>
      )}
    </Box>
  );
};
