import { Box, Flex } from '@chakra-ui/react';
import { askedFor, coverageSteps, placeName, type Hole } from '@odograph/core';
import { useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { Action, Heading, Subheading } from '../../design/index.js';
import { useViewSource } from '../finding/index.js';
import { useWords, useInSlices } from '../library/index.js';
import {
  ANSWERED_TEXT,
  MapNav,
  answersLink,
  cellKey,
  OnlyPicked,
  ViewSentence,
  type MapState,
  useMapPicture,
} from '../map/index.js';
import { AnsweredMark } from './AnsweredMark.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';
import { PutOnList } from './PutOnList.js';
import { OnlySaidList } from './OnlySaidList.js';
import { PlannedLists } from './PlannedLists.js';
import { sayEntry, sayMet } from './sayMet.js';
import { NEXT_TEXT as T, SHEET_TEXT } from './sheets.text.js';

const AT_ONCE = 20;
const NO_LINES: readonly MapLine[] = [];

const HoleRow = ({ hole, picture }: { readonly hole: Hole; readonly picture: MapPicture }): React.JSX.Element => {
  const words = useWords();
  const [isWhy, setWhy] = useState(false);
  const { place, met, status, n, cost, share, weight } = hole;
  const asked = askedFor(hole);
  const entry = sayEntry(hole, words);
  const height = picture.heights[place]?.height ?? 0;
  const percent = (x: number): string => `${(x * 100).toFixed(1)} %`;
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="3" data-testid="hole">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Box flex="1" minWidth="280px">
          <Subheading fontSize="21px">
            {!met
              ? T.theirAction(entry)
              : met.isAction
                ? T.theirAction(sayMet(met, words))
                : T.they(sayMet(met, words))}
          </Subheading>
          <Box>{met ? T.against(entry, placeName(place, words)) : T.in(placeName(place, words))}</Box>
        </Box>
        <Flex gap="2" alignItems="center" width="120px">
          <AnsweredMark status={status} />
          {ANSWERED_TEXT[status]}
        </Flex>
        <Box color="inkSoft" width="220px">
          {T.weight(n, cost)}
        </Box>
        <Flex gap="1">
          {asked && <PutOnList asked={asked} />}
          <Action asChild tone="quiet">
            <Link to={answersLink(place, met ? cellKey(hole, met) : undefined)}>{T.open}</Link>
          </Action>
          <Action tone="quiet" aria-expanded={isWhy} onClick={() => setWhy(!isWhy)}>
            {T.why}
          </Action>
        </Flex>
      </Flex>
      {isWhy && (
        <Box color="inkSoft" marginTop="1" maxWidth="820px">
          {cost > 0 ? T.because(n, percent(share), height, height - cost, weight.toFixed(4)) : T.noCost}
        </Box>
      )}
    </Box>
  );
};

/** What to find or film next: the holes of a view, those that come most often and cost most first. */
export const NextScreen = (): React.JSX.Element => {
  const picture = useMapPicture();
  const view = useSelector((state: MapState) => state.map.view);
  const words = useWords();
  const [most, setMost] = useState(AT_ONCE);
  const { source, share } = useViewSource(view);
  const steps = useMemo(
    () => source && picture && (() => coverageSteps(source, new Map(Object.entries(picture.heights)), words)),
    [source, picture, words],
  );
  const { done: holes, share: counted } = useInSlices(steps ?? undefined);
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingTop="3" paddingBottom="6" maxWidth="1180px">
      <MapNav />
      <Flex alignItems="baseline" gap="4" wrap="wrap" marginTop="2" marginBottom="2">
        <Heading>{T.title}</Heading>
        <Box flex="1" />
        <Action asChild tone="quiet">
          <Link to="/to-do?kind=find">{T.list}</Link>
        </Action>
      </Flex>
      <Box color="inkSoft" marginBottom="3" maxWidth="760px">
        {T.lead}
      </Box>
      <Box marginBottom="4">
        <ViewSentence />
      </Box>
      {picture && <OnlyPicked totals={picture.totals} />}
      {!holes || !picture ? (
        <Box role="status">{SHEET_TEXT.building(source ? counted : share)}</Box>
      ) : holes.length === 0 ? (
        <Box>{T.empty}</Box>
      ) : (
        <>
          <Box as="ol" listStyleType="none">
            {holes.slice(0, most).map((hole) => (
              <HoleRow
                key={`${hole.place} ${hole.action} ${hole.bait} ${hole.met?.isAction} ${hole.met?.what}`}
                hole={hole}
                picture={picture}
              />
            ))}
          </Box>
          {holes.length > most && (
            <Action tone="quiet" onClick={() => setMost(most + AT_ONCE)}>
              {T.more(holes.length - most)}
            </Action>
          )}
        </>
      )}
      <OnlySaidList />
      <PlannedLists seen={picture?.lines ?? NO_LINES} />
    </Box>
  );
};
