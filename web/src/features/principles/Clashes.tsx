import { Box, Flex } from '@chakra-ui/react';
import type { Clash, Principle } from '@odograph/core';
import { Action, Subheading } from '../../design/index.js';
import { useMayWrite } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { Cases } from './Cases.js';
import { CLASH_TEXT, PRINCIPLES_TEXT as T } from './principles.text.js';
import { PrincipleSaid } from './PrincipleRow.js';
import type { Held } from './usePrinciples.js';

const Side = ({ held, onTake }: { readonly held: Held; readonly onTake: (() => void) | null }): React.JSX.Element => (
  <Box minWidth="0">
    <PrincipleSaid held={held} />
    {onTake && (
      <Box marginTop="3">
        <Action onClick={onTake}>{T.take}</Action>
      </Box>
    )}
    <Cases principle={held.principle} cases={held.cases.filter((c) => c.side !== null)} />
  </Box>
);

/** Principles that advise opposite things, side by side with their clips. */
export const Clashes = ({
  clashes,
  held,
}: {
  readonly clashes: readonly Clash[];
  readonly held: readonly Held[];
}): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const of = (principle: Principle): Held => held.find((h) => h.principle.id === principle.id)!;
  const stand = (principle: Principle, standing: Principle['standing']): void => {
    if (principle.standing !== standing) edit({ kind: 'principle', id: principle.id, changes: { standing } });
  };
  return (
    <Box as="section" aria-label={T.clashes} marginBottom="8">
      <Subheading marginBottom="1">{T.clashes}</Subheading>
      <Box color="inkSoft">{T.clashLead}</Box>
      {clashes.map(({ one, other, kind }) => {
        const isTaken = one.standing !== other.standing;
        const take = (taken: Principle, left: Principle) => (): void => {
          stand(taken, 'kept');
          stand(left, 'other');
        };
        const mayTake = (p: Principle): boolean => mayWrite && !(isTaken && p.standing === 'kept');
        return (
          <Box key={`${one.id} ${other.id}`} borderTopWidth="1px" marginTop="4" paddingTop="4" data-testid="clash">
            <Flex gap="4" alignItems="baseline" marginBottom="3" wrap="wrap">
              <Box>{CLASH_TEXT[kind]}</Box>
              {mayWrite && isTaken && (
                <Action
                  onClick={() => {
                    stand(one, 'kept');
                    stand(other, 'kept');
                  }}
                >
                  {T.keepBoth}
                </Action>
              )}
            </Flex>
            <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="8" rowGap="5">
              <Side held={of(one)} onTake={mayTake(one) ? take(one, other) : null} />
              <Side held={of(other)} onTake={mayTake(other) ? take(other, one) : null} />
            </Box>
          </Box>
        );
      })}
    </Box>
  );
};
