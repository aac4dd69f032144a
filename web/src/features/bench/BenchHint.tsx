import { Flex } from '@chakra-ui/react';
import { Caps } from './Caps.js';

/** What can be done here, where nothing is in hand. */
export const BenchHint = ({ text }: { readonly text: string }): React.JSX.Element => (
  <Flex
    minHeight="64px"
    alignItems="center"
    paddingInline="4"
    borderTopWidth="1px"
    fontSize="19px"
    color="inkSoft"
    role="status"
  >
    <Caps text={text} />
  </Flex>
);
