import { Box, Flex } from '@chakra-ui/react';
import { clothOnWay, placeName, workedIn } from '@odograph/core';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { Subheading } from '../../design/index.js';
import type { MapRoute } from '../../workers/map.protocol.js';
import { useViewSource } from '../finding/index.js';
import { ClipLinks, useClipsOf, useWords } from '../library/index.js';
import { lineLink, type MapState } from '../map/index.js';
import { CLOTH_TEXT as T, REACH_TEXT } from './routes.text.js';

/** Clips of the same without cloth that are offered for a step. */
const MOST_CLIPS = 3;

const Without = ({ attemptIds }: { readonly attemptIds: readonly string[] }): React.JSX.Element => {
  const clips = useClipsOf(attemptIds);
  return (
    <Flex as="span" display="inline-flex" gap="3" wrap="wrap">
      <ClipLinks clips={clips} />
    </Flex>
  );
};

/** Which steps of a route lean on cloth, and the same without it. */
export const RouteCloth = ({ best }: { readonly best: MapRoute }): React.JSX.Element | null => {
  const view = useSelector((state: MapState) => state.map.view);
  const words = useWords();
  const { source } = useViewSource(view);
  const cloth = useMemo(
    () =>
      source &&
      clothOnWay(
        source.cases,
        best.steps.map((s) => s.line),
      ),
    [source, best],
  );
  if (!cloth?.said) return null;
  return (
    <Box as="section" marginTop="5" maxWidth="760px" data-testid="route-cloth">
      <Subheading marginBottom="1">{T.title}</Subheading>
      <Box>{T.sum(cloth.leaning.length, best.steps.length, cloth.said)}</Box>
      <Box as="ul" listStyleType="none">
        {cloth.leaning.map(({ step, without }) => (
          <Box as="li" key={step.id} paddingBlock="0.5">
            <Link to={lineLink(step)}>
              {REACH_TEXT.entry(words.name('action', step.action), placeName(step.from, words))}
            </Link>{' '}
            <Box as="span" color="inkSoft">
              {T.without(without.length, workedIn(without))}
            </Box>{' '}
            <Without attemptIds={without.slice(0, MOST_CLIPS).map((c) => c.attempt.id)} />
          </Box>
        ))}
      </Box>
    </Box>
  );
};
