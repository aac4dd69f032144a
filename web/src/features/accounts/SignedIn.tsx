import { Box } from '@chakra-ui/react';
import { useDeferredValue } from 'react';
import { Navigate, useLocation } from 'react-router';
import { Action } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import { ACCOUNTS_TEXT as T } from './accounts.text.js';

/** Shows what is inside only to somebody who is signed in; others are led to the sign-in and back. */
export const SignedIn = ({ children }: { readonly children: React.ReactNode }): React.ReactNode => {
  const { data, error, refetch } = useMeQuery();
  const { pathname, search } = useLocation();
  // a screen is first drawn in slices, not in the task that reads the answer
  const isIn = useDeferredValue(data !== undefined);
  if (data && isIn) return children;
  if (!error) return null;
  if ('status' in error && error.status === 401)
    return <Navigate to={`/sign-in?next=${encodeURIComponent(pathname + search)}`} replace />;
  return (
    <Box as="main" padding="12" role="alert">
      <Box marginBottom="4">{failureText(error)}</Box>
      <Action onClick={() => void refetch()}>{T.again}</Action>
    </Box>
  );
};
