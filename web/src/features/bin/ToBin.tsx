import { Box, Flex } from '@chakra-ui/react';
import type { Binned } from '@odograph/core/contract';
import { Action } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useReferencesQuery } from './bin.api.js';
import { BIN_TEXT as T, referencesText } from './bin.text.js';

/** Asks before something goes to the bin, and says what goes with it or stands on it. */
export const ToBin = ({
  what,
  id,
  name,
  onYes,
  onNo,
}: {
  readonly what: Binned;
  readonly id: string;
  readonly name: string;
  readonly onYes: () => void;
  readonly onNo: () => void;
}): React.JSX.Element => {
  const { data, error } = useReferencesQuery({ what, id });
  return (
    <Box
      role="alertdialog"
      aria-label={T.ask(name)}
      borderWidth="1px"
      borderColor="ink"
      background="raised"
      paddingInline="5"
      paddingBlock="4"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onNo();
      }}
    >
      <Box fontWeight="600">{T.ask(name)}</Box>
      <Box marginTop="1" marginBottom="3">
        {error ? failureText(error) : data ? referencesText(what, data) || T.nothing : T.looking} {T.stays}
      </Box>
      <Flex gap="3">
        <Action tone="next" autoFocus disabled={!data} onClick={onYes}>
          {T.yes}
        </Action>
        <Action onClick={onNo}>{T.no}</Action>
      </Flex>
    </Box>
  );
};
