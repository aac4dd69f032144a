import { Box, Flex } from '@chakra-ui/react';
import { waysPast, type Form, type KeptRoute, type Way } from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Action } from '../../design/index.js';
import { useClipViews, useWords, type ClipView } from '../library/index.js';
import { FrameVideo, partOf, playsByItself, usePlayer, usePlayerState } from '../player/index.js';
import { usePolicy } from '../policy/index.js';
import {
  cautionsIn,
  clipOfShown,
  clipSeconds,
  clockText,
  formOf,
  mainOf,
  minutesOf,
  sayOn,
  stepName,
  useKeptRoute,
  type ShownRoute,
  type ShownStep,
} from '../routes/index.js';
import { atStep, cuesOf, wallBack, wallOn, type WallAt } from './wall.js';
import { WALL_TEXT as T } from './wall.text.js';
import { WallCautions } from './WallCautions.js';
import { WallDrill } from './WallDrill.js';

/** Twice at full speed, then once slowly. */
const SHOWINGS = [1, 1, 0.5] as const;

/** The clip of a step, over and over, each third time slowly. */
const WallClip = ({
  view,
  isMirrored,
}: {
  readonly view: ClipView;
  readonly isMirrored: boolean;
}): React.JSX.Element => {
  const { clip, angle, file } = view;
  const handle = usePlayer(file, {
    frame: clip.in.frame,
    loop: { inFrame: clip.in.frame, outFrame: clip.out.frame },
    play: playsByItself(),
  });
  const { player } = handle;
  const frame = usePlayerState(handle, (state) => state.frame);
  const [round, setRound] = useState({ nth: 0, frame });
  // it has begun anew where it stands before where it stood
  if (frame !== round.frame) setRound({ nth: frame < round.frame ? round.nth + 1 : round.nth, frame });
  const speed = SHOWINGS[round.nth % SHOWINGS.length]!;
  useEffect(() => player?.setSpeed(speed), [player, speed]);
  return (
    <FrameVideo handle={handle} label={view.footage.title} part={partOf(angle, file)} isMirrored={isMirrored} isQuiet />
  );
};

/** Where the route stands: a stroke for each step of the main line, the one in hand full. */
const Where = ({ steps, here }: { readonly steps: readonly ShownStep[]; readonly here: string }): React.JSX.Element => (
  <Flex gap="1" flex="1" aria-hidden>
    {steps.map((s) => (
      <Box key={s.id} flex="1" height="10px" background={s.id === here ? 'inHand' : 'hairline'} />
    ))}
  </Flex>
);

/** What is said to a step on the wall: the cue in hand, what to check, the caution, and the branches. */
const WallSays = ({
  step,
  at,
  form,
  branches,
  onTake,
}: {
  readonly step: ShownStep;
  readonly at: WallAt;
  /** The highest in which it is done. */ readonly form: Form;
  readonly branches: readonly (readonly [way: Way, name: string])[];
  readonly onTake: (way: Way) => void;
}): React.JSX.Element => {
  const words = useWords();
  const kept = step.kept!;
  const cue = cuesOf(kept)[at.cue];
  return (
    <Flex direction="column" height="100%" gap="4" overflow="hidden">
      {kept.checks.length > 0 && at.cue === 0 && (
        <Box fontSize="30px" color="inkSoft" lineHeight="1.25">
          {T.check} {kept.checks.join(', ')}
        </Box>
      )}
      <Box fontFamily="heading" fontSize="60px" lineHeight="1.12" fontWeight="600" data-testid="wall-cue">
        {cue ?? T.noCue}
      </Box>
      <Box flex="1" />
      {form !== 'full' && (
        <Box fontSize="36px" fontFamily="heading" color="caution" data-testid="wall-form">
          {T.forms[form]}
        </Box>
      )}
      <WallCautions cautions={cautionsIn(step, words)} />
      {branches.map(([way, name], i) => (
        <Action
          key={way.branchId}
          fontSize="30px"
          paddingBlock="2"
          whiteSpace="normal"
          textAlign="left"
          onClick={() => onTake(way)}
        >
          {i + 1} {way.on && sayOn(way.on, words)} → {name}
        </Action>
      ))}
    </Flex>
  );
};

/** What the academy's policy leaves of a route for those whom it is for: steps that aren't taught to them are nowhere on the wall, and ways lead past them. */
const taught = (route: ShownRoute, isTaught: (step: ShownStep) => boolean): ShownRoute => {
  const steps = route.steps.filter(isTaught);
  return { ...route, steps, ways: waysPast(route.ways, new Set(steps.map((s) => s.id))) };
};

/** Goes through a route on the wall; the address keeps where it stands, so that a reload changes nothing. */
const useWall = (route: ShownRoute | undefined) => {
  const [search, setSearch] = useSearchParams();
  const [isOver, setOver] = useState(false);
  const [trail, setTrail] = useState<readonly WallAt[]>([]);
  const main = useMemo(() => (route ? mainOf(route) : []), [route]);
  const step = route?.steps.find((s) => s.id === search.get('step')) ?? main[0];
  const at: WallAt | undefined = step && {
    stepId: step.id,
    cue: Math.max(0, Number(search.get('cue')) || 0),
    isDrill: search.get('drill') === 'on' && Boolean(step.kept?.drill),
  };
  const ways = route?.ways.filter((w) => w.from === step?.id) ?? [];
  const show = (next: WallAt): void => {
    setOver(false);
    setSearch(
      { step: next.stepId, ...(next.cue ? { cue: String(next.cue) } : {}), ...(next.isDrill ? { drill: 'on' } : {}) },
      { replace: true, flushSync: true },
    );
  };
  const on = (): void => {
    if (!at || !step?.kept) return;
    const next = wallOn(at, step.kept, ways.find((w) => w.on === null)?.to);
    if (!next) return setOver(true);
    if (next.stepId !== at.stepId) setTrail([...trail, at]);
    show(next);
  };
  const back = (): void => {
    if (isOver) return setOver(false);
    const before = at && wallBack(at);
    if (before) return show(before);
    const last = trail.at(-1);
    setTrail(trail.slice(0, -1));
    if (last) show(last);
  };
  const take = (way: Way): void => {
    if (at) setTrail([...trail, at]);
    show(atStep(way.to));
  };
  return { step, at, main, branches: ways.filter((w) => w.on !== null), isOver, on, back, take };
};

/** The wall of the room: one step, big. */
const Wall = ({
  kept,
  route,
  backTo,
}: {
  readonly kept: KeptRoute;
  readonly route: ShownRoute;
  readonly backTo: string;
}): React.JSX.Element => {
  const policy = usePolicy();
  const words = useWords();
  const views = useClipViews();
  const { step, at, main, branches, isOver, on, back, take } = useWall(route);
  const [isBlack, setBlack] = useState(false);
  const minutes = useMemo(() => minutesOf(route, views, words), [route, views, words]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === 'b' || event.key === 'B') setBlack(!isBlack);
      if (event.key === 'ArrowRight') on();
      if (event.key === 'ArrowLeft') back();
      const way = branches[Number(event.key) - 1];
      if (way && !isOver) take(way);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  if (!step || !at) return <Box padding="8">{T.gone}</Box>;
  const nth = main.indexOf(step);
  const leftS = main.slice(Math.max(0, nth)).reduce((sum, s) => sum + (minutes.get(s.id)?.whole ?? 0), 0);
  const view = clipOfShown(step, views);
  const nameOf = (id: string): string => {
    const other = route.steps.find((s) => s.id === id);
    return other ? stepName(other, words) : '';
  };
  return (
    <Flex direction="column" height="100%" background="ground" position="relative" data-testid="wall">
      <Flex gap="6" alignItems="center" paddingInline="6" paddingBlock="3" fontSize="30px">
        <Box as="h1" fontFamily="heading" fontSize="44px" fontWeight="600" lineHeight="1.1" data-testid="wall-step">
          {stepName(step, words)}
        </Box>
        <Where steps={main} here={step.id} />
        <Box color="inkSoft" fontVariantNumeric="tabular-nums" whiteSpace="nowrap">
          {nth < 0 ? T.inBranch : T.step(nth + 1, main.length)}, {T.left(clockText(leftS))}
        </Box>
      </Flex>
      <Flex flex="1" minHeight="0">
        <Box width="52%" background="#000">
          {view ? (
            <WallClip key={`${step.id} ${view.clip.id}`} view={view} isMirrored={step.kept?.isMirrored ?? false} />
          ) : (
            <Flex height="100%" align="center" justify="center" fontSize="30px" color="#f4efe4">
              {T.noClip}
            </Flex>
          )}
        </Box>
        <Box flex="1" minWidth="0" padding="6">
          {isOver ? (
            <Box fontSize="56px" fontFamily="heading" role="status">
              {T.over}
            </Box>
          ) : at.isDrill && step.kept?.drill ? (
            <WallDrill
              key={step.id}
              drill={step.kept.drill}
              clipS={view && clipSeconds(view)}
              form={formOf(step, kept, policy, words)}
              cautions={cautionsIn(step, words)}
            />
          ) : (
            <WallSays
              step={step}
              at={at}
              form={formOf(step, kept, policy, words)}
              branches={branches.map((w) => [w, nameOf(w.to)])}
              onTake={take}
            />
          )}
        </Box>
      </Flex>
      <Flex paddingInline="6" paddingBlock="2" fontSize="28px" color="inkSoft" justifyContent="space-between">
        <span>{T.keys}</span>
        <Link to={backTo}>{T.back}</Link>
      </Flex>
      {isBlack && <Box position="absolute" inset="0" background="#000" data-testid="wall-black" />}
    </Flex>
  );
};

/** A route on the wall of the room, by its address. */
export const WallScreen = (): React.JSX.Element => {
  const { routeId } = useParams();
  const { route, shown } = useKeptRoute(routeId);
  const words = useWords();
  const policy = usePolicy();
  const left = useMemo(
    () => route && shown && taught(shown, (step) => formOf(step, route, policy, words) !== 'not at all'),
    [route, shown, policy, words],
  );
  if (!route)
    return (
      <Box padding="8">
        <Box marginBottom="4">{T.gone}</Box>
        <Action asChild>
          <Link to="/routes">{T.back}</Link>
        </Action>
      </Box>
    );
  if (!left)
    return (
      <Box role="status" padding="8">
        {T.reading}
      </Box>
    );
  if (!left.steps.length)
    return (
      <Box padding="8">
        <Box marginBottom="4">{T.noneTaught}</Box>
        <Action asChild>
          <Link to={`/routes/${route.id}`}>{T.back}</Link>
        </Action>
      </Box>
    );
  return <Wall key={route.id} kept={route} route={left} backTo={`/routes/${route.id}`} />;
};
