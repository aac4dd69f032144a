import { Box } from '@chakra-ui/react';
import { Link, useRouteError } from 'react-router';
import { Heading } from '../design/index.js';

/** An address that leads nowhere, or a screen that broke. */
export const NotThere = (): React.JSX.Element => {
  const error = useRouteError();
  return (
    <Box as="main" padding="10" role={error ? 'alert' : undefined}>
      <Heading marginBottom="3">
        {error ? 'Something broke on this screen.' : 'There’s nothing at this address.'}
      </Heading>
      <Box marginBottom="5">
        {error
          ? 'What was called saved is on the server. Load the page again to go on.'
          : 'It may be in the bin, or the address was cut short.'}
      </Box>
      <Link to="/footage" style={{ textDecoration: 'underline' }}>
        Go to the footage
      </Link>
    </Box>
  );
};
