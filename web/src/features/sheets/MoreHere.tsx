import { Box, Flex } from '@chakra-ui/react';
import {
  eitherWaysOf,
  holdKey,
  holdKindsOf,
  spreadOf,
  type AnswersFound,
  type AskedFor,
  type PlaceId,
  type SheetSource,
  type TheirRow,
  type Times,
} from '@odograph/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { IntervalBand, Subheading } from '../../design/index.js';
import { useWords } from '../library/index.js';
import { ANSWERED_TEXT } from '../map/index.js';
import { AnsweredMark } from './AnsweredMark.js';
import { PutOnList } from './PutOnList.js';
import { sayEntry, sayHold } from './sayMet.js';
import { SHEET_TEXT as T } from './sheets.text.js';

/** What the other side does from here, with what was done about it. */
export const TheirList = ({
  rows,
  state,
}: {
  readonly rows: readonly TheirRow[];
  readonly state: AskedFor['state'];
}): React.JSX.Element | null => {
  const words = useWords();
  if (!rows.length) return null;
  return (
    <Box as="section">
      <Flex alignItems="baseline" gap="3" wrap="wrap">
        <Subheading>{T.theirs}</Subheading>
        <Box color="inkSoft">{T.theirsLead}</Box>
      </Flex>
      <Box as="ul" listStyleType="none" borderTopWidth="1px" marginTop="1" maxWidth="820px">
        {rows.map((row) => (
          <Box
            as="li"
            key={`${row.action} ${row.bait}`}
            display="grid"
            gridTemplateColumns={{ base: '1fr', md: '220px 150px minmax(0, 1fr) auto' }}
            columnGap="4"
            alignItems="center"
            paddingBlock="1.5"
            borderBottomWidth="1px"
          >
            <Box as="strong" color="them">
              {sayEntry(row, words)}
            </Box>
            <Box fontSize="14px" color="inkSoft">
              {row.n ? T.counted(row.worked, row.n) : T.seenOnly(row.attemptIds.length)}
              {row.n > 0 && (
                <Box>
                  <IntervalBand interval={row.interval} width={56} />
                </Box>
              )}
            </Box>
            <Box>
              <AnsweredMark status={row.status} /> {ANSWERED_TEXT[row.status]}
              {row.answers[0] && `: ${row.answers.map((a) => words.name('action', a.action)).join(', ')}`}
            </Box>
            {state && row.status === 'unanswered' && (
              <PutOnList asked={{ state, action: null, reaction: null, theirs: row.action }} />
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
};

const MOST_HOLDS = 6;
/** Which holds are used from here, and for how many entries. */
export const HoldsHere = ({
  source,
  place,
}: {
  readonly source: SheetSource;
  readonly place: PlaceId;
}): React.JSX.Element | null => {
  const words = useWords();
  const holds = useMemo(() => holdKindsOf(source.cases.filter((c) => c.from === place)), [source, place]);
  if (!holds.length) return null;
  return (
    <Box as="section">
      <Subheading>{T.holds}</Subheading>
      <Box as="ul" listStyleType="none" marginTop="1">
        {holds.slice(0, MOST_HOLDS).map(({ hold, groups, n }) => (
          <Box as="li" key={holdKey(hold)} paddingBlock="0.5">
            <Link to={`/map/hold?of=${encodeURIComponent(holdKey(hold))}`}>{sayHold(hold, words)}</Link>{' '}
            <Box as="span" color="inkSoft">
              {T.holdUse(groups, n)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
};

/** Pairs of entries where defending one opens the other, with how often to use which. */
export const EitherHere = ({
  source,
  found,
  place,
}: {
  readonly source: SheetSource;
  readonly found: AnswersFound;
  readonly place: PlaceId;
}): React.JSX.Element | null => {
  const words = useWords();
  const pairs = useMemo(
    () => eitherWaysOf({ ...source, cases: source.cases.filter((c) => c.from === place) }, found),
    [source, found, place],
  );
  if (!pairs.length) return null;
  const action = (key: string): string => words.name('action', key);
  const percent = (share: number): number => Math.round(share * 100);
  return (
    <Box as="section">
      <Flex alignItems="baseline" gap="3">
        <Subheading>{T.either}</Subheading>
        <Box color="inkSoft">{T.eitherLead}</Box>
      </Flex>
      {pairs.map(({ entries: [a, b], reactions: [r, q], mix }) => (
        <Box key={`${a} ${b} ${r} ${q}`} marginTop="2">
          <Box as="strong">{T.pair(action(a), action(b))}</Box>
          <Box>
            {T.opens(action(a), words.name('reaction', r), action(b))}.{' '}
            {T.opens(action(b), words.name('reaction', q), action(a))}.
          </Box>
          <Box color="inkSoft">
            {!mix
              ? T.notEnough
              : mix.kind === 'one'
                ? T.always(action([a, b][mix.entry]!), percent(mix.value))
                : T.mix(action(a), percent(mix.first), percent(mix.value))}
          </Box>
        </Box>
      ))}
    </Box>
  );
};

/** How long something takes: the middle, and the middle half. */
export const TimesList = ({ times }: { readonly times: Times }): React.JSX.Element | null => {
  const said = (
    [
      [T.toCommit, times.toCommit],
      [T.toEnd, times.toEnd],
      [T.toFollow, times.toFollowUp],
    ] as const
  ).flatMap(([what, seconds]) => {
    const spread = spreadOf(seconds);
    return spread ? [T.spread(what, spread.medianS, spread.quarterS, spread.threeQuartersS, spread.n)] : [];
  });
  if (!said.length) return null;
  return (
    <Box as="section">
      <Subheading>{T.times}</Subheading>
      {said.map((line) => (
        <Box key={line}>{line}</Box>
      ))}
    </Box>
  );
};
