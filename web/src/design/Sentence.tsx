import { Box } from '@chakra-ui/react';
import type { SaidPart } from '@odograph/core';

/** An attempt read back as one sentence; parts that were not said stand out. */
export const Sentence = ({
  said,
  subject,
}: {
  readonly said: readonly SaidPart[];
  readonly subject: 'a' | 'b';
}): React.JSX.Element => (
  <span>
    {said.map((part, i) => {
      const before =
        i === 0
          ? ''
          : part.part === 'from' || part.part === 'grips'
            ? ' '
            : part.part === 'entry' || part.part === 'result'
              ? ', '
              : '; ';
      return (
        <span key={part.part}>
          {before}
          {part.lead && <Box as="span" color="inkSoft">{`${part.lead} `}</Box>}
          <Box
            as="span"
            {...(part.part === 'who' ? { color: subject === 'a' ? 'us' : 'them', fontWeight: '600' } : {})}
            {...(part.part === 'entry' ? { fontWeight: '600' } : {})}
            {...(part.missing ? { color: 'inkSoft', fontStyle: 'italic' } : {})}
          >
            {part.text}
          </Box>
        </span>
      );
    })}
  </span>
);
