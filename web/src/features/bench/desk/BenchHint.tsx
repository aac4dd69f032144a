import { Flex } from '@chakra-ui/react';
import { Caps } from '../keys/index.js';

/** What can be done here, where nothing is in hand. */
export const BenchHint = ({ text }: { readonly text: string }): React.JSX.Element => (
  <Flex alignItems="center" paddingInline="4" fontSize="19px" color="inkSoft" role="status">
    <Caps text={text} />
  </Flex>
);
