import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Action } from '../../design/index.js';
import { FOLLOW_TEXT as T } from './follow.text.js';
import type { Follow } from './useFollowing.js';

/** Who leads, who follows and who asks for the wheel, with what one can do about it. */
export const LeadLine = ({
  follow: { now, isLead, isAsking, isLost, wheel },
  mayLead,
  onStop,
  children,
}: {
  readonly follow: Follow;
  readonly mayLead: boolean;
  /** What leaving does, where it does more than let the wheel go. */ readonly onStop?: () => void;
  readonly children?: ReactNode;
}): React.JSX.Element => (
  <Flex
    role="status"
    gap="3"
    alignItems="center"
    wrap="wrap"
    paddingInline="4"
    paddingBlock="2"
    borderBottomWidth="1px"
    data-testid="lead-line"
  >
    {isLost && <Box color="caution">{T.lost}</Box>}
    {now?.lead && (
      <Box>
        {isLead ? T.youLead : T.leads(now.lead.name)}
        <Box as="span" color="inkSoft">
          {isLead && `: ${T.followers(now.followers)}`}
        </Box>
      </Box>
    )}
    {mayLead && now && !now.lead && <Action onClick={() => wheel('take')}>{T.take}</Action>}
    {mayLead &&
      now?.lead &&
      !isLead &&
      (isAsking ? <Box color="inkSoft">{T.asked}</Box> : <Action onClick={() => wheel('ask')}>{T.ask}</Action>)}
    {isLead &&
      now?.asking.map(({ clientId, name }) => (
        <Flex key={clientId} gap="2" alignItems="center">
          {T.asks(name)}
          <Action tone="next" onClick={() => wheel('give', clientId)}>
            {T.give}
          </Action>
        </Flex>
      ))}
    {isLead && (
      <Action tone="quiet" onClick={onStop ?? (() => wheel('leave'))}>
        {T.stop}
      </Action>
    )}
    {children}
  </Flex>
);
