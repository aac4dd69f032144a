import { Box, Flex } from '@chakra-ui/react';
import { BARE_ROUTE, type KeptRoute } from '@odograph/core';
import { Play } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import type { MapPicture } from '../../workers/map.protocol.js';
import { Action, Subheading } from '../../design/index.js';
import { useLibrary, useMayWrite } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { AddStep } from './AddStep.js';
import { mainSteps, shownRoute } from './shownRoute.js';
import { ROUTES_TEXT as T, KEPT_ROUTES_TEXT } from './routes.text.js';
import { RouteSpark } from './RouteSpark.js';

/** Begins a route with a step that is picked by hand, and opens it. */
const ByHand = (): React.JSX.Element => {
  const edit = useEdit();
  const navigate = useNavigate();
  const [isBeginning, setBeginning] = useState(false);
  if (!isBeginning)
    return (
      <Action marginTop="3" onClick={() => setBeginning(true)}>
        {T.byHand}
      </Action>
    );
  return (
    <AddStep
      label={T.firstStep}
      from={undefined}
      onCancel={() => setBeginning(false)}
      onAdd={(step) => {
        const route: KeptRoute = { id: newId(), version: 0, name: T.fresh, steps: [step], ...BARE_ROUTE };
        edit({ kind: 'new route', route });
        void navigate(`/routes/${route.id}`);
      }}
    />
  );
};

/** The routes that are kept, each with the line it climbs. */
export const KeptRoutes = ({ picture }: { readonly picture: MapPicture | null }): React.JSX.Element => {
  const { routes } = useLibrary();
  const mayWrite = useMayWrite();
  const sorted = [...routes].sort((a, b) => a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1));
  return (
    <Box as="section" aria-label={T.kept} marginBottom="8">
      <Subheading fontSize="22px" marginBottom="2">
        {T.kept}
      </Subheading>
      {sorted.length === 0 ? (
        <Box color="inkSoft" maxWidth="620px">
          {mayWrite ? T.nothingKept : T.nothingKeptForStudents}
        </Box>
      ) : (
        <Box as="ul" listStyleType="none" borderTopWidth="1px">
          {sorted.map((route) => (
            <Flex
              as="li"
              key={route.id}
              data-kept={route.id}
              borderBottomWidth="1px"
              paddingBlock="2"
              gap="6"
              alignItems="center"
            >
              <Box flex="1" minWidth="0">
                <Box fontSize="18px" fontWeight="600">
                  <Link to={`/routes/${route.id}`}>{route.name}</Link>
                </Box>
                <Box color="inkSoft" fontSize="14px">
                  {T.steps(mainSteps(route))}
                  {route.branches.length > 0 && `, ${T.branches(route.branches.length)}`},{' '}
                  {T.cues(route.steps.filter((s) => s.cue).length)}
                </Box>
              </Box>
              {picture && <RouteSpark route={shownRoute(route, picture)} picture={picture} />}
              <Action asChild>
                <Link to={`/routes/play?kept=${route.id}`} aria-label={KEPT_ROUTES_TEXT.play(route.name)}>
                  <Play size={15} aria-hidden />
                  {T.play}
                </Link>
              </Action>
            </Flex>
          ))}
        </Box>
      )}
      {mayWrite && <ByHand />}
    </Box>
  );
};
