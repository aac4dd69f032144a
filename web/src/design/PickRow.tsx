import { Box } from '@chakra-ui/react';
import type { Ref } from 'react';

type Props = {
  readonly isPicked: boolean;
  readonly onPick: () => void;
  /** How the picked one is said to those who do not see it: it is shown elsewhere (`current`), or held down (`pressed`). */
  readonly says: 'current' | 'pressed';
  readonly inset: string;
  readonly ref?: Ref<HTMLButtonElement>;
  readonly children: React.ReactNode;
};

/** A row of a list that can be taken in hand. */
export const PickRow = ({ isPicked, onPick, says, inset, ref, children }: Props): React.JSX.Element => (
  <Box as="li" borderBottomWidth="1px">
    <Box
      asChild
      display="block"
      width="100%"
      textAlign="left"
      paddingInline={inset}
      paddingBlock="2"
      cursor="pointer"
      borderLeftWidth="3px"
      borderColor={isPicked ? 'inHand' : 'transparent'}
      background={isPicked ? 'inHandSoft' : 'transparent'}
      _hover={{ background: isPicked ? 'inHandSoft' : 'raised' }}
    >
      <button ref={ref} type="button" onClick={onPick} {...{ [`aria-${says}`]: isPicked }}>
        {children}
      </button>
    </Box>
  </Box>
);
