import { Box, chakra } from '@chakra-ui/react';

/** A button that looks like the text it stands in. */
export const Bare = chakra('button', {
  base: {
    font: 'inherit',
    color: 'inherit',
    background: 'transparent',
    border: 'none',
    padding: '0',
    cursor: 'pointer',
    _hover: { color: 'ink' },
    _disabled: { cursor: 'default' },
  },
});

/** A button in words: a hairline frame, ink on paper; `tone` says when it is the next step. */
export const Action = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '2',
    fontFamily: 'heading',
    fontWeight: '500',
    fontSize: '17px',
    lineHeight: '1.2',
    paddingInline: '3',
    paddingBlock: '1.5',
    borderWidth: '1px',
    borderColor: 'field',
    borderRadius: '2px',
    background: 'transparent',
    color: 'ink',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    _hover: { background: 'raised', borderColor: 'ink' },
    _disabled: { opacity: 0.5, cursor: 'not-allowed' },
  },
  variants: {
    tone: {
      plain: {},
      next: {
        background: 'ink',
        borderColor: 'ink',
        color: 'ground',
        _hover: { background: 'inHand', borderColor: 'inHand' },
      },
      quiet: { border: 'none', paddingInline: '1.5', _hover: { background: 'raised' } },
    },
  },
  defaultVariants: { tone: 'plain' },
});

/** A text field with a ruled line under it, as in a surveyor's book. */
export const Ruled = chakra('input', {
  base: {
    width: '100%',
    background: 'transparent',
    color: 'ink',
    borderBottomWidth: '1.5px',
    borderColor: 'field',
    paddingBlock: '1',
    fontSize: '16px',
    _placeholder: { color: 'inkSoft' },
    _focusVisible: { outline: 'none', borderColor: 'inHand', boxShadow: '0 1.5px 0 var(--od-inHand)' },
  },
});

export const Heading = chakra('h1', {
  base: { fontFamily: 'heading', fontWeight: '600', fontSize: '30px', lineHeight: '1.1', letterSpacing: '0.005em' },
});

export const Subheading = chakra('h2', {
  base: { fontFamily: 'heading', fontWeight: '600', fontSize: '19px', lineHeight: '1.2' },
});

export const Mono = chakra('span', { base: { fontFamily: 'mono', fontVariantNumeric: 'tabular-nums' } });

/** What is only read aloud. */
export const Aloud = (props: { readonly children: React.ReactNode }): React.JSX.Element => (
  <Box as="span" className="sr-only">
    {props.children}
  </Box>
);
