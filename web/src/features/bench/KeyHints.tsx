import { Box, Flex, chakra } from '@chakra-ui/react';
import { Mono } from '../../design/index.js';
import type { Hint } from './bench.text.js';
import type { KeyTable } from './usePictureKeys.js';

const Press = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    color: 'inherit',
    background: 'transparent',
    padding: '0',
    cursor: 'pointer',
    _hover: { color: 'ink' },
  },
});

const Cap = ({ hint }: { readonly hint: Hint }): React.JSX.Element => (
  <>
    <Mono fontSize="12px" color="ink" borderWidth="1px" borderColor="hairline" paddingInline="1" borderRadius="2px">
      {hint.keys}
    </Mono>
    {hint.does && (
      <Box as="span" fontFamily="heading" fontSize="15px" marginLeft="1.5">
        {hint.does}
      </Box>
    )}
  </>
);

/** The keys that work right now; those of the picture can be pressed with the pointer too. */
export const KeyHints = ({
  hints,
  keys,
}: {
  readonly hints: readonly Hint[];
  readonly keys: KeyTable;
}): React.JSX.Element => (
  <Flex
    as="section"
    aria-label="Keys"
    height="28px"
    flexShrink="0"
    alignItems="center"
    gap="3"
    paddingInline="4"
    borderTopWidth="1px"
    overflow="hidden"
    whiteSpace="nowrap"
    fontSize="13px"
    color="inkSoft"
  >
    {hints.map((hint) =>
      hint.press === undefined ? (
        <span key={hint.keys}>
          <Cap hint={hint} />
        </span>
      ) : (
        <Press
          key={hint.keys}
          type="button"
          tabIndex={-1}
          aria-label={`${hint.keys} ${hint.does}`}
          onClick={() => keys[hint.press!]?.()}
        >
          <Cap hint={hint} />
        </Press>
      ),
    )}
  </Flex>
);
