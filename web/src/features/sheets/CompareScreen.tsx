import { Box, Flex } from '@chakra-ui/react';
import { placeName, type ComparedGroup, type CountingView } from '@odograph/core';
import { useEffect, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Action, Heading, Subheading } from '../../design/index.js';
import { mapWorker } from '../../workers/map.client.js';
import type { MapComparison } from '../../workers/map.protocol.js';
import { useGathered } from '../finding/index.js';
import { useWords } from '../library/index.js';
import { MapNav, answersLink, ViewChoices, ViewSentence, useMapPicture, type MapState } from '../map/index.js';
import { sayEntry } from './sayMet.js';
import { COMPARE_TEXT as T } from './sheets.text.js';

const VERDICTS = ['better', 'worse', 'new', 'gone', 'no difference to be seen'] as const;
const AT_ONCE = 10;
const AGAINST = 'against';

/** The second view, as the address says it. */
const readView = (text: string | null): CountingView => {
  try {
    const view: unknown = JSON.parse(text ?? '');
    if (typeof view === 'object' && view !== null) return { includePicked: false, ...view };
  } catch {
    // an address that somebody cut short: a view of everything
  }
  return { includePicked: false, settings: ['training'] };
};

type Compared = { readonly of: string; readonly found: MapComparison | null };

/** The two views held against each other; undefined while they are, null where they could not be. */
const useComparison = (first: CountingView, second: CountingView): MapComparison | null | undefined => {
  const picture = useMapPicture();
  const revision = picture?.revision;
  const of = JSON.stringify([revision, first, second]);
  const gathered = useGathered(first, second);
  const [compared, setCompared] = useState<Compared>();
  useEffect(() => {
    if (revision === undefined || !gathered) return undefined;
    let isOver = false;
    const [a, b] = (JSON.parse(of) as [number, CountingView, CountingView]).slice(1) as [CountingView, CountingView];
    mapWorker()
      .compare(a, b, gathered)
      .then(
        (found) => isOver || setCompared({ of, found }),
        () => isOver || setCompared({ of, found: null }),
      );
    return () => {
      isOver = true;
    };
  }, [of, revision, gathered]);
  return compared?.of === of ? compared.found : undefined;
};

const GroupRow = ({ group }: { readonly group: ComparedGroup }): React.JSX.Element => {
  const words = useWords();
  const { side, from, action, bait, a, b, difference } = group;
  const entry = T.entry(sayEntry({ action, bait }, words), placeName(from, words));
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 90px 90px 200px' }}
      columnGap="4"
      paddingBlock="1.5"
      borderTopWidth="1px"
      data-testid="compared"
    >
      <Link to={`/clips?from=${encodeURIComponent(from)}&entry=${encodeURIComponent(action)}`}>
        {side === 'their' ? T.theirs(entry) : entry}
      </Link>
      <Box fontVariantNumeric="tabular-nums">{T.rate(a.worked, a.n)}</Box>
      <Box fontVariantNumeric="tabular-nums" color="inkSoft">
        {T.rate(b.worked, b.n)}
      </Box>
      <Box fontVariantNumeric="tabular-nums" color="inkSoft">
        {difference && T.by(difference.by, difference.low, difference.high)}
      </Box>
    </Box>
  );
};

const Verdict = ({
  verdict,
  groups,
}: {
  readonly verdict: (typeof VERDICTS)[number];
  readonly groups: readonly ComparedGroup[];
}): React.JSX.Element | null => {
  const [most, setMost] = useState(AT_ONCE);
  if (!groups.length) return null;
  const sorted = [...groups].sort((x, y) => y.a.n + y.b.n - x.a.n - x.b.n);
  return (
    <Box as="section">
      <Subheading marginBottom="1">{T.verdicts[verdict]}</Subheading>
      <Box as="ul" listStyleType="none">
        {sorted.slice(0, most).map((g) => (
          <GroupRow key={`${g.side} ${g.from} ${g.action} ${g.bait}`} group={g} />
        ))}
      </Box>
      {sorted.length > most && (
        <Action tone="quiet" onClick={() => setMost(most + AT_ONCE)}>
          {T.more(sorted.length - most)}
        </Action>
      )}
    </Box>
  );
};

const Heights = ({ heights }: Pick<MapComparison, 'heights'>): React.JSX.Element | null => {
  const words = useWords();
  if (!heights.length) return null;
  const apart = (h: (typeof heights)[number]): number => Math.abs(h.first - h.second);
  // a place and the other side's view of it move by the same
  const seen = [...heights].sort((a, b) => apart(b) - apart(a) || (a.place < b.place ? -1 : 1));
  return (
    <Box as="section">
      <Subheading marginBottom="1">{T.heights}</Subheading>
      <Box as="ul" listStyleType="none">
        {seen.slice(0, AT_ONCE).map(({ place, first, second }) => (
          <Box
            as="li"
            key={place}
            display="grid"
            gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 396px' }}
            columnGap="4"
            paddingBlock="1"
            borderTopWidth="1px"
          >
            <Link to={answersLink(place)}>{placeName(place, words)}</Link>
            <Box color="inkSoft" fontVariantNumeric="tabular-nums">
              {T.height(first, second)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
};

/** Two views of the map against each other: what is new, gone, better and worse, only where the intervals say so. */
export const CompareScreen = (): React.JSX.Element => {
  const first = useSelector((state: MapState) => state.map.view);
  const [search, setSearch] = useSearchParams();
  const second = readView(search.get(AGAINST));
  const found = useComparison(first, second);
  const [isWhy, setWhy] = useState(false);
  const groups = found?.groups ?? [];
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingTop="3" paddingBottom="6" maxWidth="1080px">
      <MapNav />
      <Flex alignItems="baseline" gap="4" wrap="wrap" marginTop="2" marginBottom="2">
        <Heading>{T.title}</Heading>
        <Box flex="1" />
        <Action tone="quiet" aria-expanded={isWhy} onClick={() => setWhy(!isWhy)}>
          {T.why}
        </Action>
      </Flex>
      <Box color="inkSoft" marginBottom="3" maxWidth="760px">
        {isWhy ? T.because : T.lead}
      </Box>
      <ViewSentence />
      <ViewChoices
        label={T.second}
        view={second}
        onView={(view) => setSearch({ [AGAINST]: JSON.stringify(view) }, { replace: true })}
      />
      <Flex direction="column" gap="6" marginTop="5" data-testid="comparison">
        {found === undefined ? (
          <Box role="status">{T.working}</Box>
        ) : found === null ? (
          <Box role="alert">{T.failed}</Box>
        ) : (
          <>
            {groups.length === 0 && found.heights.length === 0 && <Box>{T.same}</Box>}
            {VERDICTS.map((verdict) => (
              <Verdict key={verdict} verdict={verdict} groups={groups.filter((g) => g.verdict === verdict)} />
            ))}
            <Heights heights={found.heights} />
          </>
        )}
      </Flex>
    </Box>
  );
};
