import { Box } from '@chakra-ui/react';
import { useDispatch, useSelector } from 'react-redux';
import { v7 as newId } from 'uuid';
import { Action } from '../../design/index.js';
import { editQueued, refusalSeen, type RefusedEdit } from './edits.slice.js';
import { selectPending, selectRefused, selectStatus } from './library.selectors.js';
import { refusalText } from './refusal.text.js';

/** Says whether the server has everything. */
export const SaveState = (): React.JSX.Element => {
  const pending = useSelector(selectPending).length;
  const status = useSelector(selectStatus);
  const text =
    pending === 0
      ? 'Saved'
      : status === 'unreachable'
        ? `Not saved yet (${pending}): the server cannot be reached. Kept here, trying again`
        : status === 'signed-out'
          ? `Not saved yet (${pending}): signed out`
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
    </Box>
  );
};

const isStale = ({ why }: RefusedEdit): boolean => why.code === 'stale';

/** An edit that was not taken: what happened, what was kept, what to do. */
export const Refusal = (): React.JSX.Element | null => {
  const refused = useSelector(selectRefused);
  const dispatch = useDispatch();
  if (!refused) return null;
  const again = (): void => {
    dispatch(refusalSeen());
    dispatch(editQueued({ ...refused.edit, editId: newId() }));
  };
  return (
    <Box
      role="alert"
      display="flex"
      gap="3"
      alignItems="center"
      background="cautionSoft"
      borderBottomWidth="1px"
      borderColor="caution"
      paddingInline="4"
      paddingBlock="1.5"
    >
      <Box flex="1">
        <strong>Not saved. </strong>
        {refusalText(refused.why)}
        {isStale(refused) && ' What you see now is theirs.'}
      </Box>
      {isStale(refused) && <Action onClick={again}>Save mine over it</Action>}
      <Action onClick={() => dispatch(refusalSeen())}>{isStale(refused) ? 'Keep theirs' : 'Understood'}</Action>
    </Box>
  );
};
