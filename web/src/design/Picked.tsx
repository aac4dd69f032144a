import { chakra } from '@chakra-ui/react';

/** One of many words, in a list that the browser opens: for lists too long to stand in view. */
export const Picked = chakra('select', {
  base: {
    backgroundColor: 'transparent',
    color: 'ink',
    fontFamily: 'heading',
    fontSize: '17px',
    borderBottomWidth: '1.5px',
    borderColor: 'field',
    borderRadius: '0',
    paddingBlock: '1',
    paddingRight: '5',
    appearance: 'none',
    backgroundImage:
      'linear-gradient(45deg, transparent 50%, currentColor 50%), linear-gradient(135deg, currentColor 50%, transparent 50%)',
    backgroundSize: '5px 5px',
    backgroundPosition: 'right 8px top 55%, right 3px top 55%',
    backgroundRepeat: 'no-repeat',
    cursor: 'pointer',
    '& option': { background: 'ground', color: 'ink' },
    _focusVisible: { outline: 'none', borderColor: 'inHand', boxShadow: '0 1.5px 0 var(--od-inHand)' },
  },
});
