import { Box, Flex } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import { Action, Heading, instantText } from '../../design/index.js';
import { useLeaveMutation } from '../accounts/index.js';
import { failureText, useRole } from '../library/index.js';
import { PEOPLE_TEXT as T, SESSIONS_TEXT } from './people.text.js';
import { useEndSessionMutation, useSessionsQuery } from './people.api.js';

/** What a browser calls itself, in two words where they are known. */
const agentText = (agent: string): string => {
  const browser = /(Firefox|Edg|Chrome|Safari)\//.exec(agent)?.[1]?.replace('Edg', 'Edge');
  const system = /(Windows|Android|iPhone|iPad|Mac OS X|Linux)/.exec(agent)?.[1];
  if (!browser) return agent || SESSIONS_TEXT.noName;
  return system ? SESSIONS_TEXT.on(browser, system) : browser;
};

/** Where this account is signed in. */
export const Sessions = (): React.JSX.Element => {
  const { data, error } = useSessionsQuery();
  const [end, { error: endError }] = useEndSessionMutation();
  const [leave] = useLeaveMutation();
  const isStudent = useRole() === 'student';
  const navigate = useNavigate();
  const go = async (): Promise<void> => {
    if (window.confirm(T.leaveAsk) && !(await leave()).error) await navigate('/sign-in');
  };
  return (
    <Box maxWidth="760px">
      <Flex alignItems="baseline" gap="4">
        <Heading flex="1">{T.sessions}</Heading>
        {data && data.length > 1 && <Action onClick={() => void end(null)}>{T.endOthers}</Action>}
      </Flex>
      <Box color="inkSoft" marginBottom="4">
        {T.sessionsLead}
      </Box>
      {(error ?? endError) && <Box role="alert">{failureText(error ?? endError)}</Box>}
      <Box as="ul" listStyleType="none" borderTopWidth="1px">
        {data?.map((session) => (
          <Flex as="li" key={session.id} borderBottomWidth="1px" paddingBlock="2.5" alignItems="center" gap="5">
            <Box flex="1">
              {agentText(session.agent)}
              <Box color="inkSoft" fontSize="14px">
                {SESSIONS_TEXT.since(instantText(session.since), instantText(session.lastSeenAt))}
              </Box>
            </Box>
            {session.isThis ? (
              <Box fontFamily="heading" fontSize="17px">
                {T.thisOne}
              </Box>
            ) : (
              <Action onClick={() => void end(session.id)}>{T.end}</Action>
            )}
          </Flex>
        ))}
      </Box>
      {isStudent && (
        <Box marginTop="8">
          <Action onClick={() => void go()}>{T.leave}</Action>
        </Box>
      )}
    </Box>
  );
};
