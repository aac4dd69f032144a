import { Box, Flex } from '@chakra-ui/react';
import { Mono } from '../../design/index.js';

/** The keys that work right now. */
export const KeyHints = ({
  keys,
}: {
  readonly keys: readonly (readonly [keys: string, does: string])[];
}): React.JSX.Element => (
  <Flex
    as="section"
    aria-label="Keys"
    height="28px"
    flexShrink="0"
    alignItems="center"
    gap="4"
    paddingInline="4"
    borderTopWidth="1px"
    overflow="hidden"
    whiteSpace="nowrap"
    fontSize="13px"
    color="inkSoft"
  >
    {keys.map(([key, does]) => (
      <span key={key}>
        <Mono fontSize="12px" color="ink" borderWidth="1px" borderColor="hairline" paddingInline="1" borderRadius="2px">
          {key}
        </Mono>
        <Box as="span" fontFamily="heading" fontSize="15px" marginLeft="1.5">
          {does}
        </Box>
      </span>
    ))}
  </Flex>
);
