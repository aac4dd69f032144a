import { Box } from '@chakra-ui/react';

/** Words of the sentence that nobody said. */
export const Soft = ({ children }: { readonly children: React.ReactNode }): React.JSX.Element => (
  <Box as="span" color="inkSoft">
    {children}
  </Box>
);
