import { Box, Flex } from '@chakra-ui/react';
import { Action, Mono } from '../../../design/index.js';
import { MARK_TEXT as T } from './marks.text.js';
import { Caps } from '../keys/index.js';
import { type Marks } from './useMarks.js';

const STEP_MS = 50;

/** How many marks wait, and by how much they are moved back: as learned, or as set. */
export const MarksHere = ({
  marks,
  onNext,
}: {
  readonly marks: Marks;
  readonly onNext: () => void;
}): React.JSX.Element => {
  const { here, lagMs, learnedFrom, setLag } = marks;
  const nudge = (by: number): void => setLag(Math.round((lagMs + by) / STEP_MS) * STEP_MS);
  return (
    <Box fontSize="14px" marginTop="1" color="inkSoft" data-testid="marks-here">
      <Flex gap="2" alignItems="baseline">
        <Box>
          <Caps text={T.waiting(here.length)} />
        </Box>
        {here.length > 0 && (
          <Action tone="quiet" fontSize="14px" paddingBlock="0" onClick={onNext}>
            {T.next}
          </Action>
        )}
      </Flex>
      <Flex gap="1" alignItems="baseline" wrap="wrap">
        <Box>
          {T.putBack} <Mono color="ink">{(lagMs / 1000).toFixed(2)} s</Mono>, {T.learned(learnedFrom)}
        </Box>
        <Action tone="quiet" fontSize="14px" paddingBlock="0" aria-label={T.less} onClick={() => nudge(-STEP_MS)}>
          −
        </Action>
        <Action tone="quiet" fontSize="14px" paddingBlock="0" aria-label={T.more} onClick={() => nudge(STEP_MS)}>
          +
        </Action>
        {learnedFrom === null && (
          <Action tone="quiet" fontSize="14px" paddingBlock="0" onClick={() => setLag(null)}>
            {T.asLearned}
          </Action>
        )}
      </Flex>
    </Box>
  );
};
