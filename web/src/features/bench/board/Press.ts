import { chakra } from '@chakra-ui/react';

/** A button of the board. */
export const Press = chakra('button', {
  base: {
    font: 'inherit',
    color: 'ink',
    background: 'transparent',
    borderWidth: '1px',
    borderColor: 'field',
    paddingInline: '6px',
    lineHeight: '22px',
    cursor: 'pointer',
    _pressed: { background: 'inHandSoft', borderColor: 'inHand' },
    _hover: { borderColor: 'ink' },
  },
});
