import { Box, Flex } from '@chakra-ui/react';
import { useState, type FormEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Action, Heading, ProfileMark, Ruled } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useSignInMutation } from './accounts.api.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';

const isOwnAddress = (address: string | null): address is string => address !== null && /^\/(?!\/)/.test(address);

export const SignIn = (): React.JSX.Element => {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const navigate = useNavigate();
  const next = useSearchParams()[0].get('next');
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const answer = await signIn({ email, password });
    if (!answer.error) await navigate(isOwnAddress(next) ? next : '/footage', { replace: true });
  };
  return (
    <Flex as="main" minHeight="100%" alignItems="stretch">
      <Flex
        flex="1"
        direction="column"
        justifyContent="flex-end"
        padding="12"
        borderRightWidth="1px"
        display={{ base: 'none', md: 'flex' }}
      >
        <ProfileMark />
        <Box fontFamily="heading" fontSize="34px" fontWeight="500" lineHeight="1.15" maxWidth="16em" marginTop="8">
          {T.claim}
        </Box>
      </Flex>
      <Flex flex="1" direction="column" justifyContent="center" padding="12" maxWidth="560px">
        <Box fontFamily="heading" fontSize="22px" fontWeight="600" color="us" marginBottom="10">
          {T.product}
        </Box>
        <Heading marginBottom="6">{T.title}</Heading>
        <form onSubmit={submit}>
          <Box as="label" display="block" marginBottom="5">
            <Box color="inkSoft" fontSize="14px">
              {T.email}
            </Box>
            <Ruled
              type="email"
              name="email"
              autoComplete="username"
              required
              autoFocus
              value={email}
              onChange={(e) => setEmail(e.target.value)}
            />
          </Box>
          <Box as="label" display="block" marginBottom="7">
            <Box color="inkSoft" fontSize="14px">
              {T.password}
            </Box>
            <Ruled
              type="password"
              name="password"
              autoComplete="current-password"
              required
              value={password}
              onChange={(e) => setPassword(e.target.value)}
            />
          </Box>
          {error && (
            <Box role="alert" color="caution" marginBottom="4">
              {failureText(error)}
            </Box>
          )}
          <Action tone="next" type="submit" disabled={isLoading}>
            {isLoading ? T.going : T.go}
          </Action>
        </form>
      </Flex>
    </Flex>
  );
};
