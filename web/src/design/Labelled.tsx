import { Box } from '@chakra-ui/react';

/** A field with its label above and what is wrong with it below. */
export const Labelled = ({
  label,
  problem,
  hint,
  children,
}: {
  readonly label: string;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  readonly children: React.ReactNode;
}): React.JSX.Element => (
  <Box as="label" display="block" flex="1">
    <Box color="inkSoft" fontSize="14px">
      {label}
    </Box>
    {children}
    {hint !== undefined && problem === undefined && (
      <Box color="inkSoft" fontSize="13px" marginTop="1">
        {hint}
      </Box>
    )}
    {problem !== undefined && (
      <Box role="alert" color="caution" fontSize="14px">
        {problem}
      </Box>
    )}
  </Box>
);
