import { Box, Flex } from '@chakra-ui/react';
import { foldPlace, placeName, stepStartsElsewhere, stepsOf, type KeptRoute, type PlaceId } from '@odograph/core';
import { Fragment, type KeyboardEvent, type ReactNode } from 'react';
import { Action, CautionNote, Picked, evidenceText } from '../../design/index.js';
import { useClipViews, useWords } from '../library/index.js';
import { Still } from '../player/index.js';
import { usePolicy } from '../policy/index.js';
import { clipOfShown } from './clipOfShown.js';
import { FOR_WHOM_TEXT, ROUTE_STEPS_TEXT as T, STEP_TEXT } from './routes.text.js';
import type { RouteEdits } from './routeEdits.js';
import { sayOn } from './sayOn.js';
import { beginsAt, endsAt, stepName, type ShownRoute, type ShownStep } from './shownRoute.js';
import { formOf } from './stepForms.js';
import { cautionsIn, clockText, type Minutes } from './stepTimes.js';

type Props = {
  readonly route: KeptRoute;
  readonly shown: ShownRoute;
  /** What each step takes, by its id. */ readonly minutes: Minutes;
  readonly inHand: string | undefined;
  readonly onPick: (stepId: string) => void;
  /** Undefined for whoever only reads. */ readonly edits: RouteEdits | undefined;
  /** What is being added, below the step that it is added to. */ readonly under: (stepId: string) => ReactNode;
  readonly onRefused: (why: string) => void;
};

/** On what a step rests: what was seen, only shown, or planned. */
const restsOn = ({ line }: ShownStep): string | undefined => {
  if (!line) return undefined;
  if (line.attempts > 0 || line.worked > 0) return evidenceText(line);
  return line.attemptIds.length ? T.shown : T.planned;
};

const StepRow = ({
  step,
  nth,
  route,
  seconds,
  isInHand,
  onPick,
}: {
  readonly step: ShownStep;
  readonly nth: number | undefined;
  readonly route: KeptRoute;
  readonly seconds: number | undefined;
  readonly isInHand: boolean;
  readonly onPick: () => void;
}): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const clip = clipOfShown(step, views);
  const [from, to] = [beginsAt(step), endsAt(step)];
  const isElsewhere = stepStartsElsewhere(
    route,
    step.id,
    (a, b) => foldPlace(a as PlaceId, words) === foldPlace(b as PlaceId, words),
  );
  const name = stepName(step, words);
  const form = formOf(step, route, usePolicy(), words);
  return (
    <Box asChild display="block" width="100%" textAlign="left" cursor="pointer">
      <button
        type="button"
        data-step={step.id}
        aria-current={isInHand ? 'step' : undefined}
        onClick={onPick}
        onFocus={onPick}
      >
        <Flex
          gap="4"
          paddingBlock="2.5"
          paddingLeft="3"
          borderLeftWidth="4px"
          borderColor={isInHand ? 'inHand' : 'transparent'}
          background={isInHand ? 'inHandSoft' : undefined}
          borderBottomWidth="1px"
          borderBottomColor="hairline"
        >
          {clip ? (
            <Box transform={step.kept?.isMirrored ? 'scaleX(-1)' : undefined} flexShrink="0">
              <Still fileId={clip.file.id} frame={clip.clip.in.frame} width={104} region={clip.angle.region} />
            </Box>
          ) : (
            <Box width="104px" height="58px" borderWidth="1px" borderStyle="dashed" flexShrink="0" />
          )}
          <Box minWidth="0" flex="1">
            <Box
              fontFamily="heading"
              fontSize="19px"
              fontWeight="600"
              lineHeight="1.2"
              textDecoration={form === 'not at all' ? 'line-through' : undefined}
            >
              {nth === undefined ? name : T.nth(nth, name)}
            </Box>
            {from && to && (
              <Box color="inkSoft" fontSize="14px">
                {from === to ? placeName(from, words) : STEP_TEXT.fromTo(placeName(from, words), placeName(to, words))}
                {isElsewhere && <Box as="span" color="caution">{` (${T.elsewhere})`}</Box>}
              </Box>
            )}
            <Box color="inkSoft" fontSize="14px">
              {restsOn(step)}
            </Box>
            {FOR_WHOM_TEXT.forms[form] && (
              <Box color="caution" fontSize="14px" data-testid="form">
                {FOR_WHOM_TEXT.forms[form]}
              </Box>
            )}
            {step.kept?.cue && (
              <Box fontSize="16px" marginTop="0.5">
                “{step.kept.cue}”
              </Box>
            )}
          </Box>
          {seconds !== undefined && (
            <Box color="inkSoft" fontSize="15px" fontVariantNumeric="tabular-nums" paddingRight="3">
              {clockText(seconds)}
            </Box>
          )}
        </Flex>
      </button>
    </Box>
  );
};

/** What can hurt in a step stands at the step. */
const StepCaution = ({ step }: { readonly step: ShownStep }): React.JSX.Element => {
  const words = useWords();
  return (
    <Box paddingLeft="16px">
      <CautionNote cautions={cautionsIn(step, words)} short />
    </Box>
  );
};

/** The steps of a route as they are taught: the main line, and under each step the branches that leave it. */
export const StepList = (props: Props): React.JSX.Element => {
  const { route, shown, minutes, inHand, onPick, edits, under, onRefused } = props;
  const words = useWords();
  const byId = new Map(shown.steps.map((s) => [s.id, s]));
  const main = stepsOf(route, null);
  const nthOf = (id: string): number | undefined => {
    const at = main.findIndex((s) => s.id === id);
    return at < 0 ? undefined : at + 1;
  };
  const nameOf = (id: string): string => {
    const step = byId.get(id);
    const name = step ? stepName(step, words) : '';
    const nth = nthOf(id);
    return nth === undefined ? T.inBranch(name) : T.nth(nth, name);
  };
  const line = (branchId: string | null): React.JSX.Element => (
    <Box as="ol" listStyleType="none">
      {stepsOf(route, branchId).map(({ id }) => (
        <Box as="li" key={id}>
          <StepRow
            step={byId.get(id)!}
            nth={nthOf(id)}
            route={route}
            seconds={minutes.get(id)?.whole}
            isInHand={id === inHand}
            onPick={() => onPick(id)}
          />
          <StepCaution step={byId.get(id)!} />
          {under(id)}
          {route.branches
            .filter((b) => b.from === id)
            .map((branch) => (
              <Fragment key={branch.id}>
                <Box marginLeft="8" borderLeftWidth="2px" borderColor="us" paddingLeft="3" data-branch={branch.id}>
                  <Box paddingTop="2" fontSize="17px">
                    {T.if(sayOn(branch.on, words))}
                  </Box>
                  {line(branch.id)}
                  <Flex gap="3" alignItems="center" paddingBlock="1.5" fontSize="15px" color="inkSoft">
                    {edits ? (
                      <>
                        {T.onAt}
                        <Picked
                          aria-label={T.onAt}
                          fontSize="15px"
                          maxWidth="260px"
                          value={branch.joins ?? ''}
                          onChange={(e) => edits.join(branch.id, e.target.value || null) || onRefused(T.round)}
                        >
                          <option value="">{T.ends}</option>
                          {route.steps.map((s) => (
                            <option key={s.id} value={s.id}>
                              {T.goesOn(nameOf(s.id))}
                            </option>
                          ))}
                        </Picked>
                        <Action tone="quiet" fontSize="15px" onClick={() => edits.cut(branch.id)}>
                          {T.cut}
                        </Action>
                      </>
                    ) : branch.joins === null ? (
                      T.ends
                    ) : (
                      `${T.onAt} ${T.goesOn(nameOf(branch.joins))}`
                    )}
                  </Flex>
                </Box>
              </Fragment>
            ))}
        </Box>
      ))}
    </Box>
  );
  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-step]')];
    const at = rows.findIndex((row) => row === document.activeElement);
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (at < 0 || by === 0) return;
    event.preventDefault();
    if (event.altKey) edits?.shift(rows[at]!.dataset['step']!, by);
    else rows[at + by]?.focus();
  };
  return (
    <Box as="section" aria-label={T.title} onKeyDown={onKeyDown}>
      {line(null)}
    </Box>
  );
};
