import { Box, Flex } from '@chakra-ui/react';
import { Action, Mono } from '../../../design/index.js';
import { clockText } from '@odograph/core';
import { STRETCH_TEXT as T } from './stretches.text.js';
import { type Stretches } from './useStretches.js';

/** How much of the footage is technique, and the way to the stretches in which little moves. */
export const StretchesHere = ({
  spans,
  mayWrite,
  onLook,
}: {
  readonly spans: Stretches;
  readonly mayWrite: boolean;
  readonly onLook: () => void;
}): React.JSX.Element => (
  <Flex fontSize="14px" marginTop="1" gap="2" alignItems="baseline" data-testid="technical">
    <Box color="inkSoft">
      {T.technical} <Mono color="ink">{clockText(spans.technicalMs, 'up')}</Mono> {T.of}{' '}
      <Mono>{clockText(spans.wholeMs, 'up')}</Mono>
    </Box>
    {spans.mayLook && (
      <Action tone="quiet" fontSize="14px" paddingBlock="0" onClick={spans.nextInLulls} data-testid="in-lulls">
        {T.inLulls[spans.inLulls]}
      </Action>
    )}
    {mayWrite && spans.mayLook && (
      <Action tone="quiet" fontSize="14px" paddingBlock="0" aria-pressed={spans.isLooking} onClick={onLook}>
        {spans.isLooking ? T.lullsHide : T.lulls}
      </Action>
    )}
  </Flex>
);
