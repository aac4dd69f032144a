import { Box, Flex } from '@chakra-ui/react';
import { onlySaid, placeName, readPlace, type PlaceId } from '@odograph/core';
import { useMemo } from 'react';
import { Subheading } from '../../design/index.js';
import { ClipLinks, useClipsOf, useLibrary, useWords } from '../library/index.js';
import { PutOnList } from './PutOnList.js';
import { NEXT_TEXT as T } from './sheets.text.js';

const Option = ({
  place,
  action,
  attemptIds,
}: {
  readonly place: PlaceId;
  readonly action: string;
  readonly attemptIds: readonly string[];
}): React.JSX.Element => {
  const words = useWords();
  const clips = useClipsOf(attemptIds);
  const at = readPlace(place);
  return (
    <Flex
      as="li"
      borderTopWidth="1px"
      paddingBlock="2"
      alignItems="baseline"
      gap="4"
      wrap="wrap"
      data-testid="only-said"
    >
      <Box flex="1" minWidth="280px">
        <strong>{T.entryFrom(words.name('action', action), placeName(place, words))}</strong>
        <Flex gap="3" fontSize="14px" color="inkSoft" wrap="wrap">
          <span>{T.saidTimes(attemptIds.length)}</span>
          <ClipLinks clips={clips} />
        </Flex>
      </Box>
      {at?.kind === 'state' && (
        <PutOnList asked={{ state: { position: at.position, role: at.role }, action, reaction: null, theirs: null }} />
      )}
    </Flex>
  );
};

/** Entries that somebody could have taken and nobody has been seen to take. */
export const OnlySaidList = (): React.JSX.Element | null => {
  const { attempts } = useLibrary();
  const words = useWords();
  const options = useMemo(() => onlySaid(attempts, words).filter((s) => s.kind === 'option'), [attempts, words]);
  if (!options.length) return null;
  return (
    <Box as="section" marginTop="7">
      <Subheading marginBottom="1">{T.onlySaid}</Subheading>
      <Box as="ul" listStyleType="none">
        {options.map(({ from, action, attemptIds }) => (
          <Option key={`${from} ${action}`} place={from} action={action} attemptIds={attemptIds} />
        ))}
      </Box>
    </Box>
  );
};
