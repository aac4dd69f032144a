import { Box, Flex } from '@chakra-ui/react';
import { linksTold, sayLink, type Guess } from '@odograph/core';
import { Action, Subheading } from '../../design/index.js';
import { useClipViews, useLibrary, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { Case } from './Case.js';
import { DOUBTS_TEXT as T } from './doubts.text.js';

/** That one detail brought another about, told as a guess: it is so, or it isn't. */
export const Guessed = ({ guess: { attemptId, link, at } }: { readonly guess: Guess }): React.JSX.Element | null => {
  const words = useWords();
  const { attempts } = useLibrary();
  const edit = useEdit();
  const view = useClipViews().find((v) => v.attempt.id === attemptId && v.clip.angleId === v.attempt.angleId);
  const attempt = attempts.find((a) => a.id === attemptId);
  if (!attempt) return null;
  const settle = (isSo: boolean): void => {
    const links = linksTold(attempt).flatMap((l) => (l.id !== link.id ? [l] : isSo ? [{ ...l, isSure: true }] : []));
    edit({ kind: 'attempt', id: attemptId, changes: { links } });
  };
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="guessed">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Subheading fontSize="21px">
          {T.guessed(sayLink({ ...link, isSure: true }, attempt, attempts, words))}
        </Subheading>
        <Action onClick={() => settle(true)}>{T.isSo}</Action>
        <Action tone="quiet" onClick={() => settle(false)}>
          {T.isNotSo}
        </Action>
      </Flex>
      {view && (
        <Box as="ul" listStyleType="none" marginTop="3">
          <Case view={view} frame={at.frame} />
        </Box>
      )}
    </Box>
  );
};
