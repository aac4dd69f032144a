import { Box, Flex } from '@chakra-ui/react';
import { goesWith, stepsOf, type RouteStep } from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Action, Picked, useSize } from '../../design/index.js';
import { useClipViews, useMayWrite, useWords, type ClipView } from '../library/index.js';
import { usePolicy } from '../policy/index.js';
import { AddBranch } from './AddBranch.js';
import { AddStep } from './AddStep.js';
import { RouteHead } from './RouteHead.js';
import { RouteProfile } from './RouteProfile.js';
import { ROUTES_TEXT as T, ROUTE_STEPS_TEXT as S, STEP_PANEL_TEXT as P } from './routes.text.js';
import { useRouteEdits, type RouteEdits } from './routeEdits.js';
import { beginsAt, endsAt, stepName, type ShownRoute, type ShownStep } from './shownRoute.js';
import { StepList } from './StepList.js';
import { formOf } from './stepForms.js';
import { minutesOf, type Minutes } from './stepTimes.js';
import { StepPanel } from './StepPanel.js';
import { useKeptRoute } from './useKeptRoute.js';

const START = 'start';

/** What is being added: a step after one (null: at the start), or a branch that leaves one. */
type Adding = { readonly what: 'step' | 'branch'; readonly at: string | null };

/** What the other side was seen to do in a step, most often first. */
const metIn = (step: ShownStep | undefined, views: readonly ClipView[]): readonly string[] => {
  const ids = new Set(step?.line?.attemptIds);
  const counts = new Map<string, number>();
  for (const { attempt } of views)
    if (ids.has(attempt.id))
      for (const r of attempt.reactions) if (!r.isAction) counts.set(r.what, (counts.get(r.what) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([what]) => what);
};

/** The keys of the editor, while no text is typed. */
const useRouteKeys = (
  edits: RouteEdits | undefined,
  inHand: ShownStep | undefined,
  { pick, add, take }: { pick: (id: string) => void; add: (what: Adding['what']) => void; take: () => void },
): void => {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typed = event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role=menu]');
      if (typed || !edits || !inHand || event.ctrlKey || event.metaKey || event.altKey) return;
      const does: Readonly<Record<string, () => void>> = {
        a: () => add('step'),
        b: () => add('branch'),
        d: () => {
          const again = edits.twice(inHand.id);
          if (again) pick(again);
        },
        m: () => edits.change(inHand.id, { isMirrored: !inHand.kept?.isMirrored }),
        Delete: take,
      };
      const act = does[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
};

const Editor = ({
  route,
  shown,
  minutes,
  edits,
}: {
  readonly route: NonNullable<ReturnType<typeof useKeptRoute>['route']>;
  readonly shown: ShownRoute;
  readonly minutes: Minutes;
  readonly edits: RouteEdits | undefined;
}): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const [picked, setPicked] = useState<string>();
  const [adding, setAdding] = useState<Adding>();
  const [refused, setRefused] = useState<string>();
  const main = stepsOf(route, null);
  const step = shown.steps.find((s) => s.id === picked) ?? shown.steps.find((s) => s.id === main[0]?.id);
  const met = useMemo(() => metIn(step, views), [step, views]);
  const policy = usePolicy();
  const nameOf = (id: string): string =>
    stepName(
      shown.steps.find((s) => s.id === id)!,
      words,
    );
  const added = (after: string | null) => (one: RouteStep) => {
    edits?.put(after, one);
    setAdding(undefined);
    setPicked(one.id);
  };
  const take = (): void => {
    if (!step || !edits) return;
    const at = route.steps.findIndex((s) => s.id === step.id);
    if (!edits.take(step.id)) return setRefused(S.only);
    setPicked(route.steps[at - 1]?.id);
  };
  const pick = (id: string): void => {
    setPicked(id);
    setRefused(undefined);
  };
  useRouteKeys(edits, step, { pick, add: (what) => setAdding({ what, at: step?.id ?? null }), take });
  const under = (id: string): React.JSX.Element | null => {
    const here = shown.steps.find((s) => s.id === id);
    if (!edits || adding?.at !== id || !here) return null;
    if (adding.what === 'step')
      return (
        <AddStep
          label={S.after(nameOf(id))}
          from={endsAt(here)}
          onAdd={added(id)}
          onCancel={() => setAdding(undefined)}
        />
      );
    return (
      <AddBranch
        from={beginsAt(here)}
        met={met}
        steps={route.steps.filter((s) => s.id !== id).map((s) => [s.id, nameOf(s.id)])}
        onCancel={() => setAdding(undefined)}
        onAdd={(on, first, joins) => {
          setAdding(undefined);
          if (!edits.branch(id, on, first, joins)) setRefused(S.round);
          else if (first) setPicked(first.id);
        }}
      />
    );
  };
  const going = step ? goesWith(route, step.id).length : 0;
  return (
    <>
      {edits && step && (
        <Flex gap="2" wrap="wrap" alignItems="center" marginTop="3">
          <Action onClick={() => setAdding({ what: 'step', at: step.id })}>{S.add}</Action>
          <Action onClick={() => setAdding({ what: 'branch', at: step.id })}>{S.addBranch}</Action>
          <Action tone="quiet" onClick={() => edits.shift(step.id, -1)}>
            {P.up}
          </Action>
          <Action tone="quiet" onClick={() => edits.shift(step.id, 1)}>
            {P.down}
          </Action>
          <Picked
            aria-label={P.moveTo}
            fontSize="16px"
            maxWidth="190px"
            value=""
            onChange={({ target }) => {
              const after = target.value === START ? null : target.value;
              if (target.value && !edits.move(step.id, after)) setRefused(S.round);
            }}
          >
            <option value="">{P.moveTo}</option>
            <option value={START}>{P.toStart}</option>
            {route.steps
              .filter((s) => s.id !== step.id)
              .map((s) => (
                <option key={s.id} value={s.id}>
                  {P.behind(nameOf(s.id))}
                </option>
              ))}
          </Picked>
          <Action tone="quiet" onClick={() => edits.twice(step.id)}>
            {P.twice}
          </Action>
          <Action tone="quiet" onClick={take}>
            {going ? P.takeWith(going) : P.take}
          </Action>
          <Action tone="quiet" onClick={() => setAdding({ what: 'step', at: null })}>
            {S.addFirst}
          </Action>
          <Box flexBasis="100%" color="inkSoft" fontSize="14px">
            {S.hint}
          </Box>
          {refused && (
            <Box role="alert" color="caution">
              {refused}
            </Box>
          )}
        </Flex>
      )}
      <Flex gap="8" marginTop="3" alignItems="flex-start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1" minWidth="0" borderTopWidth="1px" width="100%">
          {edits && adding?.what === 'step' && adding.at === null && (
            <AddStep label={S.atStart} from={undefined} onAdd={added(null)} onCancel={() => setAdding(undefined)} />
          )}
          <StepList
            {...{ route, shown, minutes, edits, under, onPick: pick, onRefused: setRefused }}
            inHand={step?.id}
          />
        </Box>
        {edits && step && (
          <Box width={{ base: '100%', lg: '400px' }} flexShrink="0" position="sticky" top="4">
            <StepPanel
              key={step.id}
              step={step}
              minutes={minutes.get(step.id)}
              form={formOf(step, route, policy, words)}
              onChange={(change) => edits.change(step.id, change)}
            />
          </Box>
        )}
      </Flex>
    </>
  );
};

/** A route that is kept: what it climbs, its steps and branches, and what is said to each. */
export const KeptRoute = (): React.JSX.Element => {
  const { routeId } = useParams();
  const { route, shown, picture } = useKeptRoute(routeId);
  const mayWrite = useMayWrite();
  const edits = useRouteEdits(route);
  const [ref, size] = useSize({ width: 1180, height: 200 });
  const views = useClipViews();
  const words = useWords();
  const minutes = useMemo(() => shown && minutesOf(shown, views, words), [shown, views, words]);
  if (!route)
    return (
      <Box padding="8">
        <Box marginBottom="4">{T.gone}</Box>
        <Action asChild>
          <Link to="/routes">{T.all}</Link>
        </Action>
      </Box>
    );
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="5" maxWidth="1280px" width="100%">
      <RouteHead route={route} minutes={minutes} edits={mayWrite ? edits : undefined} />
      <Box ref={ref} marginTop="3">
        {shown && picture ? (
          <RouteProfile route={shown} picture={picture} width={size.width} height={route.branches.length ? 230 : 190} />
        ) : (
          <Box role="status">{T.computing}</Box>
        )}
      </Box>
      {shown && minutes && (
        <Editor key={route.id} {...{ route, shown, minutes }} edits={mayWrite ? edits : undefined} />
      )}
    </Box>
  );
};
