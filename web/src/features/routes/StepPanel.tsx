import { Box, Flex } from '@chakra-ui/react';
import { CLIP_ROLES, CUE_WEIGHTS, type Form, type RouteStep } from '@odograph/core';
import { useState } from 'react';
import { Action, IntervalBand, Labelled, Picked, Ruled, Subheading, YesNo } from '../../design/index.js';
import { useClipViews, useWords, type ClipView } from '../library/index.js';
import { clipsBehind } from '../map/index.js';
import { clipOfShown } from './clipOfShown.js';
import { DrillFields } from './DrillFields.js';
import { KeptText } from './KeptText.js';
import { ROUTES_TEXT as T, STEP_PANEL_TEXT as P } from './routes.text.js';
import { stepName, type ShownStep } from './shownRoute.js';
import { StepTime } from './StepTime.js';
import { clipSeconds, type StepTakes } from './stepTimes.js';

type Props = {
  readonly step: ShownStep;
  readonly onChange: (change: Partial<RouteStep>) => void;
};

const clipText = (view: ClipView): string => {
  const result = view.said.find((p) => p.part === 'result')?.text ?? '';
  return [view.footage.title, view.athletes[view.attempt.subject], result].filter(Boolean).join(', ');
};

/** One line that is added to a list on Enter. */
const OneMore = ({
  label,
  placeholder,
  onAdd,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly onAdd: (text: string) => void;
}): React.JSX.Element => {
  const [text, setText] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onAdd(text.trim());
        setText('');
      }}
    >
      <Ruled
        aria-label={label}
        placeholder={placeholder}
        maxLength={120}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
    </form>
  );
};

/** Which clips show it: the best, and those that are there for something else. */
const StepClips = ({ step, onChange }: Props): React.JSX.Element => {
  const views = useClipViews();
  const { line } = step;
  const kept = step.kept!;
  const behind = line ? clipsBehind(line, views) : [];
  const chosen = [kept.clipId, ...kept.clips.map((c) => c.clipId)];
  const offered = [...new Set([...behind, ...views.filter((v) => chosen.includes(v.clip.id))])];
  const options = offered.map((view) => (
    <option key={view.clip.id} value={view.clip.id}>
      {clipText(view)}
    </option>
  ));
  return (
    <>
      <Labelled label={T.clip}>
        <Picked
          width="100%"
          value={kept.clipId ?? ''}
          onChange={(event) => onChange({ clipId: event.target.value || null })}
        >
          <option value="">{T.mostTelling}</option>
          {options}
        </Picked>
      </Labelled>
      {offered.length > 1 && (
        <Flex wrap="wrap" columnGap="5" marginTop="2">
          {CLIP_ROLES.map((role) => (
            <Labelled key={role} label={P.roles[role]}>
              <Picked
                maxWidth="170px"
                fontSize="15px"
                value={kept.clips.find((c) => c.role === role)?.clipId ?? ''}
                onChange={({ target }) =>
                  onChange({
                    clips: [
                      ...kept.clips.filter((c) => c.role !== role),
                      ...(target.value ? [{ role, clipId: target.value }] : []),
                    ],
                  })
                }
              >
                <option value="">{P.noClip}</option>
                {options}
              </Picked>
            </Labelled>
          ))}
        </Flex>
      )}
    </>
  );
};

/** The cue that stands on the wall, and those after it, each with how much hangs on it. */
const StepCues = ({ step, onChange }: Props): React.JSX.Element => {
  const { cue: first, cues } = step.kept!;
  return (
    <>
      <KeptText label={T.cue} placeholder={T.cueHint} value={first} limit={120} onKeep={(cue) => onChange({ cue })} />
      <Box marginTop="3">
        <Box color="inkSoft" fontSize="14px">
          {P.cues}
        </Box>
        {cues.map((cue, i) => (
          <Flex key={cue.text} gap="2" alignItems="center">
            <Box flex="1">{cue.text}</Box>
            <Picked
              aria-label={P.weight(cue.text)}
              fontSize="15px"
              value={cue.weight}
              onChange={({ target }) => {
                const weight = CUE_WEIGHTS.find((w) => w === target.value);
                if (weight) onChange({ cues: cues.map((c, k) => (k === i ? { ...c, weight } : c)) });
              }}
            >
              {CUE_WEIGHTS.map((weight) => (
                <option key={weight} value={weight}>
                  {P[weight]}
                </option>
              ))}
            </Picked>
            <Action
              tone="quiet"
              aria-label={P.out(cue.text)}
              onClick={() => onChange({ cues: cues.filter((_, k) => k !== i) })}
            >
              ×
            </Action>
          </Flex>
        ))}
        {cues.length < 8 && (
          <OneMore
            label={P.addCue}
            placeholder={P.addCue}
            onAdd={(text) =>
              cues.some((c) => c.text === text) || onChange({ cues: [...cues, { text, weight: 'usual' }] })
            }
          />
        )}
      </Box>
    </>
  );
};

const StepChecks = ({ step, onChange }: Props): React.JSX.Element => {
  const { checks } = step.kept!;
  return (
    <Box marginTop="3">
      <Box color="inkSoft" fontSize="14px">
        {P.checks}
      </Box>
      {checks.map((check) => (
        <Flex key={check} gap="2" alignItems="center">
          <Box flex="1">{check}</Box>
          <Action
            tone="quiet"
            aria-label={P.out(check)}
            onClick={() => onChange({ checks: checks.filter((c) => c !== check) })}
          >
            ×
          </Action>
        </Flex>
      ))}
      {checks.length < 8 && (
        <OneMore
          label={P.checks}
          placeholder={P.addCheck}
          onAdd={(text) => checks.includes(text) || onChange({ checks: [...checks, text] })}
        />
      )}
    </Box>
  );
};

/** All that is said to the step in hand. */
export const StepPanel = ({
  step,
  minutes,
  form,
  onChange,
}: Props & { readonly minutes: StepTakes | undefined; readonly form: Form }): React.JSX.Element => {
  const words = useWords();
  const clip = clipOfShown(step, useClipViews());
  const kept = step.kept!;
  const textOf = (field: 'mistake' | 'question' | 'note', label: string, placeholder: string): React.JSX.Element => (
    <KeptText
      label={label}
      placeholder={placeholder}
      value={kept[field]}
      limit={field === 'note' ? 2000 : 120}
      onKeep={(text) => onChange({ [field]: text })}
    />
  );
  return (
    <Box as="section" aria-label={P.title} data-testid="step-in-hand">
      <Subheading fontSize="23px">{stepName(step, words)}</Subheading>
      {step.gripChanges > 0 && <Box fontSize="14px">{T.changesBefore(step.gripChanges)}</Box>}
      {step.line && <IntervalBand interval={step.line.interval} width={140} />}
      {kept.kind !== 'line' && (
        <KeptText
          label={P.called}
          placeholder=""
          value={kept.title}
          limit={120}
          onKeep={(title) => title && onChange({ title })}
        />
      )}
      <StepClips step={step} onChange={onChange} />
      <StepCues step={step} onChange={onChange} />
      <StepChecks step={step} onChange={onChange} />
      {textOf('mistake', P.mistake, P.mistakeHint)}
      {textOf('question', P.question, P.questionHint)}
      {textOf('note', P.note, P.noteHint)}
      {minutes && <StepTime minutes={minutes} onChange={(seconds) => onChange({ seconds })} />}
      <DrillFields
        form={form}
        drill={kept.drill}
        clipS={clip && clipSeconds(clip)}
        onChange={(drill) => onChange({ drill })}
      />
      <Box marginTop="3">
        <YesNo
          label={P.mirror}
          name="mirrored"
          is={kept.isMirrored}
          words={{ yes: 'yes', no: 'no' }}
          onChange={(isMirrored) => onChange({ isMirrored })}
        />
      </Box>
    </Box>
  );
};
