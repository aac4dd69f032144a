import { Box } from '@chakra-ui/react';
import { sayAttempt, type Attempt, type ProposedPart, type SaidPart } from '@odograph/core';
import { Action } from '../../design/index.js';
import { PROPOSED_TEXT as T } from './bench.text.js';
import { Caps } from './Caps.js';
import type { Saying } from './saying.js';

/** The part of the sentence in which each stands. */
const PART_OF: Readonly<Record<ProposedPart, SaidPart['part']>> = {
  subject: 'who',
  state: 'from',
  stateRole: 'from',
  action: 'entry',
  finish: 'finish',
  finishRole: 'finish',
  result: 'result',
};

/** What stands in an attempt though nobody said it, and what says that it is so. */
export const Proposed = ({
  saying: { attempt, words, change },
  athletes,
}: {
  readonly saying: Saying;
  readonly athletes: Readonly<Record<Attempt['subject'], string>>;
}): React.JSX.Element | null => {
  if (!attempt.proposed.length) return null;
  const said = sayAttempt(attempt, words, athletes).filter((part) => part.proposed);
  const whyOf = (part: SaidPart['part']): ProposedPart | undefined => attempt.proposed.find((p) => PART_OF[p] === part);
  return (
    <Box fontSize="15px" color="inkSoft" data-testid="proposed">
      {T.said(
        said.map(({ part, lead, text }) => {
          const [what, why] = [[lead, text].filter(Boolean).join(' '), whyOf(part)];
          return why ? T.follows(what, why) : what;
        }),
      )}{' '}
      <Action tone="quiet" tabIndex={-1} onClick={() => change({ proposed: [] })}>
        <Caps text={T.confirm} />
      </Action>
    </Box>
  );
};
