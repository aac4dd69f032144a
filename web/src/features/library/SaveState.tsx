import { Box } from '@chakra-ui/react';
import { useSelector } from 'react-redux';
import { Link, useLocation } from 'react-router';
import { selectKeptIn, selectPending, selectRefused, selectStatus } from '../replica/index.js';
import { SAVE_STATE_TEXT as T } from './library.text.js';

/** Says whether the server has everything. */
export const SaveState = (): React.JSX.Element => {
  const pending = useSelector(selectPending).length;
  const toDecide = useSelector(selectRefused).length;
  const status = useSelector(selectStatus);
  const { pathname, search } = useLocation();
  const keptIn = useSelector(selectKeptIn);
  const isOut = pending > 0 && status === 'signed-out';
  const text =
    pending === 0
      ? toDecide
        ? T.toDecide(toDecide)
        : T.saved
      : status === 'unreachable'
        ? T.unreachable(pending)
        : isOut
          ? T.signedOut(pending)
          : T.saving;
  const onlyHere = pending > 0 && keptIn !== 'browser' ? T.onlyHere(keptIn === 'window, browser full') : '';
  return (
    <Box
      role="status"
      data-testid="save-state"
      data-saved={pending === 0 && toDecide === 0}
      fontFamily="heading"
      fontSize="16px"
      color={pending === 0 && !toDecide ? 'inkSoft' : 'ink'}
    >
      {text}
      {onlyHere}
      {isOut && (
        <Link
          to={`/sign-in?next=${encodeURIComponent(pathname + search)}`}
          style={{ textDecoration: 'underline', fontWeight: 600 }}
        >
          {T.signInAgain}
        </Link>
      )}
    </Box>
  );
};
