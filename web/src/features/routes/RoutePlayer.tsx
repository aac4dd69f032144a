import { Box, Flex } from '@chakra-ui/react';
import { placeName, type Form, type Way } from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
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
import { usePolicy } from '../policy/index.js';
import { clipOfShown } from './clipOfShown.js';
import { beginsAt, endsAt, mainOf, stepName, type ShownRoute, type ShownStep } from './shownRoute.js';
import { RouteLead, useRouteLead } from './RouteLead.js';
import { RouteProfile } from './RouteProfile.js';
import { RouteScreen } from './RouteScreen.js';
import { FOR_WHOM_TEXT, ROUTES_TEXT as T, ROUTE_PLAYER_TEXT, STEP_TEXT } from './routes.text.js';
import { cautionsIn } from './stepTimes.js';
import { formOf } from './stepForms.js';
import { sayOn } from './sayOn.js';
import { useRouteInHand } from './useRouteInHand.js';

const StepSheet = ({
  step,
  view,
  form,
  told,
}: {
  readonly step: ShownStep;
  readonly view: ClipView | undefined;
  /** The highest in which it is done by those whom the route is for. */ readonly form: Form;
  /** Where in the route it stands, in words. */ readonly told: string;
}): React.JSX.Element => {
  const words = useWords();
  const { line, gripChanges, kept } = step;
  const [from, to] = [beginsAt(step), endsAt(step)];
  return (
    <Box>
      <Mono fontSize="14px" color="inkSoft" data-testid="step">
        {told}
      </Mono>
      <Heading fontSize="32px" marginBottom="1">
        {stepName(step, words)}
      </Heading>
      {from && to && (
        <Box color="inkSoft" marginBottom="3">
          {from === to ? placeName(from, words) : STEP_TEXT.fromTo(placeName(from, words), placeName(to, words))}
        </Box>
      )}
      {FOR_WHOM_TEXT.forms[form] && (
        <Box color="caution" marginBottom="2">
          {FOR_WHOM_TEXT.forms[form]}
        </Box>
      )}
      {kept?.cue && (
        <Box fontFamily="heading" fontSize="26px" lineHeight="1.2" color="inHand" marginBottom="3" data-testid="cue">
          {kept.cue}
        </Box>
      )}
      {kept?.cues.map((cue) => (
        <Box key={cue.text} fontFamily="heading" fontSize="20px" lineHeight="1.25" marginBottom="2">
          {cue.text}
        </Box>
      ))}
      {kept?.mistake && (
        <Box marginBottom="3">
          {STEP_TEXT.mistake} {kept.mistake}
        </Box>
      )}
      {kept?.note && (
        <Box marginBottom="3" whiteSpace="pre-line">
          {kept.note}
        </Box>
      )}
      {line && (
        <>
          <Box fontSize="14px" marginBottom="1">
            {line.attemptIds.length ? evidenceText(line) : T.notOnMap}
          </Box>
          <IntervalBand interval={line.interval} width={140} />
        </>
      )}
      {gripChanges > 0 && (
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
        <CautionNote cautions={cautionsIn(step, words)} />
      </Box>
    </Box>
  );
};

/** The whole route has been gone through. */
const RouteOver = ({ back, onAgain }: { readonly back: string; readonly onAgain: () => void }): React.JSX.Element => (
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
      <Action tone="next" onClick={onAgain}>
        {ROUTE_PLAYER_TEXT.fromTheBeginning}
      </Action>
      <Action asChild>
        <Link to={back}>{ROUTE_PLAYER_TEXT.backToTheRoutes}</Link>
      </Action>
    </Flex>
  </Flex>
);

/** What can be done from here: on along the line, or by a branch, each with its key. */
const WaysOn = ({
  branches,
  onTake,
}: {
  readonly branches: readonly (readonly [on: Way, name: string])[];
  readonly onTake: (way: Way) => void;
}): React.JSX.Element | null => {
  const words = useWords();
  if (!branches.length) return null;
  return (
    <Box role="group" aria-label={ROUTE_PLAYER_TEXT.ifThey} paddingInline="4" paddingTop="3" borderTopWidth="1px">
      {branches.map(([way, name], i) => (
        <Action
          key={way.branchId}
          width="100%"
          marginBottom="1"
          justifyContent="flex-start"
          whiteSpace="normal"
          textAlign="left"
          onClick={() => onTake(way)}
        >
          <Mono color="inkSoft">{i + 1}</Mono>
          {ROUTE_PLAYER_TEXT.branch(way.on ? sayOn(way.on, words) : '', name)}
        </Action>
      ))}
    </Box>
  );
};

/** Where the player stands, as the address says it, and how it goes on: along the line, by a branch, and back the way it came. */
const useWalk = (route: ShownRoute | undefined) => {
  const [search, setSearch] = useSearchParams();
  const [isOver, setOver] = useState(false);
  const [trail, setTrail] = useState<readonly string[]>([]);
  const main = useMemo(() => (route ? mainOf(route) : []), [route]);
  const said = search.get('step') ?? '1';
  const here =
    route?.steps.find((s) => s.id === said) ?? main[Math.min(Math.max(1, Number(said) || 1), main.length) - 1];
  const goTo = (id: string): void => {
    setOver(false);
    const nth = main.findIndex((s) => s.id === id);
    // at once: quick presses of a key each start from where the one before led
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        next.set('step', nth < 0 ? id : String(nth + 1));
        return next;
      },
      { flushSync: true },
    );
  };
  const ways = route?.ways.filter((w) => w.from === here?.id) ?? [];
  const take = (way: Way): void => {
    if (here) setTrail([...trail, here.id]);
    goTo(way.to);
  };
  const next = ways.find((w) => w.on === null);
  const on = (): void => {
    if (isOver) return;
    if (next) take(next);
    else setOver(true);
  };
  const back = (): void => {
    if (isOver) return setOver(false);
    const from = trail.at(-1) ?? route?.ways.find((w) => w.to === here?.id && !w.isBack)?.from;
    setTrail(trail.slice(0, -1));
    if (from !== undefined) goTo(from);
  };
  const again = (): void => {
    setTrail([]);
    if (main[0]) goTo(main[0].id);
  };
  const isFirst = !trail.length && here === main[0];
  return {
    here,
    main,
    next,
    branches: ways.filter((w) => w.on !== null),
    isOver,
    isFirst,
    goTo,
    take,
    on,
    back,
    again,
  };
};

/** Plays a route: each step's clip runs over and over until you go on; a branch is taken by its number; where the step stands in the whole is always in view. */
export const RoutePlayer = (): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const role = useRole();
  const { route, kept, name, back, picture, isLooking } = useRouteInHand();
  const policy = usePolicy();
  const [ref, size] = useSize({ width: 1280, height: 190 });
  const walk = useWalk(route);
  const { here, main, isOver } = walk;
  const lead = useRouteLead();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLElement && event.target.closest('input, [role=menu]')) return;
      if (event.key === '>') lead.toggle();
      if (event.key === 'ArrowRight') walk.on();
      if (event.key === 'ArrowLeft') walk.back();
      const way = walk.branches[Number(event.key) - 1];
      if (way && !isOver) walk.take(way);
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
  const nameOf = (id: string): string => {
    const step = route.steps.find((s) => s.id === id);
    return step ? stepName(step, words) : '';
  };
  const nth = main.indexOf(here);
  const told = nth < 0 ? ROUTE_PLAYER_TEXT.inBranch : ROUTE_PLAYER_TEXT.step(nth + 1, main.length);
  return (
    <Flex direction="column" height="100%" minHeight="0">
      <Flex flex="1" minHeight="240px">
        <Box flex="1" minWidth="0" position="relative" background="#000">
          {view ? (
            <RouteScreen
              key={`${here.id} ${view.clip.id}`}
              view={view}
              isMirrored={here.kept?.isMirrored ?? false}
              lead={lead}
            />
          ) : (
            <Flex height="100%" align="center" justify="center" padding="8" color="#f4efe4" role="status">
              {role === 'student' ? T.notForYou : T.noClip}
            </Flex>
          )}
          {isOver && <RouteOver back={back} onAgain={walk.again} />}
        </Box>
        <Flex width="400px" flexShrink="0" direction="column" borderLeftWidth="1px">
          <RouteLead lead={lead} />
          <Box as="section" aria-label={ROUTE_PLAYER_TEXT.theStep} tabIndex={0} flex="1" overflowY="auto" padding="5">
            <StepSheet step={here} view={view} form={kept ? formOf(here, kept, policy, words) : 'full'} told={told} />
          </Box>
          {!isOver && <WaysOn branches={walk.branches.map((w) => [w, nameOf(w.to)])} onTake={walk.take} />}
          <Flex gap="2" padding="4" borderTopWidth="1px">
            <Action onClick={walk.back} disabled={walk.isFirst && !isOver}>
              {ROUTE_PLAYER_TEXT.before}
            </Action>
            <Action tone="next" flex="1" justifyContent="center" onClick={walk.on} disabled={isOver}>
              {walk.next ? ROUTE_PLAYER_TEXT.goOn(nameOf(walk.next.to)) : ROUTE_PLAYER_TEXT.toTheEnd}
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
          step={isOver ? undefined : here.id}
          onStep={walk.goTo}
        />
      </Box>
    </Flex>
  );
};
