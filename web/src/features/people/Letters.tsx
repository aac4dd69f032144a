import { Box, Flex } from '@chakra-ui/react';
import type { Letter } from '@odograph/core/contract';
import { Heading, Mono } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import { LETTER_TEXT, LETTER_WHY_TEXT, PEOPLE_TEXT as T } from './people.text.js';
import { useLettersQuery } from './people.api.js';

/** A text with its addresses as links; nothing else of it is more than text. */
const Linked = ({ text }: { readonly text: string }): React.JSX.Element => (
  <>
    {text.split(/(https?:\/\/\S+)/).map((part, i) =>
      i % 2 ? (
        <a key={i} href={part} style={{ textDecoration: 'underline', overflowWrap: 'anywhere' }}>
          {part}
        </a>
      ) : (
        part
      ),
    )}
  </>
);

const fate = ({ state, why }: Letter): string =>
  why === null || state === 'sent' ? LETTER_TEXT[state] : `${LETTER_TEXT[state]}: ${LETTER_WHY_TEXT[why]}`;

/** The letters that went out, and how they fare. */
export const Letters = (): React.JSX.Element => {
  const { data, error } = useLettersQuery();
  const isDemo = useMeQuery().data?.academy.isDemo === true;
  return (
    <Box maxWidth="760px">
      <Heading marginBottom="2">{T.letters}</Heading>
      <Box color="inkSoft" marginBottom="5">
        {isDemo ? T.lettersOfDemo : T.lettersLead}
      </Box>
      {error && <Box role="alert">{failureText(error)}</Box>}
      {data?.length === 0 && <Box>{T.noLetters}</Box>}
      <Box as="ul" listStyleType="none">
        {data?.map((letter) => (
          <Box as="li" key={letter.id} borderTopWidth="1px" paddingBlock="4" data-letter={letter.to}>
            <Flex gap="4" alignItems="baseline">
              <Mono fontSize="13px" color="inkSoft">
                {new Date(letter.at).toLocaleString()}
              </Mono>
              <Box fontSize="14px" color={letter.state === 'failed' ? 'caution' : 'inkSoft'} data-fate={letter.state}>
                {fate(letter)}
              </Box>
            </Flex>
            <Box>
              <Box as="span" color="inkSoft">
                {T.to}{' '}
              </Box>
              {letter.to}
            </Box>
            <Box fontWeight="600" marginTop="1">
              {letter.subject}
            </Box>
            <Box whiteSpace="pre-line" marginTop="1">
              <Linked text={letter.body} />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
};
