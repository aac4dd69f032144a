import { Box, Flex } from '@chakra-ui/react';
import { Bare, Mono } from '../../design/index.js';
import { KEYS_TEXT as T, capText, type Hint } from './keys.text.js';
import type { OwnKeys } from './ownKeys.js';
import type { KeyTable } from './usePictureKeys.js';

const Cap = ({ hint, own }: { readonly hint: Hint; readonly own: OwnKeys }): React.JSX.Element => (
  <>
    <Mono fontSize="12px" color="ink" borderWidth="1px" borderColor="hairline" paddingInline="1" borderRadius="2px">
      {hint.press !== undefined && own[hint.press] !== undefined ? capText(own[hint.press]!) : hint.keys}
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
  own,
  onAll,
}: {
  readonly hints: readonly Hint[];
  readonly keys: KeyTable;
  readonly own: OwnKeys;
  /** Shows all keys. */ readonly onAll: () => void;
}): React.JSX.Element => (
  <Flex
    as="section"
    aria-label="Keys"
    height="28px"
    flexShrink="0"
    alignItems="center"
    borderTopWidth="1px"
    whiteSpace="nowrap"
    fontSize="13px"
    color="inkSoft"
  >
    <Flex flex="1" minWidth="0" alignItems="center" gap="3" paddingInline="4" overflow="hidden">
      {hints.map((hint) =>
        hint.press === undefined ? (
          <span key={hint.keys}>
            <Cap hint={hint} own={own} />
          </span>
        ) : (
          <Bare
            display="inline-flex"
            alignItems="center"
            key={hint.keys}
            type="button"
            tabIndex={-1}
            aria-label={`${hint.keys} ${hint.does}`}
            onClick={() => keys[hint.press!]?.()}
          >
            <Cap hint={hint} own={own} />
          </Bare>
        ),
      )}
    </Flex>
    <Box paddingInline="4" borderLeftWidth="1px" background="ground">
      <Bare
        display="inline-flex"
        alignItems="center"
        type="button"
        tabIndex={-1}
        aria-label={`? ${T.all}`}
        onClick={onAll}
      >
        <Cap hint={{ keys: '?', does: T.all }} own={own} />
      </Bare>
    </Box>
  </Flex>
);
