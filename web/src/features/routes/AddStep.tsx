import { Box, Flex } from '@chakra-ui/react';
import { BARE_STEP, type PlaceId, type RouteStep, type StepKind } from '@odograph/core';
import { useState, type FormEvent } from 'react';
import { v7 as newId } from 'uuid';
import { WordField } from '../../design/fields.js';
import { Action, Counted, Labelled, Picked } from '../../design/index.js';
import { ADD_STEP_TEXT as T, STEP_KIND_TEXT } from './routes.text.js';
import { useNextStep } from './useNextStep.js';

const OTHERS = ['hold', 'look', 'talk', 'place', 'drill'] as const satisfies readonly StepKind[];

/** What comes next: a line of the map, any clip from anywhere, or something that is neither. */
export const AddStep = ({
  label,
  from,
  onAdd,
  onCancel,
}: {
  readonly label: string;
  /** Where the step before ends. */ readonly from: PlaceId | undefined;
  readonly onAdd: (step: RouteStep) => void;
  readonly onCancel: () => void;
}): React.JSX.Element => {
  const find = useNextStep(from);
  const [kind, setKind] = useState<(typeof OTHERS)[number]>('look');
  const [title, setTitle] = useState('');
  const addOther = (event: FormEvent): void => {
    event.preventDefault();
    if (title.trim()) onAdd({ ...BARE_STEP, id: newId(), kind, title: title.trim(), from: from ?? null });
  };
  return (
    <Box role="group" aria-label={label} paddingBlock="3" paddingLeft="3" borderLeftWidth="3px" borderColor="inHand">
      <Box fontSize="18px" marginBottom="3">
        {label}:{' '}
        <WordField
          label={T.next}
          placeholder={T.nextHint}
          said={null}
          isFresh
          find={find}
          onPick={(make) => onAdd(make())}
        />
      </Box>
      <form onSubmit={addOther}>
        <Flex gap="3" alignItems="flex-end" wrap="wrap">
          <Labelled label={T.orElse}>
            <Picked value={kind} onChange={(e) => setKind(e.target.value as (typeof OTHERS)[number])}>
              {OTHERS.map((other) => (
                <option key={other} value={other}>
                  {STEP_KIND_TEXT[other]}
                </option>
              ))}
            </Picked>
          </Labelled>
          <Labelled label={T.called}>
            <Counted width="260px" limit={120} value={title} onChange={(e) => setTitle(e.target.value)} />
          </Labelled>
          <Action type="submit" disabled={!title.trim()}>
            {T.add}
          </Action>
          <Action type="button" tone="quiet" onClick={onCancel}>
            {T.cancel}
          </Action>
        </Flex>
      </form>
    </Box>
  );
};
