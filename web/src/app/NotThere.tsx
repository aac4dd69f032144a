import { Box } from '@chakra-ui/react';
import { Link, useRouteError } from 'react-router';
import { Heading } from '../design/index.js';
import { NOT_THERE_TEXT } from './app.text.js';

/** An address that leads nowhere, or a screen that broke. */
export const NotThere = (): React.JSX.Element => {
  const error = useRouteError();
  return (
    <Box as="main" padding="10" role={error ? 'alert' : undefined}>
      <Heading marginBottom="3">
        {error ? NOT_THERE_TEXT.somethingBrokeOnThis : NOT_THERE_TEXT.theresNothingAtThis}
      </Heading>
      <Box marginBottom="5">{error ? NOT_THERE_TEXT.whatWasCalledSaved : NOT_THERE_TEXT.itMayBeIn}</Box>
      <Link to="/footage" style={{ textDecoration: 'underline' }}>
        {NOT_THERE_TEXT.goToTheFootage}
      </Link>
    </Box>
  );
};
