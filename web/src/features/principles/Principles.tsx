import { Box } from '@chakra-ui/react';
import { clashesIn } from '@odograph/core';
import { useMemo } from 'react';
import { Heading, Subheading } from '../../design/index.js';
import { useLibrary, useMayWrite, useWords } from '../library/index.js';
import { AddPrinciple } from './AddPrinciple.js';
import { Clashes } from './Clashes.js';
import { PRINCIPLES_TEXT as T } from './principles.text.js';
import { PrincipleRow } from './PrincipleRow.js';
import { usePrinciples, type Held } from './usePrinciples.js';

/** What must be there and what may: each principle with what speaks for and against it, and those that clash. */
export const Principles = (): React.JSX.Element => {
  const { principles } = useLibrary();
  const words = useWords();
  const mayWrite = useMayWrite();
  const held = usePrinciples();
  const clashes = useMemo(() => clashesIn(principles, words), [principles, words]);
  const groups = useMemo(() => {
    const byPlace = new Map<string, Held[]>();
    for (const one of held) {
      const { state } = one.principle.scope;
      const place = state ? words.name('position', state.position) : T.elsewhere;
      byPlace.set(place, [...(byPlace.get(place) ?? []), one]);
    }
    return [...byPlace].sort(([a], [b]) => a.localeCompare(b));
  }, [held, words]);
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="6" maxWidth="1120px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="5" maxWidth="760px">
        {T.lead}
      </Box>
      {mayWrite && <AddPrinciple />}
      {clashes.length > 0 && <Clashes clashes={clashes} held={held} />}
      {held.length === 0 && <Box>{mayWrite ? T.empty : T.forStudents}</Box>}
      {groups.map(([place, of]) => (
        <Box as="section" key={place} aria-label={place} marginBottom="6">
          <Subheading marginBottom="2" color="inkSoft" css={{ '&::first-letter': { textTransform: 'uppercase' } }}>
            {place}
          </Subheading>
          <Box as="ul" listStyleType="none">
            {of.map((one) => (
              <PrincipleRow key={one.principle.id} held={one} />
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
};
