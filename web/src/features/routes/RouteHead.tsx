import { Box, Flex } from '@chakra-ui/react';
import { placeName, stepsOf, type KeptRoute, type PlaceId } from '@odograph/core';
import { Play } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Action, Heading, Ruled, Subheading } from '../../design/index.js';
import { ToBin } from '../bin/index.js';
import { useMayWrite, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { ForWhom } from './ForWhom.js';
import { ROUTES_TEXT as T, KEPT_ROUTE_TEXT, ROUTE_STEPS_TEXT, STEP_TIME_TEXT } from './routes.text.js';
import type { RouteEdits } from './routeEdits.js';
import { clockText, type Minutes } from './stepTimes.js';

/** From where to where a route leads, and how long it is. */
const useSummary = (route: KeptRoute, minutes: Minutes | undefined): string => {
  const words = useWords();
  const seconds = minutes && [...minutes.values()].reduce((sum, { whole }) => sum + whole, 0);
  const main = stepsOf(route, null);
  const places = main.flatMap((s) => [s.from, s.to]).filter((p) => p !== null) as PlaceId[];
  const [first, last] = [places[0], places.at(-1)];
  const long = [
    T.steps(main.length),
    ...(route.branches.length ? [T.branches(route.branches.length)] : []),
    ...(seconds === undefined ? [] : [STEP_TIME_TEXT.whole(clockText(seconds))]),
  ].join(', ');
  return first && last ? KEPT_ROUTE_TEXT.title(placeName(first, words), placeName(last, words), long) : long;
};

/** What a route is called, and what can be done with the whole of it. */
export const RouteHead = ({
  route,
  minutes,
  edits,
}: {
  readonly route: KeptRoute;
  readonly minutes: Minutes | undefined;
  readonly edits: RouteEdits | undefined;
}): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const navigate = useNavigate();
  const summary = useSummary(route, minutes);
  const [leaving, setLeaving] = useState(false);
  return (
    <>
      <Box fontSize="14px" marginBottom="1">
        <Link to="/routes" style={{ textDecoration: 'underline' }}>
          {T.all}
        </Link>
      </Box>
      <Flex alignItems="center" gap="3" wrap="wrap">
        <Box flex="1" minWidth="260px">
          {mayWrite ? (
            <>
              <Heading className="sr-only">{route.name}</Heading>
              <Ruled
                key={route.name}
                aria-label={T.name}
                defaultValue={route.name}
                maxLength={120}
                fontFamily="heading"
                fontSize="28px"
                fontWeight="600"
                borderColor="transparent"
                onKeyDown={(event) => {
                  if (event.key === 'Enter') event.currentTarget.blur();
                }}
                onBlur={(event) => {
                  const name = event.currentTarget.value.trim();
                  if (!name) event.currentTarget.value = route.name;
                  else if (name !== route.name) edit({ kind: 'route', id: route.id, changes: { name } });
                }}
              />
            </>
          ) : (
            <Subheading as="h1" fontSize="28px">
              {route.name}
            </Subheading>
          )}
          <Box color="inkSoft" fontSize="14px">
            {summary}
          </Box>
          {mayWrite && <ForWhom route={route} />}
        </Box>
        {edits && <Action onClick={edits.mirror}>{ROUTE_STEPS_TEXT.mirror}</Action>}
        <Action asChild>
          <a href={`/api/routes/${route.id}/cues.vtt`} download={`${route.name}.vtt`}>
            {T.vtt}
          </a>
        </Action>
        {mayWrite && <Action onClick={() => setLeaving(true)}>{T.toBin}</Action>}
        <Action asChild>
          <Link to={`/wall/${route.id}`}>{T.wall}</Link>
        </Action>
        <Action asChild tone="next">
          <Link to={`/routes/play?kept=${route.id}`}>
            <Play size={15} aria-hidden />
            {T.play}
          </Link>
        </Action>
      </Flex>
      {leaving && (
        <Box marginTop="3">
          <ToBin
            what="route"
            id={route.id}
            name={`“${route.name}”`}
            onNo={() => setLeaving(false)}
            onYes={() => {
              edit({ kind: 'remove', what: 'route', id: route.id });
              void navigate('/routes');
            }}
          />
        </Box>
      )}
    </>
  );
};
