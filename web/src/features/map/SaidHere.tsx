import { Box, Flex } from '@chakra-ui/react';
import { flipPlace, foldPlace, onlySaid, principlesAt, readPlace, type OnlySaid, type PlaceId } from '@odograph/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Subheading } from '../../design/index.js';
import { ClipLinks, useClipsOf, useLibrary, useWords } from '../library/index.js';
import { SAID_HERE_TEXT as T } from './map.text.js';

/** Something that is only said, with the clips in which it is. */
const Said = ({ said, isTheirs }: { readonly said: OnlySaid; readonly isTheirs: boolean }): React.JSX.Element => {
  const words = useWords();
  const clips = useClipsOf(said.attemptIds);
  const text =
    said.kind === 'option'
      ? words.name('action', said.action)
      : T.answer(words.name('reaction', said.reaction), words.name('action', said.action), isTheirs);
  return (
    <Box as="li" paddingBlock="1" borderBottomWidth="1px" lineHeight="1.3">
      {text}
      <Flex gap="3" fontSize="13px" color="inkSoft" wrap="wrap">
        <span>{T.times(said.attemptIds.length)}</span>
        <ClipLinks clips={clips} />
      </Flex>
    </Box>
  );
};

/** What of a place was told and never seen, and what is held to be so there. */
export const SaidHere = ({ place }: { readonly place: PlaceId }): React.JSX.Element => {
  const { attempts, principles } = useLibrary();
  const words = useWords();
  const all = useMemo(() => onlySaid(attempts, words), [attempts, words]);
  const state = readPlace(place);
  const here = foldPlace(place, words);
  const there = flipPlace(here);
  // what they could answer to what is done from here is told here, and what one could oneself answer there
  const said = all.filter((s) => s.from === here || (s.kind === 'answer' && s.from === there));
  const held = state?.kind === 'state' ? principlesAt(principles, state, words) : [];
  return (
    <>
      {said.length > 0 && (
        <Box as="section" marginBottom="4">
          <Subheading marginBottom="1">{T.title}</Subheading>
          <Box as="ul" listStyleType="none" borderTopWidth="1px">
            {said.map((s) => (
              <Said key={JSON.stringify(s)} said={s} isTheirs={s.from === here} />
            ))}
          </Box>
        </Box>
      )}
      {held.length > 0 && (
        <Box as="section" marginBottom="4">
          <Subheading marginBottom="1">
            <Link to="/principles">{T.principles}</Link>
          </Subheading>
          <Box as="ul" listStyleType="none" borderTopWidth="1px">
            {held.map((p) => (
              <Box as="li" key={p.id} paddingBlock="1" borderBottomWidth="1px" lineHeight="1.3">
                {p.sentence}
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </>
  );
};
