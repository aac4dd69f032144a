import { Box, Flex } from '@chakra-ui/react';
import { Action } from './Plain.js';

/** The last line of a form: keep or leave it on the left, what takes something away on the right. */
export const FormActions = ({
  keep,
  cancel,
  waiting = false,
  onCancel,
  children,
}: {
  readonly keep: string;
  readonly cancel: string;
  readonly waiting?: boolean;
  readonly onCancel: () => void;
  readonly children?: React.ReactNode;
}): React.JSX.Element => (
  <Flex gap="3">
    <Action tone="next" type="submit" disabled={waiting}>
      {keep}
    </Action>
    <Action type="button" onClick={onCancel}>
      {cancel}
    </Action>
    <Box flex="1" />
    {children}
  </Flex>
);
