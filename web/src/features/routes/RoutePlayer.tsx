import { Box, Flex } from '@chakra-ui/react';
import { cautionsOf, placeName } from '@odograph/core';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  Action,
  CautionNote,
  Heading,
  IntervalBand,
  Mono,
  Sentence,
  evidenceText,
  useSize,
} from '../../design/index.js';
import { useClipViews, useRole, useWords, type ClipView } from '../library/index.js';
import { clipOfShown } from './clipOfShown.js';
import type { ShownStep } from './keptRoute.js';
import { RouteLead, useRouteLead } from './RouteLead.js';
import { RouteProfile } from './RouteProfile.js';
import { RouteScreen } from './RouteScreen.js';
import { ROUTES_TEXT as T, ROUTE_PLAYER_TEXT, STEP_TEXT } from './routes.text.js';
import { useRouteInHand } from './useRouteInHand.js';

const StepSheet = ({
  step: { line, gripChanges, kept },
  view,
  nth,
  of,
}: {
  readonly step: ShownStep;
  readonly view: ClipView | undefined;
  readonly nth: number;
  readonly of: number;
}): React.JSX.Element => {
  const words = useWords();
  const submission = line.to.startsWith('won:') ? line.to.slice(4) : null;
  return (
    <Box>
      <Mono fontSize="14px" color="inkSoft" data-testid="step">
        {ROUTE_PLAYER_TEXT.step(nth + 1, of)}
      </Mono>
      <Heading fontSize="32px" marginBottom="1">
        {words.name('action', line.action)}
      </Heading>
      <Box color="inkSoft" marginBottom="3">
        {STEP_TEXT.fromTo(placeName(line.from, words), placeName(line.to, words))}
      </Box>
      {kept?.cue && (
        <Box fontFamily="heading" fontSize="26px" lineHeight="1.2" color="inHand" marginBottom="3" data-testid="cue">
          {kept.cue}
        </Box>
      )}
      {kept?.note && (
        <Box marginBottom="3" whiteSpace="pre-line">
          {kept.note}
        </Box>
      )}
      <Box fontSize="14px" marginBottom="1">
        {line.attemptIds.length ? evidenceText(line) : T.notOnMap}
      </Box>
      <IntervalBand interval={line.interval} width={140} />
      {nth > 0 && gripChanges > 0 && (
        <Box fontSize="14px" marginTop="2">
          {ROUTE_PLAYER_TEXT.changes(gripChanges)}
        </Box>
      )}
      {view && (
        <Box marginTop="4" fontSize="15px" lineHeight="1.4">
          <Sentence said={view.said} subject={view.attempt.subject} />
          {view.clip.note && (
            <Box marginTop="2" fontSize="17px">
              {view.clip.note}
            </Box>
          )}
        </Box>
      )}
      <Box marginTop="4">
        <CautionNote cautions={cautionsOf(words, { action: line.action, submission })} />
      </Box>
    </Box>
  );
};

/** Plays a route: each step's clip runs over and over until you go on; where the step stands in the whole is always in view. */
export const RoutePlayer = (): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const role = useRole();
  const { route, name, back, picture, isLooking } = useRouteInHand();
  const [search, setSearch] = useSearchParams();
  const [ref, size] = useSize({ width: 1280, height: 190 });
  const [isOver, setOver] = useState(false);
  const lead = useRouteLead();
  const count = route?.steps.length ?? 0;
  const at = Math.min(Math.max(0, Number(search.get('step') ?? 1) - 1 || 0), Math.max(0, count - 1));
  const go = (step: number): void => {
    setOver(step >= count);
    if (step < 0 || step >= count) return;
    // at once: quick presses of a key each start from where the one before led
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        next.set('step', String(step + 1));
        return next;
      },
      { flushSync: true },
    );
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLElement && event.target.closest('input, [role=menu]')) return;
      if (event.key === '>') lead.toggle();
      if (event.key === 'ArrowRight') go(at + 1);
      if (event.key === 'ArrowLeft') go(isOver ? at : at - 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  if (isLooking)
    return (
      <Box role="status" padding="8">
        {ROUTE_PLAYER_TEXT.lookingForTheRoute}
      </Box>
    );
  const here = route?.steps[at];
  if (!route || !here || !picture)
    return (
      <Box padding="8">
        <Box marginBottom="4">{ROUTE_PLAYER_TEXT.thisRouteIsNo}</Box>
        <Action asChild>
          <Link to={back}>{ROUTE_PLAYER_TEXT.backToTheRoutes}</Link>
        </Action>
      </Box>
    );
  const view = clipOfShown(here, views);
  return (
    <Flex direction="column" height="100%" minHeight="0">
      <Flex flex="1" minHeight="240px">
        <Box flex="1" minWidth="0" position="relative" background="#000">
          {view ? (
            <RouteScreen key={`${at} ${view.clip.id}`} view={view} lead={lead} />
          ) : (
            <Flex height="100%" align="center" justify="center" padding="8" color="#f4efe4" role="status">
              {role === 'student' ? T.notForYou : T.noClip}
            </Flex>
          )}
          {isOver && (
            <Flex
              position="absolute"
              inset="0"
              direction="column"
              alignItems="center"
              justifyContent="center"
              gap="5"
              background="rgba(19, 21, 19, 0.88)"
              role="status"
              data-testid="route-over"
            >
              <Heading>{ROUTE_PLAYER_TEXT.thatWasTheWhole}</Heading>
              <Flex gap="3">
                <Action tone="next" onClick={() => go(0)}>
                  {ROUTE_PLAYER_TEXT.fromTheBeginning}
                </Action>
                <Action asChild>
                  <Link to={back}>{ROUTE_PLAYER_TEXT.backToTheRoutes}</Link>
                </Action>
              </Flex>
            </Flex>
          )}
        </Box>
        <Flex width="400px" flexShrink="0" direction="column" borderLeftWidth="1px">
          <RouteLead lead={lead} />
          <Box as="section" aria-label={ROUTE_PLAYER_TEXT.theStep} tabIndex={0} flex="1" overflowY="auto" padding="5">
            <StepSheet step={here} view={view} nth={at} of={count} />
          </Box>
          <Flex gap="2" padding="4" borderTopWidth="1px">
            <Action onClick={() => go(isOver ? at : at - 1)} disabled={at === 0 && !isOver}>
              {ROUTE_PLAYER_TEXT.before}
            </Action>
            <Action tone="next" flex="1" justifyContent="center" onClick={() => go(at + 1)} disabled={isOver}>
              {at + 1 < count
                ? ROUTE_PLAYER_TEXT.goOn(words.name('action', route.steps[at + 1]!.line.action))
                : ROUTE_PLAYER_TEXT.toTheEnd}
            </Action>
          </Flex>
        </Flex>
      </Flex>
      <Box ref={ref} borderTopWidth="1px" paddingInline="4" paddingTop="1" flexShrink="0">
        <Flex justifyContent="space-between" color="inkSoft" fontSize="14px">
          <span>{name}</span>
          <Link to={back} style={{ textDecoration: 'underline' }}>
            {ROUTE_PLAYER_TEXT.backToTheRoutes}
          </Link>
        </Flex>
        <RouteProfile
          route={route}
          picture={picture}
          width={size.width}
          height={176}
          step={isOver ? count : at}
          onStep={go}
        />
      </Box>
    </Flex>
  );
};
