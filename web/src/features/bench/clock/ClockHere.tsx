import { Box, Flex } from '@chakra-ui/react';
import { clockText } from '@odograph/core';
import { Action, Mono } from '../../../design/index.js';
import { CLOCK_TEXT as T } from './clock.text.js';
import { Caps } from '../keys/index.js';
import { type MatchClock } from './useClock.js';

/** What was read from the clock of the match, and what of it does not agree. */
export const ClockHere = ({ clock }: { readonly clock: MatchClock }): React.JSX.Element => (
  <Box fontSize="14px" marginTop="2" data-testid="clock-here">
    <Flex gap="1.5" wrap="wrap" alignItems="baseline">
      <Box as="span" color="inkSoft">
        {clock.anchors.length ? T.clockRead : <Caps text={T.clockUnread} />}
      </Box>
      {clock.anchors.map((anchor) => (
        <Action
          key={anchor.atMs}
          tone="quiet"
          fontSize="13px"
          paddingBlock="0"
          aria-label={T.forgetReading(clockText(anchor.readingMs))}
          title={T.forgetReading(clockText(anchor.readingMs))}
          onClick={() => clock.forget(anchor)}
        >
          <Mono>{clockText(anchor.readingMs)}</Mono>
          {!anchor.running && T.stopped} ×
        </Action>
      ))}
      {clock.askScoreboard && (
        <Action tone="quiet" fontSize="14px" paddingBlock="0" onClick={clock.askScoreboard}>
          {T.scoreboard}
        </Action>
      )}
    </Flex>
    {clock.isUnknown && (
      <Box role="status" color="inkSoft">
        {T.noScoreboard}
      </Box>
    )}
    {clock.contradictions.map((text) => (
      <Box key={text} role="alert" color="caution">
        {text}
      </Box>
    ))}
  </Box>
);
