import { Box } from '@chakra-ui/react';
import type { Word, Words } from '@odograph/core';
import { Action } from '../../design/index.js';
import { aliasesIn } from './shownLanguage.js';
import { KIND_ONE, WORDS_TEXT as T, definitionText, WORD_ROW_TEXT } from './words.text.js';

/** A word with its names and what it is. */
export const WordRow = ({
  word,
  words,
  mark,
  isHidden,
  language,
  onChange,
}: {
  readonly word: Word;
  readonly words: Words;
  /** What is told beside its name. */ readonly mark: string;
  readonly isHidden: boolean;
  readonly language: Parameters<typeof aliasesIn>[1];
  readonly onChange: () => void;
}): React.JSX.Element => (
  <Box
    as="li"
    data-word={word.key}
    borderBottomWidth="1px"
    paddingBlock="2"
    display="grid"
    gridTemplateColumns={{ base: '1fr auto', md: '230px 1fr auto' }}
    columnGap="5"
    rowGap="1"
    alignItems="baseline"
    opacity={isHidden ? 0.75 : 1}
  >
    <Box>
      <Box as="span" fontWeight="600">
        {word.name}
      </Box>
      <Box color="inkSoft" fontSize="13px">
        {mark}
      </Box>
    </Box>
    <Box fontSize="15px" gridColumn={{ base: '1 / -1', md: 'auto' }} gridRow={{ base: '2', md: 'auto' }}>
      {aliasesIn(word, language).join(' · ')}
      <Box color="inkSoft" fontSize="13.5px">
        {definitionText(word, words)}
      </Box>
    </Box>
    <Action onClick={onChange} aria-label={WORD_ROW_TEXT.changeThe(KIND_ONE[word.kind], word.name)}>
      {T.change}
    </Action>
  </Box>
);
