import { Box } from '@chakra-ui/react';
import { Heading, Mono } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { PEOPLE_TEXT as T } from './people.text.js';
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

/** The outbox that stands in for a mail server. */
export const Letters = (): React.JSX.Element => {
  const { data, error } = useLettersQuery();
  return (
    <Box maxWidth="760px">
      <Heading marginBottom="2">{T.letters}</Heading>
      <Box color="inkSoft" marginBottom="5">
        {T.lettersLead}
      </Box>
      {error && <Box role="alert">{failureText(error)}</Box>}
      {data?.length === 0 && <Box>{T.noLetters}</Box>}
      <Box as="ul" listStyleType="none">
        {data?.map((letter) => (
          <Box as="li" key={letter.id} borderTopWidth="1px" paddingBlock="4" data-letter={letter.to}>
            <Mono fontSize="13px" color="inkSoft">
              {new Date(letter.sentAt).toLocaleString()}
            </Mono>
            <Box>
              <Box as="span" color="inkSoft">
                to{' '}
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
