import { Box } from '@chakra-ui/react';

/** The line the product is known by: a course over time, up is better. Decoration only. */
export const ProfileMark = ({ small = false }: { readonly small?: boolean }): React.JSX.Element => (
  <Box as="span" display="block" width={small ? '26px' : '100%'} maxWidth="520px" aria-hidden>
    <svg
      viewBox="0 0 520 220"
      width="100%"
      fill="none"
      stroke="var(--od-us)"
      strokeWidth={small ? 34 : 5}
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      {!small && <path d="M0 110H520" stroke="var(--od-hairline)" strokeWidth="1" />}
      <path d="M10 110H90L140 60H200L240 130H300L350 160H390L430 20H510" />
    </svg>
  </Box>
);
