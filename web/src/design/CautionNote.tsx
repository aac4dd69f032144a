import { Box } from '@chakra-ui/react';
import type { Caution } from '@odograph/core';
import { TriangleAlert } from 'lucide-react';
import { CAUTION_NOTE_TEXT } from './design.text.js';

/** The cautions of something that can hurt: a sign, the word, and what to do; the only red on the page. */
export const CautionNote = ({
  cautions,
  short = false,
}: {
  readonly cautions: readonly Caution[];
  readonly short?: boolean;
}): React.JSX.Element | null => {
  if (!cautions.length) return null;
  return (
    <Box role="note" aria-label={CAUTION_NOTE_TEXT.caution} color="caution" fontSize="14px" lineHeight="1.4">
      {cautions.map((c) => (
        <Box key={c.about} display="flex" gap="1.5">
          <TriangleAlert size={15} aria-hidden style={{ flexShrink: 0, marginTop: 2 }} />
          <span>
            <strong>{CAUTION_NOTE_TEXT.about(c.about)}</strong> {CAUTION_NOTE_TEXT.injures(c.injures, c.pain)}{' '}
            {!short && (
              <Box as="span" color="ink">
                {c.care}
              </Box>
            )}
          </span>
        </Box>
      ))}
      {!short && (
        <Box color="inkSoft" fontSize="13px" marginTop="1">
          {CAUTION_NOTE_TEXT.defers}
        </Box>
      )}
    </Box>
  );
};
