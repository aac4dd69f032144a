import { Box } from '@chakra-ui/react';
import type { Caution } from '@odograph/core';
import { WALL_TEXT as T } from './wall.text.js';

/** What can hurt, as large as it has to be: before, and while it's done. */
export const WallCautions = ({ cautions }: { readonly cautions: readonly Caution[] }): React.JSX.Element => (
  <>
    {cautions.map((c) => (
      <Box key={c.about} role="note" fontSize="28px" lineHeight="1.2" color="caution">
        {T.caution(c.about, c.care)}
      </Box>
    ))}
  </>
);
