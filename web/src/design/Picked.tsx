import { chakra } from '@chakra-ui/react';

/** One of many words, in a list that the browser opens: for lists too long to stand in view. */
export const Picked = chakra('select', {
  base: {
    background: 'transparent',
    color: 'ink',
    fontFamily: 'heading',
    fontSize: '17px',
    borderBottomWidth: '1.5px',
    borderColor: 'field',
    borderRadius: '0',
    paddingBlock: '1',
    cursor: 'pointer',
    '& option': { background: 'ground', color: 'ink' },
    _focusVisible: { outline: 'none', borderColor: 'inHand', boxShadow: '0 1.5px 0 var(--od-inHand)' },
  },
});
