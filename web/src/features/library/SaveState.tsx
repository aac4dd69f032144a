import { Box } from '@chakra-ui/react';
import { useSelector } from 'react-redux';
import { Link, useLocation } from 'react-router';
import { selectKeptIn, selectPending, selectRefused, selectStatus } from '../replica/index.js';
import { SAVE_STATE_TEXT } from './library.text.js';

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
        ? `Saved, but for ${toDecide} that you’re asked about`
        : 'Saved'
      : status === 'unreachable'
        ? `Not saved yet (${pending}): can’t reach the server. Kept here, trying again`
        : isOut
          ? `Not saved yet (${pending}), kept here: you’re signed out. `
          : 'Saving …';
  const onlyHere =
    pending > 0 && keptIn !== 'browser'
      ? ` ${keptIn === 'window, browser full' ? 'This browser is full' : 'This browser keeps nothing'}: don’t close this window.`
      : '';
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
          {SAVE_STATE_TEXT.signInAgain}
        </Link>
      )}
    </Box>
  );
};
