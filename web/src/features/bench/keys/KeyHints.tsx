import { Box, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { Bare, Mono, useStable } from '../../../design/index.js';
import { KEYS_TEXT as T, capText, type Hint, KEY_HINTS_TEXT } from './keys.text.js';
import { type OwnKeys } from './ownKeys.js';
import { type KeyTable } from './usePictureKeys.js';

const keysOf = ({ keys, press }: Hint, own: OwnKeys): string =>
  press !== undefined && own[press] !== undefined ? capText(own[press]) : keys;

const Cap = ({ hint, own }: { readonly hint: Hint; readonly own: OwnKeys }): React.JSX.Element => (
  <>
    <Mono fontSize="12px" color="ink" borderWidth="1px" borderColor="hairline" paddingInline="1" borderRadius="2px">
      {keysOf(hint, own)}
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
  keys,
  onAll,
  ...shown
}: Pick<Shown, 'hints' | 'own'> & {
  readonly keys: KeyTable;
  /** Shows all keys. */ readonly onAll: () => void;
}): React.JSX.Element => (
  <Hints {...shown} onPress={useStable((press: string) => keys[press]?.())} onAll={useStable(onAll)} />
);

type Shown = {
  readonly hints: readonly Hint[];
  readonly own: OwnKeys;
  readonly onPress: (press: string) => void;
  readonly onAll: () => void;
};
const isSame = (a: Shown, b: Shown): boolean =>
  a.own === b.own && a.hints.length === b.hints.length && a.hints.every((hint, i) => hint === b.hints[i]);

/** Drawn anew only where other keys work. */
const Hints = memo(
  ({ hints, own, onPress, onAll }: Shown) => (
    <Flex
      as="section"
      aria-label={KEY_HINTS_TEXT.keys}
      height="28px"
      flexShrink="0"
      alignItems="center"
      borderTopWidth="1px"
      whiteSpace="nowrap"
      fontSize="13px"
      color="inkSoft"
    >
      {/* a hint that does not fit goes to a second row, which is not seen: none is cut in two */}
      <Flex flex="1" minWidth="0" height="27px" wrap="wrap" columnGap="3" paddingInline="4" overflow="hidden">
        {hints.map((hint) =>
          hint.press === undefined ? (
            <Flex key={hint.keys} alignItems="center" height="27px">
              <Cap hint={hint} own={own} />
            </Flex>
          ) : (
            <Bare
              display="inline-flex"
              alignItems="center"
              height="27px"
              key={hint.keys}
              type="button"
              tabIndex={-1}
              aria-label={`${keysOf(hint, own)} ${hint.does}`}
              onClick={() => onPress(hint.press!)}
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
  ),
  isSame,
);
Hints.displayName = 'Hints';
