import { Box, Flex } from '@chakra-ui/react';
import { cautionsOf, placeName, type RouteStep } from '@odograph/core';
import { Play } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  Action,
  CautionNote,
  IntervalBand,
  Labelled,
  Picked,
  Ruled,
  Subheading,
  evidenceText,
  useSize,
} from '../../design/index.js';
import { ToBin } from '../bin/index.js';
import { useClipViews, useMayWrite, useWords, type ClipView } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { Still } from '../player/index.js';
import { clipsBehind } from '../map/index.js';
import { clipOfShown } from './clipOfShown.js';
import type { ShownStep } from './keptRoute.js';
import { KeptText } from './KeptText.js';
import { RouteProfile } from './RouteProfile.js';
import { ROUTES_TEXT as T, KEPT_ROUTE_TEXT, STEP_TEXT } from './routes.text.js';
import { useKeptRoute } from './useKeptRoute.js';

const clipText = (view: ClipView): string => {
  const result = view.said.find((p) => p.part === 'result')?.text ?? '';
  return `${view.footage.title}, ${view.athletes[view.attempt.subject]}, ${result}`;
};

const Step = ({
  step,
  nth,
  views,
  onChange,
}: {
  readonly step: ShownStep;
  readonly nth: number;
  readonly views: readonly ClipView[];
  readonly onChange: ((change: Partial<RouteStep>) => void) | undefined;
}): React.JSX.Element => {
  const words = useWords();
  const { line, gripChanges } = step;
  const kept = step.kept!;
  const clips = useMemo(() => clipsBehind(line, views), [line, views]);
  const shown = clipOfShown(step, views);
  const submission = line.to.startsWith('won:') ? line.to.slice(4) : null;
  return (
    <Box
      as="li"
      aria-label={T.step(nth + 1)}
      display="grid"
      gridTemplateColumns="176px minmax(0, 1fr) minmax(0, 1fr)"
      gap="6"
      paddingBlock="5"
      borderBottomWidth="1px"
    >
      {shown ? (
        <Still fileId={shown.file.id} frame={shown.clip.in.frame} width={176} region={shown.angle.region} />
      ) : (
        <Box width="176px" height="99px" borderWidth="1px" padding="2" color="inkSoft" fontSize="14px">
          {T.noClip}
        </Box>
      )}
      <Box minWidth="0">
        <Subheading fontSize="21px">
          {nth + 1}. {words.name('action', line.action)}
        </Subheading>
        <Box color="inkSoft" fontSize="14px">
          {STEP_TEXT.fromTo(placeName(line.from, words), placeName(line.to, words))}
        </Box>
        <Box fontSize="14px" marginTop="1">
          {line.attemptIds.length ? evidenceText(line) : T.notOnMap}
          {nth > 0 && gripChanges > 0 && `. ${T.changesBefore(gripChanges)}`}
        </Box>
        <IntervalBand interval={line.interval} width={140} />
        <Box marginTop="2">
          <CautionNote cautions={cautionsOf(words, { action: line.action, submission })} short />
        </Box>
      </Box>
      <Box>
        {onChange ? (
          <>
            <Labelled label={T.clip}>
              <Picked
                width="100%"
                value={kept.clipId ?? ''}
                onChange={(event) => onChange({ clipId: event.target.value || null })}
              >
                <option value="">{T.mostTelling}</option>
                {clips.map((view) => (
                  <option key={view.clip.id} value={view.clip.id}>
                    {clipText(view)}
                  </option>
                ))}
              </Picked>
            </Labelled>
            <KeptText
              label={T.cue}
              placeholder={T.cueHint}
              value={kept.cue}
              limit={120}
              onKeep={(cue) => onChange({ cue })}
            />
            <KeptText
              label={T.note}
              placeholder={T.noteHint}
              value={kept.note}
              limit={2000}
              onKeep={(note) => onChange({ note })}
            />
          </>
        ) : (
          <>
            <Box fontSize="19px">{kept.cue}</Box>
            <Box color="inkSoft">{kept.note}</Box>
          </>
        )}
      </Box>
    </Box>
  );
};

/** A route that is kept: what it climbs, and step by step which clip shows it and what is said to it. */
export const KeptRoute = (): React.JSX.Element => {
  const { routeId } = useParams();
  const { route, shown, picture } = useKeptRoute(routeId);
  const views = useClipViews();
  const words = useWords();
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const navigate = useNavigate();
  const [leaving, setLeaving] = useState(false);
  const [ref, size] = useSize({ width: 1180, height: 200 });
  if (!route)
    return (
      <Box padding="8">
        <Box marginBottom="4">{T.gone}</Box>
        <Action asChild>
          <Link to="/routes">{T.all}</Link>
        </Action>
      </Box>
    );
  const changeStep = (id: string, change: Partial<RouteStep>): void => {
    const steps = route.steps.map((s) => (s.id === id ? { ...s, ...change } : s));
    edit({ kind: 'route', id: route.id, changes: { steps } });
  };
  const last = route.steps.at(-1);
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="5" maxWidth="1280px" width="100%">
      <Box fontSize="14px" marginBottom="1">
        <Link to="/routes" style={{ textDecoration: 'underline' }}>
          {T.all}
        </Link>
      </Box>
      <Flex alignItems="center" gap="3">
        <Box flex="1" minWidth="0">
          {mayWrite ? (
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
          ) : (
            <Subheading as="h1" fontSize="28px">
              {route.name}
            </Subheading>
          )}
          <Box color="inkSoft" fontSize="14px">
            {route.steps[0] && last
              ? KEPT_ROUTE_TEXT.title(
                  placeName(route.steps[0].from, words),
                  placeName(last.to, words),
                  T.steps(route.steps.length),
                )
              : ''}
          </Box>
        </Box>
        <Action asChild>
          <a href={`/api/routes/${route.id}/cues.vtt`} download={`${route.name}.vtt`}>
            {T.vtt}
          </a>
        </Action>
        {mayWrite && <Action onClick={() => setLeaving(true)}>{T.toBin}</Action>}
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
      <Box ref={ref} marginTop="3">
        {shown && picture ? (
          <RouteProfile route={shown} picture={picture} width={size.width} height={190} />
        ) : (
          <Box role="status">{T.computing}</Box>
        )}
      </Box>
      <Box as="ol" listStyleType="none" borderTopWidth="1px" marginTop="3">
        {shown?.steps.map((step, nth) => (
          <Step
            key={step.kept!.id}
            step={step}
            nth={nth}
            views={views}
            onChange={mayWrite ? (change) => changeStep(step.kept!.id, change) : undefined}
          />
        ))}
      </Box>
    </Box>
  );
};
