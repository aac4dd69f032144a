import { Box, Flex } from '@chakra-ui/react';
import type { AnswerSeen } from '@odograph/core';
import { ClipLinks, useClipsOf, useWords } from '../library/index.js';
import { SHEET_TEXT as T } from './sheets.text.js';

/** What answers something, the best first, each with its clips. */
export const AnswersSeen = ({
  answers,
  said,
}: {
  readonly answers: readonly AnswerSeen[];
  readonly said: readonly string[];
}): React.JSX.Element => {
  const words = useWords();
  const clips = useClipsOf(answers.flatMap((a) => a.attemptIds));
  if (!answers.length && !said.length) return <Box color="inkSoft">{T.noAnswers}</Box>;
  return (
    <Box as="ul" listStyleType="none" borderTopWidth="1px">
      {answers.map((a) => (
        <Box as="li" key={a.action} paddingBlock="1" borderBottomWidth="1px" lineHeight="1.3">
          <Box as="strong">{words.name('action', a.action)}</Box>{' '}
          <Box as="span" color="inkSoft">
            {T.answerSeen(a.n, a.worked, a.shown)}
          </Box>
          <Flex gap="3" fontSize="13px" wrap="wrap">
            <ClipLinks clips={clips.filter((c) => a.attemptIds.includes(c.attempt.id))} />
          </Flex>
        </Box>
      ))}
      {said.map((action) => (
        <Box as="li" key={action} paddingBlock="1" borderBottomWidth="1px" color="inkSoft">
          {words.name('action', action)} ({T.said.toLowerCase()})
        </Box>
      ))}
    </Box>
  );
};
