import { Box } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { Ruled } from './Plain.js';
import { COUNTED_TEXT } from './design.text.js';

/** From this share of its length on a text is counted. */
const NEAR = 0.85;

/** A text field that is counted near its limit, and never cuts what is put into it: what is too long says by how much. */
export const Counted = ({
  limit,
  value,
  ...props
}: Omit<ComponentProps<typeof Ruled>, 'value' | 'maxLength'> & {
  readonly limit: number;
  readonly value: string;
}): React.JSX.Element => {
  const over = value.trim().length - limit;
  return (
    <>
      <Ruled {...props} value={value} {...(over > 0 ? { 'aria-invalid': true } : {})} />
      {value.length >= limit * NEAR && (
        <Box as="span" role="status" fontSize="13px" color={over > 0 ? 'caution' : 'inkSoft'}>
          {COUNTED_TEXT.of(value.trim().length, limit)}
        </Box>
      )}
    </>
  );
};
