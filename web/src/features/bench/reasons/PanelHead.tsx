import { Flex } from '@chakra-ui/react';
import { Action, Heading } from '../../../design/index.js';
import { PANEL_TEXT } from './reasons.text.js';

/** What stands in place of the list, and the way back to it. */
export const PanelHead = ({
  title,
  onClose,
}: {
  readonly title: string;
  readonly onClose: () => void;
}): React.JSX.Element => (
  <Flex justifyContent="space-between" alignItems="baseline" marginBottom="2">
    <Heading fontSize="21px">{title}</Heading>
    <Action tone="quiet" onClick={onClose}>
      {PANEL_TEXT.close}
    </Action>
  </Flex>
);
