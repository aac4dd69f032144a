import { Box, Flex } from '@chakra-ui/react';
import { sayScope } from '@odograph/core';
import { useState } from 'react';
import { Action, Subheading } from '../../design/index.js';
import { useMayWrite, usePersonName, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import { Cases } from './Cases.js';
import { PutClip } from './PutClip.js';
import { PRINCIPLES_TEXT as T, STRENGTH_TEXT, tableText } from './principles.text.js';
import { sayAsked, sayWhose } from './sayPrinciple.js';
import type { Held } from './usePrinciples.js';

/** What a principle says, in the coach's words and in those that are looked up, and what speaks for it. */
export const PrincipleSaid = ({ held: { principle, cases, table } }: { readonly held: Held }): React.JSX.Element => {
  const words = useWords();
  const nameOf = usePersonName();
  const accountId = useMeQuery().data?.account.id;
  const asked = sayAsked(principle, words);
  const isNever = principle.strength === 'never';
  const says = [
    STRENGTH_TEXT[principle.strength],
    ...sayWhose(principle, nameOf, accountId),
    sayScope(principle.scope, words).join(', '),
    asked === null ? T.asksNothing : isNever ? T.never(asked) : principle.pattern ? T.asks(asked) : asked,
  ];
  const of = (side: 'for' | 'against'): number => cases.filter((c) => c.side === side).length;
  const byHand = cases.filter((c) => c.by === 'hand').length;
  const broken = cases.filter((c) => c.isBroken).length;
  return (
    <>
      <Subheading as="h3" fontSize="21px">
        {principle.sentence}
      </Subheading>
      <Box color="inkSoft">{says.join(' · ')}</Box>
      <Box marginTop="1">
        {asked !== null && <span>{tableText(table)}</span>}
        {of('for') + of('against') > 0 && (
          <Box as="span" color="inkSoft" marginLeft={asked === null ? '0' : '4'}>
            {[T.tally(of('for'), of('against'), byHand), ...(broken ? [T.broken(broken)] : [])].join(', ')}
          </Box>
        )}
      </Box>
    </>
  );
};

/** A principle in the list, with the attempts behind it. */
export const PrincipleRow = ({ held }: { readonly held: Held }): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const [isOpen, setOpen] = useState(false);
  const { principle, cases } = held;
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="principle">
      <Flex gap="6" alignItems="flex-start" justifyContent="space-between" wrap={{ base: 'wrap', md: 'nowrap' }}>
        <Box minWidth="0">
          <PrincipleSaid held={held} />
        </Box>
        <Flex gap="2" flexShrink="0">
          {(cases.length > 0 || mayWrite) && (
            <Action aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              {isOpen ? T.hide : T.show}
            </Action>
          )}
          {mayWrite && (
            <Action tone="quiet" onClick={() => edit({ kind: 'remove', what: 'principle', id: principle.id })}>
              {T.remove}
            </Action>
          )}
        </Flex>
      </Flex>
      {isOpen && <Cases principle={principle} cases={cases} />}
      {isOpen && mayWrite && <PutClip principle={principle} />}
    </Box>
  );
};
