import { Box, Flex } from '@chakra-ui/react';
import type { BranchOn, PlaceId, RouteStep } from '@odograph/core';
import { useMemo, useState } from 'react';
import { WordField, among } from '../../design/fields.js';
import { Action, Counted, Labelled, Picked } from '../../design/index.js';
import { useWords } from '../library/index.js';
import { AddStep } from './AddStep.js';
import { ADD_BRANCH_TEXT as T } from './routes.text.js';
import { sayOn } from './sayOn.js';

/** A way that leaves a step: on what, and with which first step, or straight to which step. */
export const AddBranch = ({
  from,
  met,
  steps,
  onAdd,
  onCancel,
}: {
  readonly from: PlaceId | undefined;
  /** What they have been seen to do there, most often first. */ readonly met: readonly string[];
  /** Where it may go on at once: each by its id and its name. */
  readonly steps: readonly (readonly [id: string, name: string])[];
  readonly onAdd: (on: BranchOn, first: RouteStep | null, joins: string | null) => void;
  readonly onCancel: () => void;
}): React.JSX.Element => {
  const words = useWords();
  const [on, setOn] = useState<BranchOn>();
  const [text, setText] = useState('');
  const find = useMemo(() => {
    const all = words.all.filter((w) => w.kind === 'reaction');
    const sayable = all.map((w) => ({ value: w.key, texts: [w.name, ...w.aliases] }));
    const rank = (key: string): number => (met.includes(key) ? met.indexOf(key) : met.length);
    return among([...sayable].sort((a, b) => rank(a.value) - rank(b.value)));
  }, [words, met]);
  if (!on)
    return (
      <Box
        role="group"
        aria-label={T.title}
        paddingBlock="3"
        paddingLeft="3"
        borderLeftWidth="3px"
        borderColor="inHand"
      >
        <Flex gap="4" alignItems="flex-end" wrap="wrap">
          <Box fontSize="18px">
            {T.ifThey}{' '}
            <WordField
              label={T.reaction}
              placeholder={T.reactionHint}
              said={null}
              isFresh
              find={find}
              onPick={(reaction) => setOn({ kind: 'reaction', reaction })}
            />
          </Box>
          <form
            onSubmit={(event) => {
              event.preventDefault();
              if (text.trim()) setOn({ kind: 'choice', text: text.trim() });
            }}
          >
            <Labelled label={T.choice}>
              <Counted width="240px" limit={120} value={text} onChange={(e) => setText(e.target.value)} />
            </Labelled>
          </form>
          <Action tone="quiet" onClick={onCancel}>
            {T.cancel}
          </Action>
        </Flex>
      </Box>
    );
  return (
    <Box>
      <AddStep
        label={T.then(sayOn(on, words))}
        from={from}
        onAdd={(first) => onAdd(on, first, null)}
        onCancel={onCancel}
      />
      {steps.length > 0 && (
        <Box paddingLeft="3" borderLeftWidth="3px" borderColor="inHand" paddingBottom="2">
          <Labelled label={T.straight}>
            <Picked value="" onChange={(e) => e.target.value && onAdd(on, null, e.target.value)}>
              <option value="">{T.pickStep}</option>
              {steps.map(([id, name]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Picked>
          </Labelled>
        </Box>
      )}
    </Box>
  );
};
