import { Box } from '@chakra-ui/react';
import { useSelector } from 'react-redux';
import { Link, useLocation } from 'react-router';
import { selectPending, selectStatus } from './library.selectors.js';

/** Says whether the server has everything. */
export const SaveState = (): React.JSX.Element => {
  const pending = useSelector(selectPending).length;
  const status = useSelector(selectStatus);
  const { pathname, search } = useLocation();
  const isOut = pending > 0 && status === 'signed-out';
  const text =
    pending === 0
      ? 'Saved'
      : status === 'unreachable'
        ? `Not saved yet (${pending}): the server cannot be reached. Kept here, trying again`
        : isOut
          ? `Not saved yet (${pending}), kept here: you are signed out. `
          : 'Saving …';
  return (
    <Box
      role="status"
      data-testid="save-state"
      data-saved={pending === 0}
      fontFamily="heading"
      fontSize="16px"
      color={pending === 0 ? 'inkSoft' : 'ink'}
    >
      {text}
      {isOut && (
        <Link
          to={`/sign-in?next=${encodeURIComponent(pathname + search)}`}
          style={{ textDecoration: 'underline', fontWeight: 600 }}
        >
          Sign in again
        </Link>
      )}
    </Box>
  );
};
