import { Box, Flex } from '@chakra-ui/react';
import { placeName, readPlace, type PlaceId } from '@odograph/core';
import { Play } from 'lucide-react';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Action, Heading, Subheading, useSize } from '../../design/index.js';
import { WordField, among } from '../../design/fields.js';
import { useMayWrite, useWords } from '../library/index.js';
import { OnlyPicked, ViewSentence, type MapState } from '../map/index.js';
import type { MapPicture, MapRoute } from '../../workers/map.protocol.js';
import { KeepRoute } from './KeepRoute.js';
import { KeptRoutes } from './KeptRoutes.js';
import { ROUTES_TEXT as T, ROUTE_FINDER_TEXT } from './routes.text.js';
import { RouteCloth } from './RouteCloth.js';
import { RouteReach } from './RouteReach.js';
import { RouteProfile } from './RouteProfile.js';
import { shownFound } from './shownRoute.js';
import { ANY, goalName, useRoutes } from './useRoutes.js';

const percent = (rate: number): string => (rate > 0 && rate < 0.005 ? 'under 1 %' : `${Math.round(rate * 100)} %`);

const RouteCard = ({
  route,
  nth,
  picture,
  width,
  play,
  suggested,
  mayWrite,
}: {
  readonly route: MapRoute;
  readonly nth: number;
  readonly picture: MapPicture;
  readonly width: number;
  readonly play: string;
  readonly suggested: string;
  readonly mayWrite: boolean;
}): React.JSX.Element => {
  const changes = route.steps.reduce((sum, s) => sum + s.gripChanges, 0);
  return (
    <Box as="li" paddingBlock="5" borderBottomWidth="1px" data-testid="route">
      <Flex alignItems="baseline" gap="5" marginBottom="2">
        <Subheading fontSize="22px">{ROUTE_FINDER_TEXT.nth(nth)}</Subheading>
        <Box color="inkSoft">
          {ROUTE_FINDER_TEXT.before(route.steps.length, changes)}{' '}
          <Box as="span" color="ink">
            {percent(route.chance)}
          </Box>{' '}
          {ROUTE_FINDER_TEXT.behind(percent(route.low), percent(route.high), route.cost.toFixed(2))}
        </Box>
        <Box flex="1" />
        {mayWrite && <KeepRoute route={route} suggested={suggested} />}
        <Action asChild tone="next">
          <Link to={play}>
            <Play size={15} aria-hidden />
            {ROUTE_FINDER_TEXT.playIt}
          </Link>
        </Action>
      </Flex>
      <RouteProfile route={shownFound(route)} picture={picture} width={width} height={190} />
    </Box>
  );
};

const useFinders = (picture: MapPicture | null) => {
  const words = useWords();
  return useMemo(() => {
    const ids = [
      ...new Set((picture?.lines ?? []).filter((l) => l.side === 'own').flatMap((l) => [l.from, l.to])),
    ].sort();
    const sayable = (id: PlaceId): { value: string; texts: readonly string[] } => {
      const place = readPlace(id);
      const aliases =
        place?.kind === 'state'
          ? (words.position(place.position)?.aliases ?? []).map((a) => `${a}, ${place.role}`)
          : [];
      return { value: id, texts: [placeName(id, words), ...aliases] };
    };
    return {
      from: among(ids.filter((id) => readPlace(id)?.kind === 'state').map(sayable)),
      to: among([{ value: ANY, texts: ROUTE_FINDER_TEXT.anySubmission, bonus: 0.05 }, ...ids.map(sayable)]),
    };
  }, [picture, words]);
};

/** Asks for routes between two places and shows the three best as profiles. */
export const RouteFinder = (): React.JSX.Element => {
  const words = useWords();
  const mapFailed = useSelector((state: MapState) => state.map.failed);
  const mayWrite = useMayWrite();
  const { from, to, picture, question, routes, failed } = useRoutes();
  const [, setSearch] = useSearchParams();
  const [ref, size] = useSize({ width: 1180, height: 400 });
  const find = useFinders(picture);
  const set = (change: { from?: string; to?: string }): void =>
    setSearch({ ...(from ? { from } : {}), ...(to ? { to } : {}), ...change });
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="6" maxWidth="1280px" width="100%">
      <Heading marginBottom="4">{T.title}</Heading>
      <KeptRoutes picture={picture} />
      <Subheading fontSize="22px" marginBottom="1">
        {T.find}
      </Subheading>
      <Box as="section" aria-label={ROUTE_FINDER_TEXT.whichRoute} fontSize="20px" lineHeight="1.6" marginBottom="3">
        <Box as="span" color="inkSoft">
          {ROUTE_FINDER_TEXT.theBestWaysFrom}{' '}
        </Box>
        <Box as="span" fontWeight="600">
          <WordField
            label={ROUTE_FINDER_TEXT.from}
            placeholder={ROUTE_FINDER_TEXT.whichPlace}
            said={from && placeName(from, words)}
            find={find.from}
            onPick={(value) => set({ from: value })}
          />
        </Box>
        <Box as="span" color="inkSoft">
          {' '}
          {ROUTE_FINDER_TEXT.to}{' '}
        </Box>
        <Box as="span" fontWeight="600">
          <WordField
            label={ROUTE_FINDER_TEXT.toLabel}
            placeholder={ROUTE_FINDER_TEXT.whichPlaceOrAny}
            said={to && goalName(to, words)}
            find={find.to}
            onPick={(value) => set({ to: value })}
          />
        </Box>
      </Box>
      <ViewSentence />
      {picture && <OnlyPicked totals={picture.totals} />}
      <Box ref={ref} marginTop="4">
        {failed && <Box role="alert">{ROUTE_FINDER_TEXT.theRoutesCouldNot}</Box>}
        {!picture ? (
          <Box role={mapFailed ? 'alert' : 'status'} maxWidth="620px">
            {mapFailed ? T.noMap : T.computing}
          </Box>
        ) : !from || !to ? (
          <Box color="inkSoft" maxWidth="620px">
            {ROUTE_FINDER_TEXT.sayWhereItStarts}
          </Box>
        ) : routes?.length === 0 ? (
          <Box role="status" maxWidth="620px">
            {ROUTE_FINDER_TEXT.none(placeName(from, words), goalName(to, words))}
          </Box>
        ) : (
          <Box as="ul" listStyleType="none" borderTopWidth="1px">
            {routes?.map((route, nth) => (
              <RouteCard
                key={route.steps.map((s) => s.line.id).join(' ')}
                route={route}
                nth={nth}
                picture={picture}
                width={size.width}
                suggested={`${placeName(from, words)} to ${goalName(to, words)}`}
                mayWrite={mayWrite}
                play={`/routes/play?from=${encodeURIComponent(from)}&to=${encodeURIComponent(to)}&route=${nth}`}
              />
            ))}
          </Box>
        )}
        {picture && routes?.[0] && <RouteReach {...{ question, picture }} best={routes[0]} />}
        {routes?.[0] && <RouteCloth best={routes[0]} />}
      </Box>
    </Box>
  );
};
