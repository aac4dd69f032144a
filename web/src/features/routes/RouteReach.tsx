import { Box } from '@chakra-ui/react';
import { placeName } from '@odograph/core';
import { Link } from 'react-router';
import { Subheading } from '../../design/index.js';
import type { MapPicture, MapRoute, RouteQuestion } from '../../workers/map.protocol.js';
import { useWords } from '../library/index.js';
import { lineLink } from '../map/index.js';
import { useReachQuery } from './routes.api.js';
import { REACH_TEXT as T } from './routes.text.js';

/** What more film of one step could change about which way is the best, and by how much the best is ahead of the second. */
export const RouteReach = ({
  question,
  picture,
  best,
}: {
  readonly question: Omit<RouteQuestion, 'most'>;
  readonly picture: MapPicture;
  readonly best: MapRoute;
}): React.JSX.Element | null => {
  const words = useWords();
  const { currentData: reach } = useReachQuery({ question, revision: picture.revision });
  if (!reach) return null;
  const open = reach.steps.flatMap((step) => {
    const line = best.steps.find((s) => s.line.id === step.lineId)?.line;
    return line && (step.ifNoneWorked || step.ifAllWorked) ? [{ ...step, line }] : [];
  });
  return (
    <Box as="section" marginTop="5" maxWidth="760px" data-testid="reach">
      <Subheading marginBottom="1">{T.title}</Subheading>
      <Box>{reach.factor === undefined ? T.onlyOne : T.factor(reach.factor)}</Box>
      {open.length > 0 ? (
        <>
          <Box marginTop="1">{T.look}</Box>
          <Box as="ul" listStyleType="none">
            {open.map(({ line, ifNoneWorked, ifAllWorked }) => (
              <Box as="li" key={line.id} paddingBlock="0.5">
                <Link to={lineLink(line)}>
                  {T.step(
                    T.entry(words.name('action', line.action), placeName(line.from, words)),
                    ifNoneWorked,
                    ifAllWorked,
                  )}
                </Link>
              </Box>
            ))}
          </Box>
        </>
      ) : (
        reach.factor !== undefined && <Box>{T.firm}</Box>
      )}
    </Box>
  );
};
