import { Box } from '@chakra-ui/react';
import { sayAttempt, type Attempt } from '@odograph/core';
import { Action } from '../../../design/index.js';
import { PROPOSED_TEXT as T } from './phrase.text.js';
import { Caps } from '../keys/index.js';
import { type Saying } from './saying.js';

/** What stands in an attempt though nobody said it, and what says that it is so. */
export const Proposed = ({
  saying: { attempt, words, change },
  athletes,
}: {
  readonly saying: Saying;
  readonly athletes: Readonly<Record<Attempt['subject'], string>>;
}): React.JSX.Element | null => {
  if (!attempt.proposed.length) return null;
  const said = sayAttempt(attempt, words, athletes).flatMap(({ lead, text, proposed }) =>
    proposed ? [T.follows([lead, text].filter(Boolean).join(' '), proposed)] : [],
  );
  return (
    <Box fontSize="15px" color="inkSoft" data-testid="proposed">
      {T.said(said)}{' '}
      <Action tone="quiet" tabIndex={-1} onClick={() => change({ proposed: [] })}>
        <Caps text={T.confirm} />
      </Action>
    </Box>
  );
};
